package dev.yarbel.web.weekly;

import dev.yarbel.web.roster.LifterParts;
import java.util.List;
import org.springframework.stereotype.Component;

/** What the coach wrote about the lifter's weeks. */
@Component
class WeeklyParts implements LifterParts {

    @Override
    public List<Part> parts() {
        return List.of(new Part("weeks", """
                        select jsonb_build_object('monday', monday, 'words', words, 'by', kept_by_name, 'at', kept_at, 'edition', edition)
                        from kept_week where club_id = ? and lifter_id = any (?) order by monday, edition, id"""));
    }

    @Override
    public List<String> erase() {
        return List.of("delete from kept_week where club_id = ? and lifter_id = any (?)");
    }
}
