package dev.yarbel.web.roster;

import dev.yarbel.core.lifter.HealthCheck;
import dev.yarbel.core.review.Situation;
import dev.yarbel.web.page.Person;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.LongUnaryOperator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The coach's morning: a line for each of their lifters, those who need somebody first. */
@Service
@Transactional(readOnly = true)
class Mornings {

    /** Lines on one page. */
    static final int PAGE = 100;

    private final Roster roster;
    private final TrainingOverview overview;
    private final Clock clock;

    Mornings(Roster roster, TrainingOverview overview, Clock clock) {
        this.roster = roster;
        this.overview = overview;
        this.clock = clock;
    }

    /**
     * A page of the morning.
     *
     * @param all how many lifters there are to look at
     * @param counts how many of them each choice would show, those that show none left out
     * @param lines those of this page
     * @param next where the next page begins; 0 when there is none
     */
    record Morning(MorningLook look, int all, Map<MorningLook.Only, Long> counts, List<MorningLine> lines, int next) {

        /** Whether there is somebody, and nobody needs the coach. */
        public boolean allWell() {
            return all > 0 && !counts.containsKey(MorningLook.Only.ANY_NEED);
        }
    }

    /**
     * @param part part of a name; whoever looks for a name finds it whatever they look at else
     * @param calls how many decisions wait for a lifter
     * @param from which line the page begins with
     */
    Morning of(Person coach, MorningLook chosen, String part, LongUnaryOperator calls, int from) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), coach.zone());
        List<MorningLine> everybody = lines(coach, part, calls, today);
        MorningLook look = part.isBlank() ? chosen : new MorningLook(chosen.order(), MorningLook.Only.EVERYBODY);
        List<MorningLine> shown = everybody.stream()
                .filter(look.only()::shows)
                .sorted(look.order().comparator())
                .toList();
        int begin = Math.max(0, Math.min(from, shown.size()));
        int end = Math.min(begin + PAGE, shown.size());
        return new Morning(
                look, everybody.size(), counts(everybody), shown.subList(begin, end), end < shown.size() ? end : 0);
    }

    private static Map<MorningLook.Only, Long> counts(List<MorningLine> lines) {
        Map<MorningLook.Only, Long> counts = new LinkedHashMap<>();
        Arrays.stream(MorningLook.Only.values()).forEach(only -> {
            long count = lines.stream().filter(only::shows).count();
            if (count > 0) {
                counts.put(only, count);
            }
        });
        return counts;
    }

    private List<MorningLine> lines(Person coach, String part, LongUnaryOperator calls, LocalDate today) {
        List<LifterCard> cards = roster.mine(coach, part);
        List<Long> ids = cards.stream().map(LifterCard::id).toList();
        Set<Long> aching = roster.aching(coach.clubId(), ids);
        Map<Long, InTraining> training = overview.of(coach.clubId(), ids, today);
        return cards.stream()
                .map(card -> {
                    InTraining known = training.get(card.id());
                    long open = calls.applyAsLong(card.id());
                    Situation situation =
                            known.situation().with(isStopped(card, today), open, aching.contains(card.id()));
                    return new MorningLine(
                            card,
                            open,
                            new InTraining(situation, known.block(), known.sessions()),
                            situation.needs(),
                            MiniStrip.of(known, today));
                })
                .toList();
    }

    private static boolean isStopped(LifterCard card, LocalDate today) {
        return card.health().state() == HealthCheck.State.NEEDS_CLEARANCE || card.needsConsent(today);
    }
}
