package dev.yarbel.web.plan;

import static dev.yarbel.web.kept.Field.lift;
import static dev.yarbel.web.kept.Field.whole;

import dev.yarbel.web.kept.ClubParts;
import dev.yarbel.web.kept.Kept;
import java.util.List;
import org.springframework.stereotype.Component;

/** How long anybody takes to be ready for a lift again, where the club said so. */
@Component
class RecoveryOfClub implements ClubParts {

    @Override
    public List<Kept> parts() {
        return List.of(Kept.ofClub(
                        "recovery",
                        "recovery_figure",
                        "id",
                        lift("lift"),
                        lift("thenLift", "then_lift"),
                        whole("hours", "figure"))
                .only("{t}.lifter_id is null")
                .knownBy("lift", "thenLift"));
    }
}
