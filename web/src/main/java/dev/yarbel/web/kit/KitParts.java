package dev.yarbel.web.kit;

import dev.yarbel.web.roster.LifterParts;
import java.util.List;
import org.springframework.stereotype.Component;

/** Where a lifter trains. */
@Component
class KitParts implements LifterParts {

    @Override
    public List<Part> parts() {
        return List.of(new Part("gyms", """
                        select jsonb_strip_nulls(jsonb_build_object('name', g.name, 'unit', g.unit, 'bar', b.fields ->> 'name'))
                        from lifter_gym l join gym g on g.id = l.gym_id and g.club_id = l.club_id
                        left join piece b on b.id = l.bar_id and b.club_id = l.club_id
                        where l.club_id = ? and l.lifter_id = any (?) order by l.position, l.id"""), new Part("gymDays", """
                        select jsonb_build_object('day', d.on_date, 'gym', g.name)
                        from gym_day d join gym g on g.id = d.gym_id and g.club_id = d.club_id
                        where d.club_id = ? and d.lifter_id = any (?) order by d.on_date, d.id"""));
    }

    @Override
    public List<String> erase() {
        return List.of(
                "delete from lifter_gym where club_id = ? and lifter_id = any (?)",
                "delete from gym_day where club_id = ? and lifter_id = any (?)");
    }
}
