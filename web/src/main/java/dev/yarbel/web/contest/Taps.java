package dev.yarbel.web.contest;

import dev.yarbel.core.contest.Attempt;
import dev.yarbel.core.contest.ContestRules;
import dev.yarbel.core.contest.NoLift;
import dev.yarbel.core.contest.Outcome;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what is said of attempts on the day, from as many phones as there are. Whoever belongs to the club may say it: a crew is one. */
@Service
@Transactional
class Taps {

    private static final Duration FAST_CLOCK = Duration.ofMinutes(2);

    private final EntryRepository entries;
    private final AttemptRepository attempts;
    private final ContestLedger ledger;
    private final Clock clock;

    Taps(EntryRepository entries, AttemptRepository attempts, ContestLedger ledger, Clock clock) {
        this.entries = entries;
        this.attempts = attempts;
        this.ledger = ledger;
        this.clock = clock;
    }

    /**
     * Which attempt is meant.
     *
     * @param number from 1
     * @param at when it was said, on a phone that may have had no line
     */
    record Which(long entry, Lift lift, int number, Optional<Instant> at) {}

    /** The attempts of all who lift in a contest. */
    @Transactional(readOnly = true)
    public List<AttemptEntity> of(ContestEntity contest) {
        return attempts.of(contest.clubId(), contest.id());
    }

    /**
     * Names the load of an attempt that is still to be lifted; what was named later than this was said stays.
     *
     * @param confirmed whether a load between the steps is meant, as for a record
     * @throws UnreadableException when it cannot be called
     */
    public void name(Person who, ContestEntity contest, Which which, Mass load, boolean confirmed) {
        Held held = at(contest, which);
        ContestRules rules = contest.rules();
        List<Attempt> before = held.before(which, rules);
        Optional<AttemptEntity> there = held.of(which);
        if (there.filter(attempt -> attempt.outcome().isPresent()).isPresent()) {
            throw new UnreadableException("contest.error.lifted").in("load");
        }
        Optional<Mass> least = before.isEmpty()
                ? Optional.empty()
                : Optional.of(before.get(before.size() - 1).load());
        if (least.filter(load::isLessThan).isPresent()) {
            throw new UnreadableException("contest.error.below", said(least.get())).in("load");
        }
        if (!rules.isOnStep(load) && !confirmed) {
            throw new UnreadableException("ask.contest-step", said(rules.step())).in("load");
        }
        attempts.name(
                contest.clubId(),
                which.entry(),
                which.lift().key(),
                which.number(),
                load.in(MassUnit.KG),
                time(which),
                who.personName());
    }

    private static String said(Mass mass) {
        return mass.format(MassUnit.KG, 2);
    }

    /**
     * Says what became of an attempt. Where somebody else said otherwise and it was not known here, the later word stands and both are
     * shown.
     *
     * @param known what was known to have been said of it when this was said; empty for nothing
     * @throws UnreadableException when it was not named
     */
    public void say(Person who, ContestEntity contest, Which which, Outcome outcome, Optional<Outcome> known) {
        Held held = at(contest, which);
        held.before(which, contest.rules());
        AttemptEntity there =
                held.of(which).orElseThrow(() -> new UnreadableException("contest.error.unnamed").in("load"));
        Optional<Outcome> now = there.outcome();
        Instant at = time(which);
        if (now.equals(Optional.of(outcome))) {
            return;
        }
        // two phones may be one person's
        boolean conflict = now.isPresent() && !now.equals(known);
        boolean late = conflict && at.isBefore(there.saidAt());
        Outcome stands = late ? now.get() : outcome;
        Outcome other = !conflict ? null : late ? outcome : now.get();
        attempts.say(
                contest.clubId(),
                which.entry(),
                which.lift().key(),
                which.number(),
                there.load().in(MassUnit.KG),
                stands.name(),
                late ? there.saidAt() : at,
                late ? there.saidBy() : who.personName(),
                other == null ? null : other.name(),
                other == null ? null : late ? who.personName() : there.saidBy());
        if (!late) {
            ledger.attempt(who, contest, held.entry, there, Optional.of(outcome));
        }
    }

