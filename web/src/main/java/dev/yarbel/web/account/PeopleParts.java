package dev.yarbel.web.account;

import static dev.yarbel.web.kept.Field.moment;
import static dev.yarbel.web.kept.Field.text;

import dev.yarbel.web.kept.ClubParts;
import dev.yarbel.web.kept.Kept;
import java.util.List;
import org.springframework.stereotype.Component;

/** Who signs in: told, so that they can be asked in again. Passwords stay where they are. */
@Component
class PeopleParts implements ClubParts {

    @Override
    public List<Kept> parts() {
        return List.of(Kept.ofClub(
                        "people",
                        "account",
                        "id",
                        text("username"),
                        text("name"),
                        text("role"),
                        moment("closedAt", "closed_at"))
                .onlyTold());
    }
}
