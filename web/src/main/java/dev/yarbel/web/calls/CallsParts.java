package dev.yarbel.web.calls;

import static dev.yarbel.web.kept.Field.day;
import static dev.yarbel.web.kept.Field.made;
import static dev.yarbel.web.kept.Field.moment;
import static dev.yarbel.web.kept.Field.number;
import static dev.yarbel.web.kept.Field.own;
import static dev.yarbel.web.kept.Field.refers;
import static dev.yarbel.web.kept.Field.text;
import static dev.yarbel.web.kept.Field.whole;
import static dev.yarbel.web.kept.Field.within;
import static dev.yarbel.web.kept.Field.yes;

import dev.yarbel.core.adjust.Direction;
import dev.yarbel.core.adjust.Verdict;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.kept.Kept;
import dev.yarbel.web.kept.LifterParts;
import java.util.List;
import org.springframework.stereotype.Component;

/** What was found in the lifter's sessions, and what was answered. */
@Component
class CallsParts implements LifterParts {

    @Override
    public List<Kept> parts() {
        return List.of(Kept.ofLifter(
                        "calls",
                        "slip",
                        "opened_at, id",
                        refers("session", "session_id", "session"),
                        refers("contest", "contest_id", "contest"),
                        own("number", "call"),
                        moment("at", "opened_at"),
                        // some calls are about the whole of somebody's training
                        text("lift").as(Lift::new),
                        text("rule"),
                        text("proposes"),
                        yes("raises"),
                        number("size"),
                        text("status").of(Slip.Status.class),
                        day("putOffUntil", "put_off_until"),
                        day("contestWas", "contest_was"),
                        moment("answeredAt", "answered_at"),
                        made("answered_by", "case when (e.v ->> 'answeredAt') is not null then :reader end"),
                        within(Kept.within(
                                "judged",
                                "judged_call",
                                "slip_id",
                                "slip_id",
                                moment("at", "judged_at"),
                                text("direction").of(Direction.class),
                                text("verdict").of(Verdict.class),
                                whole("sessions"),
                                whole("rated"),
                                whole("overTarget"),
                                whole("underTarget"),
                                whole("missed"),
                                yes("hurt"),
                                number("trend"))))
                .keptIf("(session_id is null) <> (contest_id is null)"));
    }

    @Override
    public List<String> erase() {
        return List.of(
                "delete from judged_call where club_id = ? and slip_id in (select id from slip where lifter_id = "
                        + "any (?))",
                "delete from slip where club_id = ? and lifter_id = any (?)");
    }
}
