package dev.yarbel.web.contest;

import dev.yarbel.core.contest.Attempt;
import dev.yarbel.core.contest.Called;
import dev.yarbel.core.contest.ContestRules;
import dev.yarbel.core.contest.DayStrength;
import dev.yarbel.core.contest.NoLift;
import dev.yarbel.core.contest.Outcome;
import dev.yarbel.core.contest.Placed;
import dev.yarbel.core.contest.Points;
import dev.yarbel.core.contest.Rung;
import dev.yarbel.core.contest.ScoreCard;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lifter.Sex;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A contest as it stands on the day.
 *
 * @param lift that is looked at
 * @param cards who is lifting it, those who come next first; the reader's own before the others
 * @param order who lifts when, of those whose load is named
 * @param board how all stand
 */
record DayView(ContestEntity contest, Lift lift, List<Card> cards, List<Turn> order, List<Row> board) {

    private static final long HUNDRED = 100;

    /**
     * A lifter at a lift.
     *
     * @param mine whether the reader coaches them
     * @param sayings what may be said of their attempts: of whom nothing is known only whether they were good
     * @param most how many there may be; a fourth counts for no total
     * @param number of the attempt that comes next; one more than there are when all are over
     * @param named its load, where it was named
     * @param chance of what is named, else of what is advised, in percent; empty where nothing is known of them
     * @param advised what is advised next
     * @param tree the same with all that follows, for when there is no line; blank where nothing is
     * @param least that may be named
     * @param until when the next is to be named; empty where nothing was lifted yet or it is named
     * @param toPass what the last lift must be made with to come before somebody; of the reader's own lifters
     * @param outlook what the day may come to from here, of the reader's own lifters at the lift under way
     * @param changesLeft how often the named load may still be changed; empty where the rules do not count
     * @param whys what there is to say of one that was no good one
     * @param hurt whether something hurt in an attempt today: nothing more is advised
     */
    record Card(
            EntryEntity entry,
            boolean mine,
            List<Outcome> sayings,
            List<AttemptEntity> attempts,
            int most,
            int number,
            Optional<AttemptEntity> named,
            Optional<Long> chance,
            Optional<Rung> advised,
            String tree,
            Optional<Mass> least,
            Optional<Instant> until,
            Optional<Integer> changesLeft,
            List<Rivals.ToPass> toPass,
            Optional<EntryView.Told> outlook,
            boolean out,
            Optional<AttemptEntity> last,
            List<NoLift> whys,
            boolean hurt) {

        public boolean isOver() {
            return number > most;
        }

        /** Whether more is to be said of the last one, while it matters for the next. */
        public boolean isUntold() {
            return !isOver()
                    && last.filter(attempt ->
                                    attempt.outcome().filter(Outcome::isMade).isEmpty()
                                            && attempt.why().isEmpty())
                            .isPresent();
        }
    }

    /** Who is up, on deck, in the hole. */
    record Turn(EntryEntity entry, int round, Mass load) {}

    /**
     * A line of the board.
     *
     * @param bests of each lift; empty where none is good yet
     * @param points by each formula that fits; empty where it does not
     */
    record Row(
            EntryEntity entry,
            List<Optional<Mass>> bests,
            Optional<Mass> soFar,
            boolean complete,
            boolean out,
            Optional<Integer> place,
            String group,
            List<Optional<BigDecimal>> points) {}

    /** What it is made of. */
    record Made(ContestEntity contest, List<EntryEntity> entries, List<AttemptEntity> attempts, Set<Long> own) {

        Map<Lift, List<AttemptEntity>> of(EntryEntity entry) {
            return attempts.stream()
                    .filter(attempt -> attempt.entryId() == entry.id())
                    .collect(Collectors.groupingBy(AttemptEntity::lift));
        }

        ScoreCard card(EntryEntity entry) {
            Map<Lift, List<Attempt>> lifted = new HashMap<>();
            of(entry)
                    .forEach((lift, all) -> lifted.put(
                            lift,
                            all.stream().flatMap(one -> one.lifted().stream()).toList()));
            return new ScoreCard(contest.rules(), lifted);
        }

