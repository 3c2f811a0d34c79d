package dev.yarbel.core.adjust;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Lifted;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.equipment.Kits;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.lift.Ache;
import dev.yarbel.core.lift.HealedAche;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.measure.BarSpeed;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.record.CoachSeen;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.session.AskedDay;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.KitInUse;
import dev.yarbel.core.session.LiftNumbers;
import dev.yarbel.core.session.Numbers;
import dev.yarbel.core.session.Projection;
import dev.yarbel.core.session.Resolver;
import dev.yarbel.core.session.TaskKey;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * A lifter in one lift, put together line by line: what is known, what was lifted on which day, what a block of one slot asks
 * for. The block's first week is the one of the last session, its day is that session's weekday.
 */
final class CallScene {

    static final LocalDate TODAY = LocalDate.of(2026, 3, 9);

    private static final Pattern SET = Pattern.compile("([\\d.]+)x(\\d+) (\\S+?)(?: (\\S+))?");

    private final Lift lift;
    private final List<SeenSession> sessions = new ArrayList<>();
    private final List<Ache> aches = new ArrayList<>();
    private final List<HealedAche> healed = new ArrayList<>();
    private Optional<Mass> workingMax = Optional.of(Mass.ofKg(200));
    private Optional<MaxEstimate> estimate = Optional.empty();
    private List<String> ahead = List.of();
    private boolean setDown = true;
    private boolean deload;

    CallScene(Lift lift) {
        this.lift = lift;
    }

    static CallScene squat() {
        return new CallScene(Lift.SQUAT);
    }

    CallScene workingMax(String kg) {
        workingMax = kg.isEmpty() ? Optional.empty() : Optional.of(kg(kg));
        return this;
    }

    /** The sessions from here on are of a deload. */
    CallScene deload() {
        deload = true;
        return this;
    }

    CallScene unknown() {
        setDown = false;
        return workingMax("");
    }

    /** An estimate that the last session moved. */
    CallScene estimate(String before, String after) {
        estimate = Optional.of(new MaxEstimate(
                kg(after),
                Mass.ofKg(5),
                List.of(new MaxEstimate.Movement(TODAY, kg(before), kg(after), Mass.ofKg(5), List.of()))));
        return this;
    }

    /** An ache that came up and was cleared so many days ago. */
    CallScene healed(int since, int cleared, Integer weight) {
        healed.add(new HealedAche(
                new Ache(Tissue.LOW_BACK, "", TODAY.minusDays(since), Optional.ofNullable(weight), Set.of()),
                "a physiotherapist",
                TODAY.minusDays(cleared)));
        return this;
    }

    CallScene aching(Ache ache) {
        aches.add(ache);
        return this;
    }

    /** What the block asks for in its weeks, the first of which is the last session's. */
    CallScene ahead(String... doses) {
        ahead = List.of(doses);
        return this;
    }

    /**
     * A session so many days ago.
     *
     * @param dose what slot A asked for; blank where nobody planned it. After a bar, what its load came to
     * @param sets like {@code 180x1 8.5}, {@code 180x3 missed PAIN} or {@code 180x1 8 worn}
     */
    CallScene lifted(int daysAgo, String dose, String... sets) {
        return session(daysAgo, dose, Optional.empty(), sets);
    }

    CallScene session(int daysAgo, String dose, Optional<String> pain, String... sets) {
        List<DoneSet> done = new ArrayList<>();
        for (int i = 0; i < sets.length; i++) {
            done.add(new DoneSet(TaskKey.work("A", i + 1), set(sets[i])));
        }
        sessions.add(new SeenSession(TODAY.minusDays(daysAgo), asked(dose), done, pain));
        return this;
    }

    private Optional<AskedDay> asked(String text) {
        if (text.isBlank()) {
            return Optional.empty();
        }
        String[] parts = text.split("\\|");
        Dose dose = Dose.parse(parts[0].strip());
        List<AskedDay.Stood> loads = Stream.of(parts)
                .skip(1)
                .map(load -> new AskedDay.Stood(Optional.of(kg(load.strip())), false))
                .toList();
        return Optional.of(new AskedDay(deload, List.of(new AskedDay.Line("A", lift, dose, loads))));
    }

