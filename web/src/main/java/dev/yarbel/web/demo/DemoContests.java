package dev.yarbel.web.demo;

import dev.yarbel.core.contest.AnnouncedEvent;
import dev.yarbel.core.contest.EventMeasure;
import dev.yarbel.core.contest.Outcome;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lifter.Sex;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.contest.HeldContests;
import dev.yarbel.web.contest.Way;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** The demo's contests: one under way today in the second lift, one in three weeks, one that a block leads to, one that was postponed, and one of strongman. */
@Component
class DemoContests {

    private static final String RULES = "ipf-classic";
    private static final Duration HALF_AN_HOUR = Duration.ofMinutes(30);

    private final HeldContests contests;
    private final Roster roster;
    private final Clock clock;

    DemoContests(HeldContests contests, Roster roster, Clock clock) {
        this.contests = contests;
        this.roster = roster;
        this.clock = clock;
    }

    /**
     * @param far the day that a block leads to
     * @param postponed the same, of a contest that loses it
     */
    void hold(Person bryn, Person maren, LocalDate today, LocalDate far, LocalDate postponed) {
        long quay = contests.hold(bryn, "Quay Open", "Ropewalk Hall", Optional.of(today), RULES);
        long hanno = enter(bryn, quay, "Hanno Dray", 4, Way.AVERAGE, null);
        lift(bryn, quay, hanno, "150 EASY, 157.5 SOLID, 162.5 MISSED", "110 EASY, 115");
        long tobin = enter(bryn, quay, "Tobin Marsh", 9, Way.AHEAD, null);
        lift(bryn, quay, tobin, "190 EASY, 200 SOLID, 207.5 TURNED_DOWN", "142.5 EASY, 150");
        long agathe = enter(maren, quay, "Agathe Lorne", 2, Way.SHARES, null);
        lift(maren, quay, agathe, "82.5 EASY, 87.5 SOLID, 92.5 GRIND", "50 EASY");
        long marlo = guest(bryn, quay, "Marlo Finch", "92.1", 5, 560);
        lift(bryn, quay, marlo, "195 MADE, 205 MADE, 212.5 MISSED", "137.5 MADE, 142.5");
        long osk = guest(bryn, quay, "Osk Levander", "103.4", 7, 585);
        lift(bryn, quay, osk, "200 MADE, 210 MADE, 217.5 MADE", "150 MISSED, 150");
        contests.flight(bryn, quay, Lift.DEADLIFT, clock.instant().plus(HALF_AN_HOUR), 1);

        long slack =
                contests.hold(bryn, "Slack Water Championship", "Lock House", Optional.of(today.plusWeeks(3)), RULES);
        long wren = enter(bryn, slack, "Wren Halloway", 3, Way.TOTAL, Mass.ofKg(495));
        contests.mean(bryn, slack, wren, Mass.ofKg(76));
        enter(maren, slack, "Ida Fenwright", 6, Way.SHARES, null);
        long cup = contests.hold(bryn, "Lightship Cup", "Lock House", Optional.of(far), RULES);
        enter(bryn, cup, "Desmond Pike", 1, Way.SHARES, null);
        long sandbar = contests.hold(bryn, "Sandbar Classic", "Sailmakers’ Loft", Optional.of(postponed), RULES);
        enter(bryn, sandbar, "Rufus Kell", 8, Way.SHARES, null);
        contests.move(bryn, sandbar, Optional.empty());
        games(bryn, maren, today.plusWeeks(2));
    }

