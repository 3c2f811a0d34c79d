package dev.yarbel.web.book;

import static dev.yarbel.web.kept.Field.lift;
import static dev.yarbel.web.kept.Field.number;
import static dev.yarbel.web.kept.Field.text;
import static dev.yarbel.web.kept.Field.texts;
import static dev.yarbel.web.kept.Field.yes;

import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Muscle;
import dev.yarbel.core.lift.SetUpMeasure;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.web.kept.ClubParts;
import dev.yarbel.web.kept.Kept;
import java.util.List;
import org.springframework.stereotype.Component;

/** The club's own variations. */
@Component
class OwnLiftParts implements ClubParts {

    @Override
    public List<Kept> parts() {
        return List.of(Kept.ofClub(
                        "lifts",
                        "own_variation",
                        "id",
                        lift("lift"),
                        text("parent").as(Lift::new),
                        number("ratio"),
                        text("implement").of(Implement.class),
                        yes("pins"),
                        texts("measures", "measures").of(SetUpMeasure.class),
                        texts("trains", "trains").of(Muscle.class),
                        texts("loads", "loads").of(Tissue.class))
                .knownBy("lift"));
    }
}
