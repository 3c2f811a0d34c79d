package dev.yarbel.web.block;

import dev.yarbel.web.roster.LifterParts;
import java.util.List;
import org.springframework.stereotype.Component;

/** Every block, day by day, in the shorthand in which doses are written. */
@Component
class BlockParts implements LifterParts {

    @Override
    public List<Part> parts() {
        return List.of(new Part("blocks", """
                        select jsonb_strip_nulls(jsonb_build_object('name', b.name, 'start', b.start_on, 'weeks', b.weeks, 'shape', b.shape,
                          'contest', b.contest_on, 'origin', b.origin, 'takenAwayAt', b.removed_at,
                          'days', (select coalesce(jsonb_agg(jsonb_strip_nulls(jsonb_build_object('planDay', d.id, 'name', d.name,
                              'offset', d.day_offset, 'takenAwayAt', d.removed_at,
                              'slots', (select coalesce(jsonb_agg(jsonb_strip_nulls(jsonb_build_object('letter', t.letter, 'lift', t.lift,
                                  'school', t.school, 'reason', t.reason, 'takenAwayAt', t.removed_at,
                                  'doses', (select coalesce(jsonb_agg(jsonb_build_object('week', c.week, 'dose', c.shorthand)
                                      order by c.week), '[]') from dose_cell c where c.slot_id = t.id and c.club_id = t.club_id),
                                  'confirmed', (select jsonb_agg(jsonb_strip_nulls(jsonb_build_object('gate', g.gate, 'spotter', g.spotter,
                                      'by', g.confirmed_by, 'at', g.confirmed_at)) order by g.id)
                                    from gate_confirmation g where g.slot_id = t.id and g.club_id = t.club_id)))
                                order by t.position, t.id), '[]') from slot t where t.block_day_id = d.id and t.club_id = d.club_id)))
                              order by d.position, d.id), '[]') from block_day d where d.block_id = b.id and d.club_id = b.club_id)))
                        from block b where b.club_id = ? and b.lifter_id = any (?) order by b.start_on, b.id"""));
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
