package dev.yarbel.web.book;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Muscle;
import dev.yarbel.core.lift.SetUpMeasure;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.measure.UnitSlip;
import dev.yarbel.core.session.FarOff;
import dev.yarbel.web.kit.KitShelf;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import java.math.BigDecimal;
import java.text.Normalizer;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what a coach sets down about a lifter's lifts before planning. All of it goes into the ledger. */
@Service
@Transactional
class StartingNumbers {

    private static final int MOST_REASON = 200;

    private final ClubLifts lifts;
    private final LiftNumbersRepository numbers;
    private final RecordedMaxRepository maxes;
    private final OwnVariationRepository variations;
    private final SetUpRepository setUps;
    private final KitShelf kits;
    private final Ledger ledger;
    private final Words words;
    private final Clock clock;

    StartingNumbers(
            ClubLifts lifts,
            LiftNumbersRepository numbers,
            RecordedMaxRepository maxes,
            OwnVariationRepository variations,
            SetUpRepository setUps,
            KitShelf kits,
            Ledger ledger,
            Words words,
            Clock clock) {
        this.lifts = lifts;
        this.numbers = numbers;
        this.maxes = maxes;
        this.variations = variations;
        this.setUps = setUps;
        this.kits = kits;
        this.ledger = ledger;
        this.words = words;
        this.clock = clock;
    }

    /** The lift of a key, if the club knows it. */
    @Transactional(readOnly = true)
    Variation variation(LifterCard lifter, String key) {
        return lifts.catalogue(lifter.clubId()).all().stream()
                .filter(variation -> variation.lift().key().equals(key))
                .findFirst()
                .orElseThrow(NotFoundException::new);
    }

    private LocalDate today(Person person) {
        return LocalDate.ofInstant(clock.instant(), person.zone());
    }

    private LiftNumbersEntity row(LifterCard lifter, Lift lift) {
        return numbers.findByClubIdAndLifterIdAndLift(lifter.clubId(), lifter.id(), lift)
                .orElseGet(() -> numbers.save(new LiftNumbersEntity(lifter.clubId(), lifter.id(), lift)));
    }

    /**
     * Sets a max down, and where there is no working max yet, that too at the coach's share of it.
     *
     * @param typedIn the unit it was typed in, in which it is shown again
     * @param meant whether the coach was asked about this load and stands by it
     */
    NowSetDown max(Person coach, LifterCard lifter, RecordedMax max, MassUnit typedIn, boolean meant) {
        if (!meant) {
            askAbout(
                    max.load(),
                    maxes.newest(lifter.clubId(), lifter.id(), max.lift()).stream()
                            .findFirst()
                            .map(RecordedMaxEntity::max)
                            .map(RecordedMax::load),
                    lifter);
        }
        RecordedMaxEntity kept = maxes.save(
                new RecordedMaxEntity(lifter.clubId(), lifter.id(), max, typedIn, coach.personName(), clock.instant()));
        ledger.write(
                coach,
                lifter,
                ChangeKind.MAX,
                List.of(max.lift().key(), max.kind().name(), String.valueOf(max.reps())),
                Optional.empty(),
                "",
                words.load(max.load(), lifter.unit()));
        LiftNumbersEntity row = row(lifter, max.lift());
        if (max.kind() != RecordedMax.Kind.GOAL && row.workingMax().isEmpty()) {
            Mass share = max.max(row.decidedCurve().orElse(RepCurve.DEFAULT)).times(lifter.shareOfEstimate());
            workingMax(coach, lifter, row, share);
            return new NowSetDown(kept.id(), Optional.of(row));
        }
        return new NowSetDown(kept.id(), Optional.empty());
    }

    /** @param made the numbers whose working max came of it */
    record NowSetDown(long max, Optional<LiftNumbersEntity> made) {}

    /** Does away with a working max that a max made, unless somebody moved it since. */
    void unmade(Person coach, LifterCard lifter, long numbersId, Mass made) {
        numbers.findByClubIdAndLifterIdAndId(lifter.clubId(), lifter.id(), numbersId)
                .filter(row -> row.workingMax().equals(Optional.of(made)))
                .ifPresent(row -> {
                    row.workingMax(null);
                    ledger.write(
                            coach,
                            lifter,
                            ChangeKind.WORKING_MAX,
                            List.of(row.lift().key()),
                            Optional.empty(),
                            words.load(made, lifter.unit()),
                            "");
                });
    }

