package dev.yarbel.web.calls;

import dev.yarbel.core.adjust.Aftermath;
import dev.yarbel.core.adjust.CallRule;
import dev.yarbel.core.adjust.Calls;
import dev.yarbel.core.adjust.Proportion;
import dev.yarbel.core.adjust.Verdict;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.page.LifterChooser;
import dev.yarbel.web.page.Person;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A coach's own answers that were looked at again. */
@Service
@Transactional(readOnly = true)
class JudgedCalls {

    private static final int LATEST = 40;

    private final JudgedCallRepository judged;

    JudgedCalls(JudgedCallRepository judged) {
        this.judged = judged;
    }

    /**
     * What one coach's answers to what a rule found came to.
     *
     * @param acted of those that were taken or changed, how many were borne out
     * @param left of those that were left
     * @param unknown of how many nobody can say
     */
    record Kind(String rule, Proportion acted, Proportion left, int unknown) {}

    /** An answer that was looked at again. */
    record Line(
            LifterChooser.Choice lifter,
            Lift lift,
            String rule,
            String how,
            Instant at,
            Verdict verdict,
            Aftermath followed) {}

    /** By rule, in the order in which the rules stand. */
    List<Kind> kinds(Person coach, List<LifterChooser.Choice> lifters) {
        if (lifters.isEmpty()) {
            return List.of();
        }
        Map<String, List<JudgedCallRepository.Tally>> byRule = judged
                .tally(
                        coach.clubId(),
                        lifters.stream().map(LifterChooser.Choice::id).toList(),
                        coach.accountId())
                .stream()
                .collect(Collectors.groupingBy(JudgedCallRepository.Tally::rule));
        return Calls.RULES.stream()
                .map(CallRule::key)
                .filter(byRule::containsKey)
                .map(rule -> kind(rule, byRule.get(rule)))
                .toList();
    }

    private static Kind kind(String rule, List<JudgedCallRepository.Tally> tallies) {
        return new Kind(
                rule,
                borneOut(tallies, tally -> !tally.isLeft()),
                borneOut(tallies, JudgedCallRepository.Tally::isLeft),
                count(tallies, tally -> !tally.judged().isKnown()));
    }

    private static Proportion borneOut(
            List<JudgedCallRepository.Tally> tallies, Predicate<JudgedCallRepository.Tally> which) {
        return new Proportion(
                count(tallies, tally -> which.test(tally) && tally.judged() == Verdict.BORNE_OUT),
                count(tallies, tally -> which.test(tally) && tally.judged().isKnown()));
    }

    private static int count(List<JudgedCallRepository.Tally> of, Predicate<JudgedCallRepository.Tally> which) {
        return of.stream()
                .filter(which)
                .mapToInt(tally -> (int) tally.answers())
                .sum();
    }

    /** The latest, newest first. */
    List<Line> latest(Person coach, List<LifterChooser.Choice> lifters) {
        if (lifters.isEmpty()) {
            return List.of();
        }
        Map<Long, LifterChooser.Choice> byId =
                lifters.stream().collect(Collectors.toMap(LifterChooser.Choice::id, Function.identity()));
        return judged.latest(coach.clubId(), byId.keySet(), coach.accountId(), Limit.of(LATEST)).stream()
                .map(row -> line((Slip) row[0], (JudgedCall) row[1], byId))
                .toList();
    }

    private static Line line(Slip slip, JudgedCall judged, Map<Long, LifterChooser.Choice> lifters) {
        return new Line(
                lifters.get(slip.lifterId()),
                slip.lift(),
                slip.rule(),
                slip.status().name(),
                slip.answeredAt(),
                judged.verdict(),
                judged.followed());
    }
}
