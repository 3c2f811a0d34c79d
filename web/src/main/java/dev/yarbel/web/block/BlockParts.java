package dev.yarbel.web.block;

import static dev.yarbel.web.kept.Field.day;
import static dev.yarbel.web.kept.Field.lift;
import static dev.yarbel.web.kept.Field.made;
import static dev.yarbel.web.kept.Field.moment;
import static dev.yarbel.web.kept.Field.named;
import static dev.yarbel.web.kept.Field.own;
import static dev.yarbel.web.kept.Field.text;
import static dev.yarbel.web.kept.Field.whole;
import static dev.yarbel.web.kept.Field.within;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.web.kept.Kept;
import dev.yarbel.web.kept.LifterParts;
import java.util.List;
import org.springframework.stereotype.Component;

/** Every block, day by day, in the shorthand in which doses are written. */
@Component
class BlockParts implements LifterParts {

    private final BlockStore store;

    BlockParts(BlockStore store) {
        this.store = store;
    }

    @Override
    public List<Kept> parts() {
        return List.of(Kept.ofLifter(
                "blocks",
                "block",
                "start_on, id",
                text("name"),
                day("start", "start_on"),
                whole("weeks"),
                text("shape").as(shape -> WeekCodes.parse(shape, Block.MOST_WEEKS)),
                day("contest", "contest_on"),
                named("origin", "origin", "{t}.origin", ORIGIN),
                moment("takenAwayAt", "removed_at"),
                within(DAYS)));
    }

    /** Where it came from another block, it still did, and from none that is here. */
    private static final String ORIGIN =
            "case when {v} like 'block:%' then 'brought:' || :file || ':' || {v} else coalesce({v}, '') end";

    /** What a coach answered for with their name is answered for anew where the block is read. */
    private static final Kept GATES = Kept.within(
                    "confirmed",
                    "gate_confirmation",
                    "slot_id",
                    "id",
                    text("gate"),
                    text("spotter"),
                    text("by", "confirmed_by"),
                    moment("at", "confirmed_at"))
            .onlyTold();

    private static final Kept DOSES = Kept.within(
            "doses",
            "dose_cell",
            "slot_id",
            "week",
            whole("week"),
            text("dose", "shorthand").as(Dose::parse),
            made("version", "0"));

    private static final Kept SLOTS = Kept.within(
            "slots",
            "slot",
            "block_day_id",
            "position, id",
            made("position", "e.ord - 1"),
            text("letter"),
            lift("lift"),
            text("school"),
            text("reason"),
            moment("takenAwayAt", "removed_at"),
            within(DOSES),
            within(GATES));

    private static final Kept DAYS = Kept.within(
            "days",
            "block_day",
            "block_id",
            "position, id",
            own("planDay", "planDay"),
            made("position", "e.ord - 1"),
            text("name"),
            whole("offset", "day_offset"),
            moment("takenAwayAt", "removed_at"),
            within(SLOTS));

    @Override
    public void readBack(long clubId, long lifterId) {
        store.all(clubId, lifterId);
    }

    @Override
    public List<String> erase() {
        return List.of(
                "delete from gate_confirmation where club_id = ? and lifter_id = any (?)",
                "update block set given_from = null where club_id = ? and given_from in (select id from block "
                        + "where lifter_id = any (?))",
                "delete from dose_cell where club_id = ? and slot_id in (select s.id from slot s join block_day "
                        + "d on d.id = s.block_day_id join block b on b.id = d.block_id where b.lifter_id = any (?))",
                "delete from slot where club_id = ? and block_day_id in (select d.id from block_day d join block "
                        + "b on b.id = d.block_id where b.lifter_id = any (?))",
                "delete from block_day where club_id = ? and block_id in (select id from block where lifter_id = "
                        + "any (?))",
                "delete from block where club_id = ? and lifter_id = any (?)");
    }
}