        /** What was believed of a lifter's day, for their own coach. */
        Optional<DayStrength> day(EntryEntity entry) {
            return entry.lifterId().filter(own::contains).flatMap(lifter -> entry.day(contest.rules()));
        }
    }

    /**
     * The lift that is under way: the last one that somebody has begun, or the one after it where all have ended it.
     */
    static Lift underWay(Made made) {
        List<Lift> lifts = made.contest().rules().lifts();
        int at = made.attempts().stream()
                .filter(attempt -> attempt.outcome().isPresent())
                .mapToInt(attempt -> lifts.indexOf(attempt.lift()))
                .max()
                .orElse(0);
        Lift lift = lifts.get(Math.max(0, at));
        boolean over = !made.entries().isEmpty()
                && made.entries().stream().allMatch(entry -> made.card(entry).isOver(lift));
        return over && at + 1 < lifts.size() ? lifts.get(at + 1) : lift;
    }

    static DayView of(Made made, Lift lift, Advisor advisor) {
        List<Card> cards = new ArrayList<>();
        for (EntryEntity entry : made.entries()) {
            cards.add(card(made, entry, lift, advisor));
        }
        List<Turn> order = order(cards);
        Map<Long, Integer> turns = new HashMap<>();
        order.forEach(turn -> turns.putIfAbsent(turn.entry().id(), turns.size()));
        cards.sort(Comparator.comparing((Card card) -> !card.mine)
                .thenComparing(Card::isOver)
                .thenComparing(card -> turns.getOrDefault(card.entry.id(), Integer.MAX_VALUE)));
        return new DayView(made.contest(), lift, cards, order, board(made));
    }

    private static Card card(Made made, EntryEntity entry, Lift lift, Advisor advisor) {
        ContestRules rules = made.contest().rules();
        ScoreCard card = made.card(entry);
        List<AttemptEntity> all = made.of(entry).getOrDefault(lift, List.of());
        List<Attempt> before = card.at(lift);
        int number = before.size() + 1;
        boolean over = before.size() >= rules.most();
        Optional<AttemptEntity> named = all.stream()
                .filter(attempt ->
                        attempt.number() == number && attempt.outcome().isEmpty())
                .findFirst();
        boolean hurt = card.lifted().values().stream().flatMap(List::stream).anyMatch(Attempt::hurt);
        Optional<DayStrength> day = card.isOut() || hurt ? Optional.empty() : made.day(entry);
        Optional<Advisor.Advised> advice =
                day.map(of -> advisor.at(of, card, entry.way(), Rivals.asked(made, entry), lift));
        Optional<Rung> advised = over ? Optional.empty() : advice.flatMap(Advisor.Advised::next);
        Optional<Long> chance = named.isPresent()
                ? day.map(of -> percent(card.told(of, lift)
                        .form(lift)
                        .after(before)
                        .made(named.get().load())))
                : advised.map(rung -> percent(rung.chance()));
        boolean mine = entry.lifterId().filter(made.own()::contains).isPresent();
        Optional<AttemptEntity> last =
                all.stream().filter(attempt -> attempt.outcome().isPresent()).reduce((one, other) -> other);
        return new Card(
                entry,
                mine,
                mine ? Outcome.TOLD : List.of(Outcome.MADE, Outcome.MISSED),
                all,
                rules.most(),
                number,
                named,
                chance,
                advised,
                advised.map(DayView::tree).orElse(""),
                rules.least(before),
                named.isPresent() || over
                        ? Optional.empty()
                        : last.map(done -> done.saidAt().plus(rules.toName())),
                named.flatMap(attempt -> changesLeft(rules, lift, attempt)),
                mine ? Rivals.toPass(made, entry, lift) : List.of(),
                advice.flatMap(Advisor.Advised::outlook).map(EntryView.Told::of),
                card.isOut(),
                last,
                Stream.of(Outcome.MISSED, Outcome.TURNED_DOWN)
                        .flatMap(outcome -> NoLift.of(lift, outcome).stream())
                        .toList(),
                hurt);
    }