    /** A strongman contest of five events, with what is expected of each. */
    private void games(Person bryn, Person maren, LocalDate on) {
        long games = contests.hold(bryn, "Harbour Games", "Coal Quay", Optional.of(on), "strongman");
        Optional<Length> farmers = Optional.of(Length.of(BigDecimal.valueOf(40), LengthUnit.M));
        Optional<Length> yoke = Optional.of(Length.of(BigDecimal.valueOf(20), LengthUnit.M));
        Optional<Duration> minute = Optional.of(Duration.ofSeconds(60));
        List<Mass> stones = List.of(Mass.ofKg(100), Mass.ofKg(115), Mass.ofKg(130), Mass.ofKg(140), Mass.ofKg(155));
        List<Long> events = List.of(
                event(bryn, games, "Log", "log-press", of(EventMeasure.REPS, 110, Optional.empty(), minute), 10),
                event(bryn, games, "Deadlift", "deadlift", of(EventMeasure.REPS, 260, Optional.empty(), minute), 11),
                event(
                        bryn,
                        games,
                        "Farmer’s walk",
                        "farmers-walk",
                        of(EventMeasure.DISTANCE, 110, farmers, minute),
                        12),
                event(bryn, games, "Yoke", "yoke-walk", of(EventMeasure.TIME, 320, yoke, minute), 14),
                event(
                        bryn,
                        games,
                        "Stones",
                        "stone-to-platform",
                        new AnnouncedEvent(EventMeasure.PIECES, Optional.empty(), stones, Optional.empty(), minute),
                        15));
        results(
                bryn,
                games,
                enter(bryn, games, "Colm Tarrow", 1, Way.SHARES, null),
                events,
                "~7|~8|~40 / 24|~13.5|~4 / 38");
        results(
                maren,
                games,
                enter(maren, games, "Piet Ondervane", 2, Way.SHARES, null),
                events,
                "~5|~6|~38|~15|~5 / 44");
        results(bryn, games, guest(bryn, games, "Brock Averill", "131", 3, 0), events, "~9|~5|~40 / 22|~13|~5 / 40");
        results(bryn, games, guest(bryn, games, "Tam Osterley", "118", 4, 0), events, "~7|~9|~31|~14.1|~4 / 45");
        results(bryn, games, guest(bryn, games, "Jory Pell", "125", 5, 0), events, "~3|~7|~40 / 27|~17|~3 / 30");
    }

    private static AnnouncedEvent of(
            EventMeasure measure, int load, Optional<Length> course, Optional<Duration> limit) {
        return new AnnouncedEvent(measure, Optional.of(Mass.ofKg(load)), List.of(), course, limit);
    }

    /** @param hour at which it begins */
    private long event(Person coach, long contest, String name, String lift, AnnouncedEvent as, int hour) {
        return contests.event(
                coach, contest, name, new Lift(lift), as, Optional.of(LocalTime.of(hour, 0)), Optional.of(4));
    }

    private void results(Person coach, long contest, long entry, List<Long> events, String written) {
        String[] each = written.split("\\|");
        for (int i = 0; i < each.length; i++) {
            contests.result(coach, contest, entry, events.get(i), each[i]);
        }
    }

    private long enter(Person coach, long contest, String name, int lot, Way way, Mass asked) {
        LifterCard lifter = roster.lifters(coach).stream()
                .filter(card -> card.name().equals(name))
                .findFirst()
                .map(card -> roster.lifter(coach, card.id()))
                .orElseThrow();
        return contests.enter(coach, contest, lifter, lot, way, Optional.ofNullable(asked));
    }

    private long guest(Person coach, long contest, String name, String body, int lot, int expected) {
        return contests.enterGuest(
                coach,
                contest,
                name,
                Sex.MALE,
                Mass.of(body, MassUnit.KG),
                lot,
                Optional.of(expected).filter(total -> total > 0).map(Mass::ofKg));
    }

    private void lift(Person coach, long contest, long entry, String squats, String benches) {
        lift(coach, contest, entry, Lift.SQUAT, squats);
        lift(coach, contest, entry, Lift.BENCH_PRESS, benches);
    }

    private void lift(Person coach, long contest, long entry, Lift lift, String attempts) {
        int number = 1;
        for (String attempt : List.of(attempts.split(", "))) {
            String[] parts = attempt.split(" ");
            contests.attempt(
                    coach,
                    contest,
                    entry,
                    lift,
                    number,
                    Mass.of(parts[0], MassUnit.KG),
                    parts.length > 1 ? Optional.of(Outcome.valueOf(parts[1])) : Optional.empty());
            number++;
        }
    }
}