    /** A max as it was typed into a field. */
    record TypedMax(String field, RecordedMax max, MassUnit typedIn) {}

    /**
     * Sets several maxes down, all of them or none.
     *
     * @param meant whether the coach was asked about these loads and stands by them
     */
    void maxes(Person coach, LifterCard lifter, List<TypedMax> typed, boolean meant) {
        for (TypedMax each : typed) {
            try {
                max(coach, lifter, each.max(), each.typedIn(), meant);
            } catch (UnreadableException trouble) {
                throw trouble.in(each.field());
            }
        }
    }

    /** What is far from the last entry is asked about once, never refused. */
    private void askAbout(Mass load, Optional<Mass> last, LifterCard lifter) {
        FarOff.max(load, last).ifPresent(known -> {
            String code = UnitSlip.isSuspected(load, known) ? "ask.unit-slip" : "ask.far-off";
            throw new UnreadableException(code, words.load(known, lifter.unit())).in("load");
        });
    }

    /** Sets down a max that a novice's start found, with what it came from, and makes a working max of it. */
    void found(Person coach, LifterCard lifter, Lift lift, Mass max, Mass workingMax, String source) {
        RecordedMax recorded =
                new RecordedMax(lift, RecordedMax.Kind.ESTIMATED, max, 1, today(coach), Set.of(), words.say(source));
        boolean known = maxes.newest(lifter.clubId(), lifter.id(), lift)
                .map(RecordedMaxEntity::max)
                .filter(recorded::equals)
                .isPresent();
        if (!known) {
            maxes.save(new RecordedMaxEntity(
                    lifter.clubId(), lifter.id(), recorded, lifter.unit(), coach.personName(), clock.instant()));
            ledger.write(
                    coach,
                    lifter,
                    ChangeKind.MAX,
                    List.of(lift.key(), RecordedMax.Kind.ESTIMATED.name(), "1"),
                    Optional.of(words.say(source)),
                    "",
                    words.about(max, lifter.unit()));
        }
        workingMax(coach, lifter, row(lifter, lift), workingMax);
    }

    private void workingMax(Person coach, LifterCard lifter, LiftNumbersEntity row, Mass max) {
        Optional<Mass> before = row.workingMax();
        if (!before.equals(Optional.of(max))) {
            row.workingMax(max);
            ledger.write(
                    coach,
                    lifter,
                    ChangeKind.WORKING_MAX,
                    List.of(row.lift().key()),
                    Optional.empty(),
                    before.map(mass -> words.load(mass, lifter.unit())).orElse(""),
                    words.load(max, lifter.unit()));
        }
    }

    /**
     * Sets the working max to what the coach typed.
     *
     * @param meant whether the coach was asked about this load and stands by it
     */
    void workingMax(Person coach, LifterCard lifter, Lift lift, Mass load, boolean meant) {
        LiftNumbersEntity row = row(lifter, lift);
        if (!meant) {
            askAbout(load, row.workingMax(), lifter);
        }
        workingMax(coach, lifter, row, load);
    }

    /** Strikes a max or brings it back. */
    void struck(Person coach, LifterCard lifter, long maxId, boolean struck) {
        RecordedMaxEntity entity = maxes.findByClubIdAndLifterIdAndId(lifter.clubId(), lifter.id(), maxId)
                .orElseThrow(NotFoundException::new);
        if (entity.isRemoved() != struck) {
            entity.remove(struck ? clock.instant() : null);
            String load = words.load(entity.max().load(), lifter.unit());
            ledger.write(
                    coach,
                    lifter,
                    ChangeKind.MAX,
                    List.of(
                            entity.lift().key(),
                            entity.max().kind().name(),
                            String.valueOf(entity.max().reps())),
                    Optional.empty(),
                    struck ? load : "",
                    struck ? "" : load);
        }
    }

    Lift liftOf(LifterCard lifter, long maxId) {
        return maxes.findByClubIdAndLifterIdAndId(lifter.clubId(), lifter.id(), maxId)
                .map(RecordedMaxEntity::lift)
                .orElseThrow(NotFoundException::new);
    }

    /** Keeps what is known of how a lift has been practised. */
    void mastery(Person coach, LifterCard lifter, Lift lift, Book.Practice practice) {
        LiftNumbersEntity row = row(lifter, lift);
        write(coach, lifter, lift, "since", row.practisedSince(), practice.since());
        write(coach, lifter, lift, "consistency", row.consistency(), practice.consistency());
        write(coach, lifter, lift, "mastery", row.mastery(), practice.mastery());
        row.practisedSince(practice.since().orElse(null));
        row.consistency(practice.consistency().orElse(null));
        row.mastery(practice.mastery().orElse(null));
    }

