package dev.yarbel.web.roster;

import static dev.yarbel.web.kept.Field.day;
import static dev.yarbel.web.kept.Field.moment;
import static dev.yarbel.web.kept.Field.named;
import static dev.yarbel.web.kept.Field.number;
import static dev.yarbel.web.kept.Field.reader;
import static dev.yarbel.web.kept.Field.text;
import static dev.yarbel.web.kept.Field.texts;
import static dev.yarbel.web.kept.Field.told;
import static dev.yarbel.web.kept.Field.whole;

import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.lifter.HealthQuestion;
import dev.yarbel.core.lifter.Sex;
import dev.yarbel.core.lifter.Sport;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.kept.Kept;
import dev.yarbel.web.kept.LifterParts;
import java.util.List;
import org.springframework.stereotype.Component;

/** Who a lifter is, what was measured, what hurts, what was noted. */
@Component
class RosterParts implements LifterParts {

    @Override
    public List<Kept> parts() {
        return List.of(
                Kept.lifter(
                        "profile",
                        text("name"),
                        named("coach", "coach_id", COACH_NAME, COACH),
                        text("unit").of(MassUnit.class),
                        text("rounding").of(Rounding.class),
                        number("shareOfEstimate"),
                        day("noviceSince", "novice_since"),
                        whole("birthYear"),
                        text("sex").of(Sex.class),
                        number("height"),
                        text("sport").of(Sport.class),
                        text("weightClass"),
                        whole("daysAWeek", "days"),
                        whole("minutes"),
                        text("job"),
                        text("jobStrains").of(Tissue.class),
                        number("sleep"),
                        text("dieting"),
                        text("stress"),
                        text("guardian"),
                        texts("health.yes", "health_yes").of(HealthQuestion.class),
                        texts("health.no", "health_no").of(HealthQuestion.class),
                        text("health.clearedBy", "cleared_by"),
                        day("health.clearedOn", "cleared_on"),
                        text("warmUps"),
                        text("askedBefore", "before_session"),
                        text("breath"),
                        number("beatPoints"),
                        number("restPoints"),
                        number("tiredPoints"),
                        number("setDrift"),
                        told("autopilot", "{t}.autopilot"),
                        moment("archivedAt", "archived_at")),
                Kept.ofLifter(
                        "measurements",
                        "measurement",
                        "on_date, id",
                        day("day", "on_date"),
                        text("kind").of(MeasureKind.class),
                        number("figure"),
                        moment("struckAt", "removed_at")),
                Kept.ofLifter(
                        "aches",
                        "ache",
                        "since, id",
                        day("since", "since"),
                        text("place").of(Tissue.class),
                        text("words"),
                        whole("weight"),
                        texts("lifts", "lifts").as(Lift::new),
                        text("clearedBy"),
                        day("clearedOn", "cleared_on")),
                Kept.ofLifter(
                        "notes",
                        "lifter_note",
                        "written_at, id",
                        moment("at", "written_at"),
                        text("by", "author"),
                        reader("written_by"),
                        text("kind").of(NoteKind.class),
                        text("text"),
                        moment("struckAt", "removed_at")));
    }

    private static final String COACH_NAME =
            "(select a.name from account a where a.id = {t}.coach_id and a.club_id = {t}.club_id)";

    /** The club's coach of that name; whoever reads the file where there is none. */
    private static final String COACH = """
            coalesce((select min(a.id) from account a where a.club_id = :club and a.role <> 'LIFTER' and a.closed_at is null
            and lower(a.name) = lower({v})), :reader)""";

    @Override
    public List<String> erase() {
        return List.of(
                "delete from measurement where club_id = ? and lifter_id = any (?)",
                "delete from ache where club_id = ? and lifter_id = any (?)",
                "delete from lifter_note where club_id = ? and lifter_id = any (?)");
    }
}