    /**
     * Says more of an attempt that was lifted: why it was no good one, and what the lights were. Said later, it stands in the place of
     * what was said before.
     *
     * @param lights the white ones, from 0 to 3
     * @throws UnreadableException when it was not lifted, or that is no reason for what became of it
     */
    public void tell(Person who, ContestEntity contest, Which which, Optional<NoLift> why, Optional<Integer> lights) {
        AttemptEntity there = at(contest, which)
                .of(which)
                .filter(attempt -> attempt.outcome().isPresent())
                .orElseThrow(() -> new UnreadableException("contest.error.unlifted").in("load"));
        Outcome outcome = there.outcome().orElseThrow();
        boolean fits =
                why.map(said -> NoLift.of(which.lift(), outcome).contains(said)).orElse(true);
        boolean shown = lights.map(white -> lights(outcome).contains(white)).orElse(true);
        if (!fits || !shown) {
            throw new UnreadableException("contest.error.why").in("load");
        }
        attempts.tell(
                contest.clubId(),
                which.entry(),
                which.lift().key(),
                which.number(),
                why.or(there::why).map(Enum::name).orElse(null),
                lights.or(there::lights).orElse(null));
    }

    /** How many of the three lights may be white: two make a good lift. */
    static List<Integer> lights(Outcome outcome) {
        return outcome.isMade() ? List.of(3, 2) : List.of(1, 0);
    }

    /** Takes back what became of an attempt: it is still to be lifted; what was named after it is named no more. */
    public void unsay(Person who, ContestEntity contest, Which which) {
        Held held = at(contest, which);
        AttemptEntity there = held.of(which).orElseThrow(NotFoundException::new);
        boolean last = held.attempts.stream()
                .noneMatch(other ->
                        other.number() > which.number() && other.outcome().isPresent());
        if (!last) {
            throw new UnreadableException("contest.error.later").in("load");
        }
        attempts.forgetNamed(contest.clubId(), which.entry(), which.lift(), which.number());
        attempts.say(
                contest.clubId(),
                which.entry(),
                which.lift().key(),
                which.number(),
                there.load().in(MassUnit.KG),
                null,
                time(which),
                who.personName(),
                null,
                null);
        ledger.attempt(who, contest, held.entry, there, Optional.empty());
    }

    /** The attempts at the lift, while nobody else says anything of them. */
    private Held at(ContestEntity contest, Which which) {
        EntryEntity entry =
                entries.lock(contest.clubId(), contest.id(), which.entry()).orElseThrow(NotFoundException::new);
        if (!contest.rules().lifts().contains(which.lift())) {
            throw new NotFoundException();
        }
        return new Held(entry, attempts.at(contest.clubId(), which.entry(), which.lift()));
    }

    private record Held(EntryEntity entry, List<AttemptEntity> attempts) {

        Optional<AttemptEntity> of(Which which) {
            return attempts.stream()
                    .filter(attempt -> attempt.number() == which.number())
                    .findFirst();
        }

        /** The attempts before it, all lifted. */
        List<Attempt> before(Which which, ContestRules rules) {
            List<Attempt> before = attempts.stream()
                    .filter(attempt -> attempt.number() < which.number())
                    .flatMap(attempt -> attempt.lifted().stream())
                    .toList();
            if (which.number() < 1 || which.number() > rules.most() || before.size() != which.number() - 1) {
                throw new UnreadableException("contest.error.order").in("load");
            }
            return before;
        }
    }

    /** A phone's clock may be wrong; it is not believed where it runs ahead. */
    private Instant time(Which which) {
        Instant now = clock.instant();
        return which.at().filter(at -> at.isBefore(now.plus(FAST_CLOCK))).orElse(now);
    }
}
