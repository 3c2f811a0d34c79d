package dev.yarbel.web.plan;

import dev.yarbel.web.roster.LifterParts;
import java.util.List;
import org.springframework.stereotype.Component;

/** How long the lifter takes to be ready for a lift again, where their coach said so. */
@Component
class PlanParts implements LifterParts {

    @Override
    public List<Part> parts() {
        return List.of(new Part("recovery", """
                        select jsonb_strip_nulls(jsonb_build_object('lift', lift, 'thenLift', then_lift, 'hours', figure))
                        from recovery_figure where club_id = ? and lifter_id = any (?) order by id"""));
    }

    @Override
    public List<String> erase() {
        return List.of("delete from recovery_figure where club_id = ? and lifter_id = any (?)");
    }
}