    private void write(Person coach, LifterCard lifter, Lift lift, String what, Optional<?> before, Optional<?> after) {
        if (!before.equals(after)) {
            ledger.write(
                    coach,
                    lifter,
                    ChangeKind.MASTERY,
                    List.of(lift.key(), what),
                    Optional.empty(),
                    before.map(Object::toString).orElse(""),
                    after.map(Object::toString).orElse(""));
        }
    }

    /** Sets a ratio to the parent for this lifter; none goes back to the default. */
    void ratio(Person coach, LifterCard lifter, Variation variation, Optional<Percent> share) {
        if (variation.parent().isEmpty()) {
            throw new NotFoundException();
        }
        LiftNumbersEntity row = row(lifter, variation.lift());
        Optional<Percent> before = row.ratio();
        if (!before.equals(share)) {
            row.ratio(share.orElse(null));
            ledger.write(
                    coach,
                    lifter,
                    ChangeKind.RATIO,
                    List.of(variation.lift().key()),
                    Optional.empty(),
                    before.map(words::percent).orElse(""),
                    share.map(words::percent).orElse(""));
        }
    }

    /**
     * Decides how the ratings of a lift lean, of what it varies and of all that vary that; none goes back to what is learnt.
     *
     * @throws UnreadableException where something is decided and nobody says why
     */
    void bias(Person coach, LifterCard lifter, Variation variation, Optional<BigDecimal> reps, String why) {
        Lift root = lifts.catalogue(lifter.clubId()).root(variation.lift());
        Optional<DecidedBias> after = reps.map(decided ->
                new DecidedBias(decided, Reading.field("why", why, text -> Reading.words(text, MOST_REASON))));
        LiftNumbersEntity row = row(lifter, root);
        Optional<DecidedBias> before = row.decidedBias();
        if (!before.equals(after)) {
            row.decideBias(after);
            ledger.write(
                    coach,
                    lifter,
                    ChangeKind.RATINGS,
                    List.of(root.key()),
                    after.map(DecidedBias::why),
                    said(before),
                    said(after));
        }
    }

    private static String said(Optional<DecidedBias> bias) {
        return bias.map(decided -> decided.reps().toPlainString()).orElse("learnt");
    }

    /** Sets down the load announced for the contest; none where none is any more. */
    void eventLoad(Person coach, LifterCard lifter, Lift lift, Optional<Mass> load) {
        LiftNumbersEntity row = row(lifter, lift);
        Optional<Mass> before = row.eventLoad();
        if (!before.equals(load)) {
            row.eventLoad(load.orElse(null));
            ledger.write(
                    coach,
                    lifter,
                    ChangeKind.EVENT_LOAD,
                    List.of(lift.key()),
                    Optional.empty(),
                    before.map(mass -> words.load(mass, lifter.unit())).orElse(""),
                    load.map(mass -> words.load(mass, lifter.unit())).orElse(""));
        }
    }

    /** Keeps the figures of a set-up card; one that is blank or missing is taken off it. */
    void setUp(Person coach, LifterCard lifter, Variation variation, Map<SetUpMeasure, String> figures) {
        Map<SetUpMeasure, SetUpEntity> card =
                setUps.findByClubIdAndLifterIdOrderById(lifter.clubId(), lifter.id()).stream()
                        .filter(figure -> figure.lift().equals(variation.lift()))
                        .collect(Collectors.toMap(SetUpEntity::measure, Function.identity()));
        for (SetUpMeasure measure : variation.measures()) {
            Optional<String> figure =
                    Optional.ofNullable(figures.get(measure)).map(String::strip).filter(text -> !text.isEmpty());
            Optional<SetUpEntity> kept = Optional.ofNullable(card.get(measure));
            String before = kept.map(SetUpEntity::figure).orElse("");
            if (!before.equals(figure.orElse(""))) {
                if (figure.isEmpty()) {
                    kept.ifPresent(setUps::delete);
                } else {
                    kept.ifPresentOrElse(
                            entity -> entity.figure(figure.get()),
                            () -> setUps.save(new SetUpEntity(
                                    lifter.clubId(), lifter.id(), variation.lift(), measure, figure.get())));
                }
                ledger.write(
                        coach,
                        lifter,
                        ChangeKind.SET_UP,
                        List.of(variation.lift().key(), measure.name()),
                        Optional.empty(),
                        before,
                        figure.orElse(""));
            }
        }
    }

