package dev.yarbel.web.calls;

import dev.yarbel.core.adjust.Caps;
import dev.yarbel.core.adjust.LoadChange;
import dev.yarbel.core.adjust.WorkingMaxProposal;
import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.book.LiftStanding;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * What is to be decided about a lift as things stand now: the proposal, and every later load it would change.
 *
 * @param movement how the last session moved the estimate
 */
record Finding(WorkingMaxProposal proposal, Caps caps, MaxEstimate.Movement movement, List<LoadChange> changes) {

    /** Empty when estimate and working max agree, or pain forbids a rise: in the session seen, or an open ache. */
    static Optional<Finding> of(LifterBlock plan, Lift lift, long sessionId) {
        boolean pain = plan.standing().log().stream()
                        .anyMatch(session ->
                                session.id() == sessionId && session.pain().isPresent())
                || !plan.lifter().aching(lift, plan.standing().catalogue()).isEmpty();
        LiftStanding standing = plan.standing().of(lift).orElseThrow();
        if (standing.workingMax().isEmpty() || standing.estimate().isEmpty()) {
            return Optional.empty();
        }
        MaxEstimate estimate = standing.estimate().get();
        List<MaxEstimate.Movement> movements = estimate.movements();
        if (movements.isEmpty()) {
            return Optional.empty();
        }
        return plan.resolver()
                .kit(lift)
                .flatMap(loads -> WorkingMaxProposal.of(
                        standing.workingMax().get(),
                        estimate.max(),
                        plan.lifter().shareOfEstimate(),
                        caps(plan),
                        pain,
                        loads))
                .map(proposal -> new Finding(
                        proposal,
                        caps(plan),
                        movements.get(movements.size() - 1),
                        changes(plan, lift, proposal.after())));
    }

    /** The most that one decision moves this working max. */
    public Percent cap() {
        return proposal.isRaise() ? caps.raise() : caps.lower();
    }

    private static Caps caps(LifterBlock plan) {
        return Caps.on(plan.today(), plan.lifter().noviceSince());
    }

    /** Every load that another working max would change, from the first day not yet lifted on. */
    static List<LoadChange> changes(LifterBlock plan, Lift lift, Mass after) {
        Resolver then = plan.resolver().with(lift, numbers -> numbers.withWorkingMax(after));
        return LoadChange.between(
                        plan.projection(),
                        Projection.of(plan.block(), then, plan.log()),
                        plan.block(),
                        plan.today().minusDays(1))
                .stream()
                .filter(change -> !plan.isFinished(change.day(), change.week()))
                .toList();
    }

    /** Says in one word what a coach was shown, so that an answer to something else can be told. */
    public String fingerprint() {
        StringBuilder shown = new StringBuilder();
        shown.append(proposal.before()).append('>').append(proposal.after());
        for (LoadChange change : changes) {
            shown.append(';')
                    .append(change.date())
                    .append(change.prescription().letter())
                    .append(change.prescription().part().shorthand())
                    .append(change.before())
                    .append('>')
                    .append(change.after());
        }
        return UUID.nameUUIDFromBytes(shown.toString().getBytes(StandardCharsets.UTF_8))
                .toString();
    }
}
