package dev.yarbel.web.practice;

import static dev.yarbel.web.kept.Field.lift;
import static dev.yarbel.web.kept.Field.moment;
import static dev.yarbel.web.kept.Field.named;
import static dev.yarbel.web.kept.Field.text;
import static dev.yarbel.web.kept.Field.whole;

import dev.yarbel.web.kept.Kept;
import dev.yarbel.web.kept.LifterParts;
import java.util.List;
import org.springframework.stereotype.Component;

/** How near the lifter guessed what was left. */
@Component
class PracticeParts implements LifterParts {

    /** A guess at a set of their own goes by the number of that; where it is read nothing else has such a number. */
    @Override
    public List<Kept> parts() {
        return List.of(Kept.ofLifter(
                "guesses",
                "practice_guess",
                "id",
                moment("at", "guessed_at"),
                lift("lift"),
                text("kind").of(Guesses.Kind.class),
                named(
                        "number",
                        "number",
                        "{t}.number",
                        "case e.v ->> 'kind' when 'LIFTED' then -abs(({v})::bigint) else ({v})::bigint end"),
                whole("said"),
                whole("was")));
    }

    @Override
    public List<String> erase() {
        return List.of("delete from practice_guess where club_id = ? and lifter_id = any (?)");
    }
}
