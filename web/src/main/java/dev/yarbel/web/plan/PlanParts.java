package dev.yarbel.web.plan;

import static dev.yarbel.web.kept.Field.lift;
import static dev.yarbel.web.kept.Field.whole;

import dev.yarbel.web.kept.Kept;
import dev.yarbel.web.kept.LifterParts;
import java.util.List;
import org.springframework.stereotype.Component;

/** How long the lifter takes to be ready for a lift again, where their coach said so. */
@Component
class PlanParts implements LifterParts {

    @Override
    public List<Kept> parts() {
        return List.of(Kept.ofLifter(
                "recovery",
                "recovery_figure",
                "id",
                lift("lift"),
                lift("thenLift", "then_lift"),
                whole("hours", "figure")));
    }

    @Override
    public List<String> erase() {
        return List.of("delete from recovery_figure where club_id = ? and lifter_id = any (?)");
    }
}
