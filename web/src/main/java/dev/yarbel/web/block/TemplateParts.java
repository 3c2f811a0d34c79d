package dev.yarbel.web.block;

import static dev.yarbel.web.kept.Field.moment;
import static dev.yarbel.web.kept.Field.text;

import dev.yarbel.web.kept.ClubParts;
import dev.yarbel.web.kept.Kept;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Rows of doses, days and blocks to start from. */
@Component
class TemplateParts implements ClubParts {

    private final JsonMapper json;

    TemplateParts(JsonMapper json) {
        this.json = json;
    }

    @Override
    public List<Kept> parts() {
        return List.of(Kept.ofClub(
                        "templates",
                        "plan_template",
                        "id",
                        text("kind").of(TemplateKind.class),
                        text("name"),
                        text("body").as(this::read),
                        text("by", "made_by"),
                        moment("at", "made_at"),
                        moment("struckAt", "removed_at"))
                .knownBy("kind", "name", "struckAt"));
    }

    private void read(String body) {
        json.readValue(body, BlockText.class).from(LocalDate.EPOCH);
    }
}