    private LiftedSet set(String text) {
        Matcher read = SET.matcher(text);
        if (!read.matches()) {
            throw new IllegalArgumentException(text);
        }
        Optional<String> more = Optional.ofNullable(read.group(4));
        SetDetails details = more.map(word -> switch (word) {
                    case "worn" -> SetDetails.NONE.worn(Set.of());
                    case "said" -> SetDetails.NONE.worn(Set.of()).noted("belt at home");
                    case "limit" -> SetDetails.NONE.proven(SetDetails.Proof.LIMIT_SET);
                    case "noted" -> SetDetails.NONE.noted("cut, the gym closed");
                    default ->
                        word.startsWith("v")
                                ? SetDetails.NONE.with(BarSpeed.parse(word.substring(1)))
                                : word.startsWith("link:")
                                        ? SetDetails.NONE.seenBy(new CoachSeen(
                                                Optional.empty(),
                                                Optional.empty(),
                                                Optional.of(CoachSeen.WeakLink.valueOf(word.substring(5))),
                                                Optional.empty(),
                                                Optional.empty()))
                                        : SetDetails.NONE.missed(SetDetails.MissedBy.valueOf(word));
                })
                .orElse(SetDetails.NONE);
        return new LiftedSet(
                lift, kg(read.group(1)), Integer.parseInt(read.group(2)), Effort.parse(read.group(3)), details);
    }

    static Mass kg(String kg) {
        return Mass.of(kg, MassUnit.KG);
    }

    PlanAhead plan() {
        Map<Lift, LiftNumbers> numbers = new HashMap<>();
        workingMax.ifPresent(max -> numbers.put(
                lift,
                new LiftNumbers(workingMax, estimate.map(MaxEstimate::max).or(() -> workingMax), RepCurve.DEFAULT)));
        Resolver resolver = new Resolver(KitInUse.of(Kits.kg()), Rounding.NEAREST, Numbers.of(numbers));
        int weekday = sessions.isEmpty()
                ? 0
                : Math.floorMod(
                        sessions.get(sessions.size() - 1).date().getDayOfWeek().getValue() - 1, 7);
        LocalDate last =
                sessions.isEmpty() ? TODAY : sessions.get(sessions.size() - 1).date();
        LocalDate monday = last.minusDays(weekday);
        List<Optional<Dose>> doses =
                ahead.stream().map(dose -> Optional.of(Dose.parse(dose))).toList();
        Block block = ahead.isEmpty()
                ? new Block(monday, 1, List.of(new TrainingDay("Day", weekday, List.of())))
                : new Block(
                        monday,
                        ahead.size(),
                        List.of(new TrainingDay("Day", weekday, List.of(new Slot("A", lift, doses)))));
        Projection.Log log = new Projection.Log() {
            @Override
            public Optional<List<DoneSet>> on(int day, int week) {
                return session(day, week).map(SeenSession::done);
            }

            @Override
            public Optional<AskedDay> asked(int day, int week) {
                return session(day, week).flatMap(SeenSession::asked);
            }

            private Optional<SeenSession> session(int day, int week) {
                return ahead.isEmpty()
                        ? Optional.empty()
                        : sessions.stream()
                                .filter(session -> session.date().equals(block.date(day, week)))
                                .findFirst();
            }
        };
        return new PlanAhead(block, resolver, log, Lifted.NOTHING, Projection.of(block, resolver, log), TODAY);
    }

    Subject subject() {
        return new Subject(
                        lift,
                        new Subject.Known(workingMax, estimate, Percent.HUNDRED, Caps.USUAL, setDown),
                        plan(),
                        sessions,
                        aches)
                .healed(healed);
    }

    /** What a rule finds at its usual threshold. */
    List<Finding> look(CallRule rule) {
        return rule.look(subject(), Tuning.USUAL.threshold(rule));
    }

    /** What a rule finds at another threshold. */
    List<Finding> look(CallRule rule, String threshold) {
        return rule.look(subject(), new BigDecimal(threshold));
    }

    /** What all rules find, the weightiest first. */
    List<String> found() {
        return new Calls(Calls.RULES)
                .look(subject(), Tuning.USUAL).stream().map(Finding::rule).toList();
    }
}
