package dev.yarbel.web.exchange;

import static dev.yarbel.web.kept.Field.lift;
import static dev.yarbel.web.kept.Field.text;

import dev.yarbel.web.kept.ClubParts;
import dev.yarbel.web.kept.Kept;
import java.util.List;
import org.springframework.stereotype.Component;

/** What the exercises of brought sheets are called here. */
@Component
class NameParts implements ClubParts {

    @Override
    public List<Kept> parts() {
        return List.of(Kept.ofClub("names", "import_name", "name", text("name"), lift("lift"))
                .knownBy("name"));
    }
}
