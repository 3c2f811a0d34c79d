package dev.yarbel.web.calls;

import dev.yarbel.web.roster.LifterParts;
import java.util.List;
import org.springframework.stereotype.Component;

/** What was found in the lifter's sessions, and what was answered. */
@Component
class CallsParts implements LifterParts {

    @Override
    public List<Part> parts() {
        return List.of(new Part("calls", """
                        select jsonb_strip_nulls(jsonb_build_object('at', s.opened_at, 'lift', s.lift, 'rule', s.rule, 'proposes', s.proposes,
                          'status', s.status, 'answeredAt', s.answered_at, 'verdict', j.verdict))
                        from slip s left join judged_call j on j.slip_id = s.id and j.club_id = s.club_id
                        where s.club_id = ? and s.lifter_id = any (?) order by s.opened_at, s.id"""));
    }

    @Override
    public List<String> erase() {
        return List.of(
                "delete from judged_call where club_id = ? and slip_id in (select id from slip where lifter_id = "
                        + "any (?))",
                "delete from slip where club_id = ? and lifter_id = any (?)");
    }
}
