package dev.yarbel.web.book;

import static dev.yarbel.web.kept.Field.day;
import static dev.yarbel.web.kept.Field.lift;
import static dev.yarbel.web.kept.Field.made;
import static dev.yarbel.web.kept.Field.moment;
import static dev.yarbel.web.kept.Field.named;
import static dev.yarbel.web.kept.Field.number;
import static dev.yarbel.web.kept.Field.own;
import static dev.yarbel.web.kept.Field.reader;
import static dev.yarbel.web.kept.Field.refers;
import static dev.yarbel.web.kept.Field.text;
import static dev.yarbel.web.kept.Field.texts;
import static dev.yarbel.web.kept.Field.told;
import static dev.yarbel.web.kept.Field.whole;
import static dev.yarbel.web.kept.Field.within;

import dev.yarbel.core.adjust.AskLifter.Asking;
import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.lift.Consistency;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.lift.SetUpMeasure;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.record.RepsSeen;
import dev.yarbel.core.record.SetUp;
import dev.yarbel.core.record.Worn;
import dev.yarbel.core.session.Amendment;
import dev.yarbel.core.session.AskedDay;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.core.tally.Exposure;
import dev.yarbel.web.kept.Kept;
import dev.yarbel.web.kept.LifterParts;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.Words;
import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;

/** Maxes, numbers, every session with its sets, and who changed what. */
@Component
class BookParts implements LifterParts {

    private final ChangeRepository changes;
    private final Words words;

    BookParts(ChangeRepository changes, Words words) {
        this.changes = changes;
        this.words = words;
    }

    @Override
    public List<Kept> parts() {
        return List.of(
                Kept.ofLifter(
                        "maxes",
                        "recorded_max",
                        "on_date, id",
                        day("day", "on_date"),
                        lift("lift"),
                        text("kind").of(RecordedMax.Kind.class),
                        number("load"),
                        text("typedIn", "unit").of(MassUnit.class),
                        whole("reps"),
                        texts("worn", "worn").of(Worn.class),
                        text("source"),
                        text("by", "entered_by"),
                        moment("at", "entered_at"),
                        moment("struckAt", "removed_at")),
                Kept.ofLifter(
                        "numbers",
                        "lift_numbers",
                        "id",
                        lift("lift"),
                        number("workingMax"),
                        text("curve", "rep_curve").as(RepCurve::parse),
                        text("mastery").of(Mastery.class),
                        day("practisedSince", "practised_since"),
                        text("consistency").of(Consistency.class),
                        number("ratio"),
                        number("eventLoad"),
                        number("ratingBias"),
                        text("ratingBiasWhy"),
                        made("version", "0")),
                Kept.ofLifter(
                        "setUps",
                        "set_up",
                        "lift, id",
                        lift("lift"),
                        text("measure").of(SetUpMeasure.class),
                        text("figure")),
                Kept.ofLifter(
                        "testSets",
                        "test_set",
                        "on_date, lift, number",
                        day("day", "on_date"),
                        lift("lift"),
                        whole("number"),
                        number("load"),
                        text("effort").as(Effort::parse)),
                Kept.ofLifter(
                        "sessions",
                        "training_session",
                        "held_on, id",
                        own("number", "session"),
                        day("day", "held_on"),
                        refers("planDay", "plan_day", "planDay"),
                        whole("planWeek"),
                        moment("startedAt", "started_at"),
                        moment("finishedAt", "finished_at"),
                        text("pain"),
                        text("planned").as(AskedDay::parse),
                        whole("sleep", "sleep_rating"),
                        whole("fatigue", "fatigue_rating"),
                        whole("stress", "stress_rating"),
                        whole("soreness", "soreness_rating"),
                        whole("joints", "joints_rating"),
                        whole("effort", "effort_rating"),
                        whole("minutes"),
                        text("countSaid"),
                        text("coachNote"),
                        text("judgement").of(Exposure.Judgement.class),
                        told("imported", "{t}.import_id is not null"),
                        within(SETS),
                        within(CHANGES)),
                Kept.ofLifter(
                        "questions",
                        "lifter_question",
                        "id",
                        refers("session", "session_id", "session"),
                        moment("at", "asked_at"),
                        text("by", "asked_by_name"),
                        text("kind").of(Asking.class),
                        text("task").as(TaskKey::parse),
                        number("otherLoad"),
                        moment("answeredAt", "answered_at"),
                        text("answer")),
                Kept.ofLifter(
                        "changes",
                        "change_entry",
                        "id",
                        moment("at", "made_at"),
                        text("by", "made_by_name"),
                        reader("made_by"),
                        text("kind").of(ChangeKind.class),
                        texts("subject", "subject"),
                        text("why"),
                        text("before"),
                        text("after")));
    }

    /** A measure and its figure, as they stand on a set. */
    private static void figureOfCard(String text) {
        SetUpMeasure.valueOf(text.substring(0, text.indexOf(' ')));
    }

    private static final Kept SETS = Kept.within(
            "sets",
            "logged_set",
            "session_id",
            "id",
            made("token", "gen_random_uuid()"),
            text("task").as(TaskKey::parse),
            lift("lift"),
            number("load"),
            whole("reps"),
            text("effort").as(Effort::parse),
            moment("at", "logged_at"),
            whole("helped"),
            text("missedBy"),
            whole("speed"),
            // files of earlier versions do not say it
            named("speedFilmed", "speed_filmed", "{t}.speed_filmed", "coalesce(({v})::boolean, false)"),
            texts("worn", "worn").of(Worn.class),
            text("video"),
            text("partner"),
            text("note"),
            number("seconds"),
            number("distance"),
            texts("setUp", "set_up").as(BookParts::figureOfCard),
            text("repsSeen").as(RepsSeen::parse),
            text("doneAs").as(SetUp::parse),
            text("proof"),
            text("coachRating"),
            text("coachForm"),
            text("coachLink"),
            text("coachNote"),
            text("coachRepsSeen").as(RepsSeen::parse));

    private static final Kept CHANGES = Kept.within(
            "changes",
            "amendment",
            "session_id",
            "id",
            made("token", "gen_random_uuid()"),
            text("text").as(Amendment::parse),
            text("reason"),
            text("by", "made_by_name"),
            reader("made_by"),
            moment("at", "made_at"),
            moment("takenBackAt", "taken_back_at"));

    @Override
    public void readBack(long clubId, long lifterId) {
        LedgerLine.together(
                changes.findByClubIdAndLifterIdOrderByIdDesc(clubId, lifterId, Limit.unlimited()).stream()
                        .map(ChangeEntry::change)
                        .toList(),
                words);
    }

    @Override
    public List<String> erase() {
        return List.of(
                "delete from amendment where club_id = ? and session_id in (select id from training_session "
                        + "where lifter_id = any (?))",
                "delete from lifter_question where club_id = ? and lifter_id = any (?)",
                "delete from session_feed where club_id = ? and lifter_id = any (?)",
                "delete from logged_set where club_id = ? and session_id in (select id from training_session "
                        + "where lifter_id = any (?))",
                "delete from training_session where club_id = ? and lifter_id = any (?)",
                "delete from recorded_max where club_id = ? and lifter_id = any (?)",
                "delete from lift_numbers where club_id = ? and lifter_id = any (?)",
                "delete from set_up where club_id = ? and lifter_id = any (?)",
                "delete from test_set where club_id = ? and lifter_id = any (?)",
                "delete from change_entry where club_id = ? and lifter_id = any (?)");
    }
}
