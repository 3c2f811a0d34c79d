package dev.yarbel.web.roster;

import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.HealedAche;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.lifter.Age;
import dev.yarbel.core.lifter.HealthCheck;
import dev.yarbel.core.lifter.Sex;
import dev.yarbel.core.lifter.Sport;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.recovery.DeloadDue;
import dev.yarbel.core.session.Demand;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * A lifter as other rooms see them.
 *
 * @param unit the unit they think in
 * @param rounding the coach's rule for loads that cannot be put on the bar exactly
 * @param shareOfEstimate the coach's share of the estimate that a working max stands at, 90 to 100 %
 * @param noviceSince the day a novice started
 * @param guardian who consented for a minor
 * @param aches those that nobody has cleared, oldest first; none in a list of lifters, where nobody asked
 * @param healed those that somebody cleared in the last two weeks; none in a list of lifters
 * @param bodyMass what they last weighed; unknown in a list of lifters
 * @param minutes they have for a session
 * @param daysAWeek they can train
 * @param evenWarmUps their warm-ups add the same plates each time
 * @param askedBefore they are asked how they are before a session
 * @param autopilot small changes of their numbers are made without asking their coach
 * @param demand what makes a load heavier than it is for them
 * @param soonOutOfBreath they gasp after fifteen squats with the body alone, or four push-ups
 * @param deloadDue what of their life makes a deload due sooner
 * @param jobStrains what their work wears most
 * @param wordsAt when words were last said between them and a coach while they lifted
 * @param wordsWaiting those were theirs, and they wait for an answer
 * @param weekWritten the Monday of the newest week that a coach wrote about
 * @param leavesOn the day on which everything of theirs is deleted, where they asked for it
 */
public record LifterCard(
        long id,
        long clubId,
        String name,
        MassUnit unit,
        Rounding rounding,
        Percent shareOfEstimate,
        Optional<LocalDate> noviceSince,
        Optional<Sex> sex,
        Optional<Sport> sport,
        Optional<Integer> birthYear,
        Optional<String> guardian,
        HealthCheck health,
        List<Ache> aches,
        List<HealedAche> healed,
        Optional<Mass> bodyMass,
        Optional<Integer> minutes,
        Optional<Integer> daysAWeek,
        boolean dietsHard,
        boolean evenWarmUps,
        boolean askedBefore,
        boolean autopilot,
        boolean soonOutOfBreath,
        DeloadDue deloadDue,
        Optional<Tissue> jobStrains,
        Demand.Figures demand,
        Optional<Instant> wordsAt,
        boolean wordsWaiting,
        Optional<LocalDate> weekWritten,
        Optional<LocalDate> leavesOn,
        boolean archived) {

    public LifterCard {
        aches = List.copyOf(aches);
        healed = List.copyOf(healed);
    }

    /** The open aches that a lift loads. */
    public List<Ache> aching(Lift lift, Catalogue catalogue) {
        return aches.stream().filter(ache -> ache.isLoadedBy(lift, catalogue)).toList();
    }

    /** Those cleared lately that a lift loads. */
    public List<HealedAche> healed(Lift lift, Catalogue catalogue) {
        return healed.stream()
                .filter(cleared -> cleared.ache().isLoadedBy(lift, catalogue))
                .toList();
    }

    /** Whether words were said with them since then. */
    public boolean spokeSince(Instant since) {
        return wordsAt.filter(at -> at.isAfter(since)).isPresent();
    }

    /** Whether they asked something since then and wait for an answer. */
    public boolean asksSince(Instant since) {
        return wordsWaiting && spokeSince(since);
    }

    /** The newest week that a coach wrote about, if it began no longer ago than since then. */
    public Optional<LocalDate> weekWrittenSince(LocalDate since) {
        return weekWritten.filter(monday -> !monday.isBefore(since));
    }

    /** Whether they may still be under eighteen. */
    public boolean mayBeMinor(LocalDate today) {
        return birthYear.filter(year -> Age.mayBeMinor(year, today)).isPresent();
    }

    /** Whether a guardian's consent is missing. */
    public boolean needsConsent(LocalDate today) {
        return mayBeMinor(today) && guardian.isEmpty();
    }
}