    /**
     * A variation of the club's own.
     *
     * @param parent what it is a variation of; null where it stands alone
     * @param ratio of its max to its parent's
     * @param trains and loads what it trains and loads where it stands alone
     * @param card what its set-up card asks for
     */
    record OwnLift(
            String name,
            Variation parent,
            Percent ratio,
            Implement implement,
            boolean pins,
            Set<Muscle> trains,
            Set<Tissue> loads,
            List<SetUpMeasure> card) {

        Variation as(Lift lift) {
            return parent == null
                    ? Variation.alone(lift, trains, loads, implement, pins, card)
                    : parent.varied(lift, ratio, implement, pins, card);
        }
    }

    /** Adds a variation of the club's own. */
    Lift add(Person coach, LifterCard lifter, OwnLift own) {
        Lift lift = Reading.field("name", own.name(), this::key);
        if (lifts.catalogue(lifter.clubId()).find(lift).isPresent()) {
            throw new UnreadableException("book.lift-there").in("name");
        }
        variations.save(new OwnVariation(lifter.clubId(), own.as(lift)));
        ledger.write(coach, lifter, ChangeKind.VARIATION, List.of(lift.key()), Optional.empty(), "", described(own));
        return lift;
    }

    private String described(OwnLift own) {
        return own.parent() == null
                ? own.trains().stream()
                        .map(muscle -> words.say("muscle." + muscle))
                        .collect(Collectors.joining(", "))
                : words.lift(own.parent().lift()) + ", " + words.percent(own.ratio());
    }

    /** Sets down a max and a working max, for work that nobody in particular asked for. */
    void start(LifterCard lifter, RecordedMax max, Mass workingMax) {
        maxes.save(new RecordedMaxEntity(lifter.clubId(), lifter.id(), max, lifter.unit(), "", clock.instant()));
        LiftNumbersEntity entity = new LiftNumbersEntity(lifter.clubId(), lifter.id(), max.lift());
        entity.workingMax(workingMax);
        numbers.save(entity);
    }

    /**
     * Has all lifts of a lifter hang on a curve, and writes into the ledger for which of them that is another one.
     *
     * @param curve empty where each lift's is learnt from the log
     */
    void useCurve(Person coach, LifterCard lifter, Optional<RepCurve> curve) {
        for (LiftNumbersEntity lift : numbers.findByClubIdAndLifterIdOrderById(lifter.clubId(), lifter.id())) {
            Optional<RepCurve> before = lift.decidedCurve();
            if (!before.equals(curve)) {
                lift.decideCurve(curve);
                ledger.write(
                        coach,
                        lifter,
                        ChangeKind.CURVE,
                        List.of(lift.lift().key()),
                        Optional.empty(),
                        CurvesView.key(before),
                        CurvesView.key(curve));
            }
        }
    }

    /**
     * Moves a lifter's working max, and writes into the ledger who decided that and why.
     *
     * @param expected the working max the decision was made on
     * @return the number of the ledger's entry; empty when it no longer stood there: then nothing happened
     */
    Optional<Long> moveWorkingMax(
            Person coach,
            LifterCard lifter,
            Lift lift,
            Mass expected,
            Mass after,
            ChangeKind kind,
            Optional<String> why) {
        LiftNumbersEntity entity = numbers.findByClubIdAndLifterIdAndLift(lifter.clubId(), lifter.id(), lift)
                .orElseThrow(NotFoundException::new);
        if (!entity.workingMax().equals(Optional.of(expected))) {
            return Optional.empty();
        }
        entity.workingMax(after);
        MassUnit unit = lifter.unit();
        return Optional.of(ledger.decide(
                coach,
                lifter,
                kind,
                lift,
                why,
                expected.format(unit, 2),
                after.format(unit, 2),
                Optional.of(new Ledger.MovedMax(expected, after))));
    }

    /** A key from a name: letters and figures, hyphens between, marked as the club's own. */
    private Lift key(String name) {
        String plain = Normalizer.normalize(name, Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-+|-+$", "");
        if (plain.isEmpty()) {
            throw new UnreadableException("read.words", "40");
        }
        String key = "own-" + plain;
        return new Lift(key.substring(0, Math.min(40, key.length())));
    }
}
