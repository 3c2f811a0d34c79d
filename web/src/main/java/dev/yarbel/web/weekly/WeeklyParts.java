package dev.yarbel.web.weekly;

import static dev.yarbel.web.kept.Field.day;
import static dev.yarbel.web.kept.Field.moment;
import static dev.yarbel.web.kept.Field.text;
import static dev.yarbel.web.kept.Field.whole;

import dev.yarbel.web.kept.Kept;
import dev.yarbel.web.kept.LifterParts;
import java.util.List;
import org.springframework.stereotype.Component;

/** What the coach wrote about the lifter's weeks. */
@Component
class WeeklyParts implements LifterParts {

    @Override
    public List<Kept> parts() {
        return List.of(Kept.ofLifter(
                "weeks",
                "kept_week",
                "monday, edition, id",
                day("monday", "monday"),
                text("words"),
                text("by", "kept_by_name"),
                moment("at", "kept_at"),
                whole("edition")));
    }

    @Override
    public List<String> erase() {
        return List.of("delete from kept_week where club_id = ? and lifter_id = any (?)");
    }
}
