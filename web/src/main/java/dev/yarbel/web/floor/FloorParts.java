package dev.yarbel.web.floor;

import dev.yarbel.web.roster.LifterParts;
import java.util.List;
import org.springframework.stereotype.Component;

/** What was said while the lifter lifted. */
@Component
class FloorParts implements LifterParts {

    @Override
    public List<Part> parts() {
        return List.of(new Part("words", """
                        select jsonb_build_object('at', said_at, 'by', person_name, 'words', words)
                        from floor_word where club_id = ? and lifter_id = any (?) order by id"""));
    }

    @Override
    public List<String> erase() {
        return List.of(
                "delete from floor_word where club_id = ? and lifter_id = any (?)",
                "delete from speed_reading where club_id = ? and sensor_id in (select id from speed_sensor where "
                        + "lifter_id = any (?))",
                "delete from speed_sensor where club_id = ? and lifter_id = any (?)");
    }
}
