package dev.yarbel.web.contest;

import dev.yarbel.web.kept.Kept;
import dev.yarbel.web.kept.LifterParts;
import java.util.List;
import org.springframework.stereotype.Component;

/** Contests the lifter was entered for, and what they did there. */
@Component
class ContestParts implements LifterParts {

    @Override
    public List<Kept> parts() {
        return List.of(Kept.told("contests", """
                        select e.lifter_id, jsonb_strip_nulls(jsonb_build_object('day', c.held_on, 'until', c.held_until, 'name', c.name, 'place', c.place,
                          'rules', c.rules, 'cancelled', c.cancelled, 'bodyMass', trim_scale(e.body_mass), 'classLimit', trim_scale(e.class_limit),
                          'lot', e.lot, 'flight', e.flight, 'priority', e.priority, 'struckAt', coalesce(e.removed_at, c.removed_at),
                          'attempts', (select coalesce(jsonb_agg(jsonb_strip_nulls(jsonb_build_object('lift', a.lift, 'number', a.number,
                              'load', trim_scale(a.load), 'outcome', a.outcome, 'why', a.why, 'by', a.said_by, 'at', a.said_at))
                              order by a.id), '[]') from contest_attempt a where a.entry_id = e.id and a.club_id = e.club_id),
                          'results', (select coalesce(jsonb_agg(jsonb_strip_nulls(jsonb_build_object('event', v.name, 'lift', v.lift,
                              'load', trim_scale(v.load), 'written', r.written, 'by', r.said_by, 'at', r.said_at)) order by v.place, r.id), '[]')
                            from contest_result r join contest_event v on v.id = r.event_id and v.club_id = r.club_id
                            where r.entry_id = e.id and r.club_id = e.club_id)))
                        from contest_entry e join contest c on c.id = e.contest_id and c.club_id = e.club_id
                        where e.club_id = ? and e.lifter_id = any (?) order by e.lifter_id, c.held_on, e.id"""));
    }

    /** Who lifted where, and what came of it, is the contest's: places of others hang on it. */
    @Override
    public List<String> erase() {
        return List.of("update contest_entry set lifter_id = null, believed = null, believed_on = null, asked = null "
                + "where club_id = ? and lifter_id = any (?)");
    }
}
