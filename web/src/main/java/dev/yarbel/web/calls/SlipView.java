package dev.yarbel.web.calls;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.plan.LifterPlan;
import java.util.Optional;

/**
 * A slip as its page shows it, worked out from the plan and the log as they stand now.
 *
 * @param finding empty when there is nothing left to decide
 */
record SlipView(long id, Lift lift, LifterPlan plan, Optional<Finding> finding) {}
