package dev.yarbel.web.floor;

import static dev.yarbel.web.kept.Field.made;
import static dev.yarbel.web.kept.Field.moment;
import static dev.yarbel.web.kept.Field.reader;
import static dev.yarbel.web.kept.Field.text;
import static dev.yarbel.web.kept.Field.yes;

import dev.yarbel.web.kept.Kept;
import dev.yarbel.web.kept.LifterParts;
import java.util.List;
import org.springframework.stereotype.Component;

/** What was said while the lifter lifted. */
@Component
class FloorParts implements LifterParts {

    @Override
    public List<Kept> parts() {
        return List.of(Kept.ofLifter(
                "words",
                "floor_word",
                "id",
                moment("at", "said_at"),
                text("by", "person_name"),
                yes("byCoach"),
                text("words"),
                reader("account_id"),
                made("token", "gen_random_uuid()")));
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
