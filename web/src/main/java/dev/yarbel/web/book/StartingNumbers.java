package dev.yarbel.web.book;

import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Consistency;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.lift.Muscle;
import dev.yarbel.core.lift.SetUpMeasure;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.core.measure.UnitSlip;
import dev.yarbel.core.record.Worn;
import dev.yarbel.core.session.FarOff;
import dev.yarbel.web.kit.KitShelf;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Typed;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import java.text.Normalizer;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.EnumSet;
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
public class StartingNumbers {

    private static final int LONGEST = 80;

    private final Book book;
    private final LiftNumbersRepository numbers;
    private final RecordedMaxRepository maxes;
    private final OwnVariationRepository variations;
    private final SetUpRepository setUps;
    private final KitShelf kits;
    private final Ledger ledger;
    private final Words words;
    private final Clock clock;

    StartingNumbers(
            Book book,
            LiftNumbersRepository numbers,
            RecordedMaxRepository maxes,
            OwnVariationRepository variations,
            SetUpRepository setUps,
            KitShelf kits,
            Ledger ledger,
            Words words,
            Clock clock) {
        this.book = book;
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
        return book.catalogue(lifter.clubId()).all().stream()
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

    /** Sets a max down, and where there is no working max yet, that too at the coach's share of it. */
    public void max(Person coach, LifterCard lifter, Lift lift, Typed typed) {
        RecordedMax.Kind kind = typed.read("kind", text -> Reading.choice(RecordedMax.Kind.class, text));
        Mass load = typed.read("load", text -> Reading.mass(text, lifter.unit()));
        int reps = kind == RecordedMax.Kind.REP_MAX
                ? typed.read("reps", text -> Reading.number(text, 2, RecordedMax.MOST_REPS))
                : 1;
        LocalDate on = typed.read(
                "on", text -> kind == RecordedMax.Kind.GOAL ? Reading.day(text) : Reading.pastDay(text, today(coach)));
        String source =
                typed.readIfAny("source", text -> Reading.words(text, LONGEST)).orElse("");
        Set<Worn> worn = EnumSet.noneOf(Worn.class);
        for (Worn kit : Worn.values()) {
            if (typed.isTicked("worn-" + kit)) {
                worn.add(kit);
            }
        }
        RecordedMax max = new RecordedMax(lift, kind, load, reps, on, worn, source);
        Optional<Mass> last = maxes.newest(lifter.clubId(), lifter.id(), lift).stream()
                .findFirst()
                .map(RecordedMaxEntity::max)
                .map(RecordedMax::load);
        askAbout(load, last, lifter, typed);
        maxes.save(new RecordedMaxEntity(
                lifter.clubId(),
                lifter.id(),
                max,
                Reading.unit(typed.text("load"), lifter.unit()),
                coach.personName(),
                clock.instant()));
        ledger.write(
                coach,
                lifter,
                ChangeKind.MAX,
                List.of(lift.key(), kind.name(), String.valueOf(reps)),
                Optional.empty(),
                "",
                words.load(load, lifter.unit()));
        LiftNumbersEntity row = row(lifter, lift);
        if (kind != RecordedMax.Kind.GOAL && row.workingMax().isEmpty()) {
            Mass share = max.max(row.curve()).times(lifter.shareOfEstimate());
            workingMax(coach, lifter, row, share);
        }
    }

    /** What is far from the last entry is asked about once, never refused. */
    private void askAbout(Mass load, Optional<Mass> last, LifterCard lifter, Typed typed) {
        if (!typed.isConfirmed("load")) {
            FarOff.max(load, last).ifPresent(known -> {
                String code = UnitSlip.isSuspected(load, known) ? "ask.unit-slip" : "ask.far-off";
                throw new UnreadableException(code, words.load(known, lifter.unit())).in("load");
            });
        }
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

    /** Sets the working max to what the coach typed. */
    void workingMax(Person coach, LifterCard lifter, Lift lift, Typed typed) {
        Mass load = typed.read("load", text -> Reading.mass(text, lifter.unit()));
        LiftNumbersEntity row = row(lifter, lift);
        askAbout(load, row.workingMax(), lifter, typed);
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

    /** Keeps what speaks for a mastery, and what the coach decides it is. */
    public void mastery(Person coach, LifterCard lifter, Lift lift, Typed typed) {
        Optional<LocalDate> since = typed.readIfAny("since", text -> Reading.pastDay(text, today(coach)));
        Optional<Consistency> consistency = Reading.find(Consistency.class, typed.text("consistency"));
        Optional<Mastery> mastery = Reading.find(Mastery.class, typed.text("mastery"));
        LiftNumbersEntity row = row(lifter, lift);
        write(coach, lifter, lift, "since", row.practisedSince(), since);
        write(coach, lifter, lift, "consistency", row.consistency(), consistency);
        write(coach, lifter, lift, "mastery", row.mastery(), mastery);
        row.practisedSince(since.orElse(null));
        row.consistency(consistency.orElse(null));
        row.mastery(mastery.orElse(null));
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

    /** Sets a ratio to the parent for this lifter; blank goes back to the default. */
    public void ratio(Person coach, LifterCard lifter, Variation variation, Typed typed) {
        if (variation.parent().isEmpty()) {
            throw new NotFoundException();
        }
        Optional<Percent> share = typed.readIfAny("ratio", text -> Percent.of(Reading.decimal(text, 1, 200)));
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

    /** Sets down the load announced for the contest; blank where none is any more. */
    public void eventLoad(Person coach, LifterCard lifter, Lift lift, Typed typed) {
        eventLoad(coach, lifter, lift, typed.readIfAny("load", text -> Reading.mass(text, lifter.unit())));
    }

    /** The same, read already. */
    public void eventLoad(Person coach, LifterCard lifter, Lift lift, Optional<Mass> load) {
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

    /** Keeps the figures of a set-up card. */
    public void setUp(Person coach, LifterCard lifter, Variation variation, Typed typed) {
        Map<SetUpMeasure, SetUpEntity> card =
                setUps.findByClubIdAndLifterIdOrderById(lifter.clubId(), lifter.id()).stream()
                        .filter(figure -> figure.lift().equals(variation.lift()))
                        .collect(Collectors.toMap(SetUpEntity::measure, Function.identity()));
        for (SetUpMeasure measure : variation.measures()) {
            Optional<String> figure = typed.readIfAny(measure.name(), text -> Reading.words(text, 40));
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

    /** Adds a variation of the club's own. */
    Lift add(Person coach, LifterCard lifter, Typed typed) {
        typed.read("name", text -> Reading.words(text, 36));
        Catalogue catalogue = book.catalogue(lifter.clubId());
        Optional<Variation> parent = typed.readIfAny("parent", text -> catalogue.all().stream()
                .filter(variation -> variation.lift().key().equals(text))
                .findFirst()
                .orElseThrow(() -> new UnreadableException("read.choice")));
        Optional<Percent> ratio =
                parent.map(given -> typed.read("ratio", text -> Percent.of(Reading.decimal(text, 1, 200))));
        Set<Muscle> trains = ticked(typed, "trains-", Muscle.class);
        if (parent.isEmpty() && trains.isEmpty()) {
            throw new UnreadableException("book.trains-what").in("trains");
        }
        Implement implement = typed.read("implement", text -> Reading.choice(Implement.class, text));
        Lift lift = typed.read("name", this::key);
        if (catalogue.find(lift).isPresent()) {
            throw new UnreadableException("book.lift-there").in("name");
        }
        List<SetUpMeasure> card = Arrays.stream(SetUpMeasure.values())
                .filter(measure -> typed.isTicked("card-" + measure))
                .toList();
        boolean pins = typed.isTicked("pins");
        Variation variation = parent.map(given -> given.varied(lift, ratio.orElseThrow(), implement, pins, card))
                .orElseGet(() ->
                        Variation.alone(lift, trains, ticked(typed, "loads-", Tissue.class), implement, pins, card));
        variations.save(new OwnVariation(lifter.clubId(), variation));
        ledger.write(
                coach,
                lifter,
                ChangeKind.VARIATION,
                List.of(lift.key()),
                Optional.empty(),
                "",
                parent.map(given -> words.lift(given.lift()) + ", " + words.percent(ratio.orElseThrow()))
                        .orElseGet(() -> trains.stream()
                                .map(muscle -> words.say("muscle." + muscle))
                                .collect(Collectors.joining(", "))));
        return lift;
    }

    private static <E extends Enum<E>> Set<E> ticked(Typed typed, String prefix, Class<E> kind) {
        Set<E> ticked = EnumSet.noneOf(kind);
        for (E each : kind.getEnumConstants()) {
            if (typed.isTicked(prefix + each.name())) {
                ticked.add(each);
            }
        }
        return ticked;
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