    private static long percent(double chance) {
        return Math.max(1, Math.round(chance * HUNDRED));
    }

    private static Optional<Integer> changesLeft(ContestRules rules, Lift lift, AttemptEntity named) {
        if (named.number() == 1) {
            return Optional.of(Math.max(0, rules.openerChanges() - named.changes()));
        }
        boolean lastPull = named.number() == ContestRules.ATTEMPTS && lift.equals(Lift.DEADLIFT);
        return Optional.of(lastPull ? Math.max(0, rules.lastPullChanges() - named.changes()) : 0);
    }

    /** Load and chance of an attempt and of each that may follow it, as a phone reads them. */
    private static String tree(Rung rung) {
        return "{\"load\":\"" + rung.load().in(MassUnit.KG).toPlainString() + "\",\"chance\":"
                + percent(rung.chance()) + ",\"then\":{"
                + rung.then().entrySet().stream()
                        .sorted(Map.Entry.comparingByKey())
                        .map(entry -> "\"" + entry.getKey() + "\":" + tree(entry.getValue()))
                        .collect(Collectors.joining(","))
                + "}}";
    }

    private static List<Turn> order(List<Card> cards) {
        Map<Long, Card> byEntry = new LinkedHashMap<>();
        cards.forEach(card -> byEntry.put(card.entry.id(), card));
        List<Called> called = byEntry.values().stream()
                .flatMap(card -> card.named.stream()
                        .map(attempt -> new Called(
                                card.entry.id(),
                                card.entry.flight(),
                                attempt.number(),
                                attempt.load(),
                                card.entry.lot().orElse(Integer.MAX_VALUE))))
                .toList();
        return Called.inOrder(called).stream()
                .map(one -> new Turn(byEntry.get(one.who()).entry, one.round(), one.load()))
                .toList();
    }

    // ---- the board

    static List<Row> board(Made made) {
        ContestRules rules = made.contest().rules();
        Map<String, List<EntryEntity>> groups = made.entries().stream()
                .collect(Collectors.groupingBy(DayView::group, TreeMap::new, Collectors.toList()));
        List<Row> board = new ArrayList<>();
        groups.forEach((group, entries) -> {
            Map<Long, EntryEntity> byId = entries.stream().collect(Collectors.toMap(EntryEntity::id, entry -> entry));
            Placed.of(entries.stream()
                            .map(entry -> new Placed.Standing(
                                    entry.id(), made.card(entry).soFar(), entry.bodyMass()))
                            .toList())
                    .forEach(placed ->
                            board.add(row(made, byId.get(placed.standing().who()), group, placed.place(), rules)));
        });
        return board;
    }

    /** Those who are placed together: of one sex and class. */
    private static String group(EntryEntity entry) {
        return entry.sex()
                .map(sex -> sex.name() + "/"
                        + entry.bodyMass()
                                .map(body -> ContestRules.classOf(sex, body)
                                        .map(limit -> limit.in(MassUnit.KG)
                                                .setScale(0, RoundingMode.HALF_UP)
                                                .toPlainString())
                                        .orElse("+"))
                                .orElse(""))
                .orElse("");
    }

    private static Row row(Made made, EntryEntity entry, String group, Optional<Integer> place, ContestRules rules) {
        ScoreCard card = made.card(entry);
        return new Row(
                entry,
                rules.lifts().stream().map(card::best).toList(),
                card.soFar(),
                card.total().isPresent(),
                card.isOut(),
                place,
                group,
                Points.of(rules.benchOnly()).stream()
                        .map(formula -> points(formula, entry, card, rules))
                        .toList());
    }

    private static Optional<BigDecimal> points(Points formula, EntryEntity entry, ScoreCard card, ContestRules rules) {
        Optional<Sex> sex = entry.sex();
        return sex.flatMap(of -> entry.bodyMass().flatMap(body -> card.total()
                        .flatMap(total ->
                                formula.worth(new Points.Event(of, rules.equipped(), rules.benchOnly()), body, total))))
                .map(worth -> BigDecimal.valueOf(worth).setScale(2, RoundingMode.HALF_UP));
    }
}
