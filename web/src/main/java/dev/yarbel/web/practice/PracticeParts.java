package dev.yarbel.web.practice;

import dev.yarbel.web.roster.LifterParts;
import java.util.List;
import org.springframework.stereotype.Component;

/** How near the lifter guessed what was left. */
@Component
class PracticeParts implements LifterParts {

    @Override
    public List<Part> parts() {
        return List.of(new Part("guesses", """
                        select jsonb_build_object('at', guessed_at, 'lift', lift, 'kind', kind, 'said', said, 'was', was)
                        from practice_guess where club_id = ? and lifter_id = any (?) order by id"""));
    }

    @Override
    public List<String> erase() {
        return List.of("delete from practice_guess where club_id = ? and lifter_id = any (?)");
    }
}
