package dev.yarbel.web.kit;

import static dev.yarbel.web.kept.Field.day;
import static dev.yarbel.web.kept.Field.made;
import static dev.yarbel.web.kept.Field.named;
import static dev.yarbel.web.kept.Field.told;

import dev.yarbel.web.kept.Kept;
import dev.yarbel.web.kept.LifterParts;
import java.util.List;
import org.springframework.stereotype.Component;

/** Where a lifter trains. */
@Component
class KitParts implements LifterParts {

    @Override
    public List<Kept> parts() {
        return List.of(
                Kept.ofLifter(
                                "gyms",
                                "lifter_gym",
                                "position, id",
                                named("name", "gym_id", NAME, GYM),
                                told(
                                        "unit",
                                        "(select g.unit from gym g where g.id = {t}.gym_id and g.club_id = {t}.club_id)"),
                                named("bar", "bar_id", BAR_NAME, BAR),
                                made("position", "e.ord - 1"))
                        .keptIf("gym_id is not null"),
                Kept.ofLifter(
                                "gymDays",
                                "gym_day",
                                "on_date, id",
                                day("day", "on_date"),
                                named("gym", "gym_id", NAME, GYM))
                        .keptIf("gym_id is not null"));
    }

    private static final String NAME = "(select g.name from gym g where g.id = {t}.gym_id and g.club_id = {t}.club_id)";

    private static final String GYM =
            "(select min(g.id) from gym g where g.club_id = :club and g.removed_at is null and lower(g.name) = lower({v}))";

    private static final String BAR_NAME =
            "(select b.fields ->> 'NAME' from piece b where b.id = {t}.bar_id and b.club_id = {t}.club_id)";

    private static final String BAR = """
            (select min(b.id) from piece b join gym g on g.id = b.gym_id and g.club_id = b.club_id
            where b.club_id = :club and b.shelf = 'BARS' and b.removed_at is null and g.removed_at is null
              and lower(g.name) = lower(e.v ->> 'name') and b.fields ->> 'NAME' = {v})""";

    @Override
    public List<String> erase() {
        return List.of(
                "delete from lifter_gym where club_id = ? and lifter_id = any (?)",
                "delete from gym_day where club_id = ? and lifter_id = any (?)");
    }
}
