package dev.yarbel.web.roster;

import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.lifter.Sex;
import dev.yarbel.core.lifter.Sport;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Percent;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Function;

/**
 * One field of a lifter's profile: how it reads, and how what is typed into it is kept. A blank field is an answer not
 * given yet, but for the few without which nothing can be planned.
 */
enum ProfileField {
    NAME(true, l -> l.name, (l, t) -> l.name = Reading.words(t, 80)),
    UNIT(false, MassUnit.class, l -> l.unit, (l, t) -> l.unit = Reading.choice(MassUnit.class, t)),
    ROUNDING(true, Rounding.class, l -> l.rounding, (l, t) -> l.rounding = Reading.choice(Rounding.class, t)),
    SHARE(
            true,
            l -> l.shareOfEstimate.format(1),
            (l, t) -> l.shareOfEstimate = Percent.of(Reading.decimal(t, 90, 100))),
    SPORT(false, Sport.class, l -> l.sport, (l, t) -> l.sport = Reading.choice(Sport.class, t)),
    WEIGHT_CLASS(false, l -> l.weightClass, (l, t) -> l.weightClass = Reading.words(t, 20)),
    BIRTH_YEAR(false, l -> l.birthYear, (l, t) -> l.birthYear = Reading.number(t, 1920, 2020)),
    SEX(false, Sex.class, l -> l.sex, (l, t) -> l.sex = Reading.choice(Sex.class, t)),
    HEIGHT(
            false,
            l -> l.height == null ? null : l.height.format(l.unit == MassUnit.LB ? LengthUnit.IN : LengthUnit.CM, 1),
            (l, t) -> l.height = Reading.length(
                    t, l.unit == MassUnit.LB ? LengthUnit.IN : LengthUnit.CM, Length.ofCm(100), Length.ofCm(250))),
    GUARDIAN(true, l -> l.guardian, (l, t) -> l.guardian = Reading.words(t, 120)),
    DAYS(false, l -> l.days, (l, t) -> l.days = Reading.number(t, 1, 7)),
    MINUTES(false, l -> l.minutes, (l, t) -> l.minutes = Reading.number(t, 10, 300)),
    JOB(false, l -> l.job, (l, t) -> l.job = Reading.words(t, 80)),
    JOB_STRAINS(false, Tissue.class, l -> l.jobStrains, (l, t) -> l.jobStrains = Reading.choice(Tissue.class, t)),
    SLEEP(
            false,
            l -> l.sleep == null ? null : l.sleep.stripTrailingZeros().toPlainString(),
            (l, t) -> l.sleep = Reading.decimal(t, 2, 14)),
    DIETING(false, Dieting.class, l -> l.dieting, (l, t) -> l.dieting = Reading.choice(Dieting.class, t)),
    STRESS(false, Stress.class, l -> l.stress, (l, t) -> l.stress = Reading.choice(Stress.class, t)),
    BREATH(false, Breath.class, l -> l.breath, (l, t) -> l.breath = Reading.choice(Breath.class, t)),
    BEAT_POINTS(true, l -> plain(l.beatPoints), (l, t) -> l.beatPoints = Reading.decimal(t, 0, 3)),
    REST_POINTS(true, l -> plain(l.restPoints), (l, t) -> l.restPoints = Reading.decimal(t, 0, 20)),
    TIRED_POINTS(true, l -> plain(l.tiredPoints), (l, t) -> l.tiredPoints = Reading.decimal(t, 0, 10)),
    SET_DRIFT(true, l -> plain(l.setDrift), (l, t) -> l.setDrift = Reading.decimal(t, 0, 1)),
    WARM_UPS(true, WarmUpStyle.class, l -> l.warmUps, (l, t) -> l.warmUps = Reading.choice(WarmUpStyle.class, t)),
    BEFORE_SESSION(
            true,
            AskedBefore.class,
            l -> l.beforeSession,
            (l, t) -> l.beforeSession = Reading.choice(AskedBefore.class, t)),
    AUTOPILOT(true, LetBe.class, l -> l.autopilot, (l, t) -> l.autopilot = Reading.choice(LetBe.class, t)),
    NOVICE_SINCE(true, l -> l.noviceSince, (l, t) -> l.noviceSince = Reading.day(t));

    /** What a block cannot be drawn up without; these are never blank. */
    private static final List<ProfileField> NEEDED = List.of(NAME, UNIT, ROUNDING, SHARE);

    private final boolean coachs;
    private final List<String> options;
    private final Function<Lifter, Object> kept;
    private final BiConsumer<Lifter, String> keep;

    ProfileField(boolean coachs, Function<Lifter, Object> kept, BiConsumer<Lifter, String> keep) {
        this(coachs, List.of(), kept, keep);
    }

    ProfileField(
            boolean coachs,
            Class<? extends Enum<?>> options,
            Function<Lifter, Object> kept,
            BiConsumer<Lifter, String> keep) {
        this(coachs, Arrays.stream(options.getEnumConstants()).map(Enum::name).toList(), kept, keep);
    }

    ProfileField(boolean coachs, List<String> options, Function<Lifter, Object> kept, BiConsumer<Lifter, String> keep) {
        this.coachs = coachs;
        this.options = options;
        this.kept = kept;
        this.keep = keep;
    }

    /** The field of a code such as {@code birth-year}. */
    static ProfileField of(String code) {
        return find(code).orElseThrow(NotFoundException::new);
    }

    /** The same; empty where there is none. */
    static Optional<ProfileField> find(String code) {
        return Arrays.stream(values())
                .filter(field -> field.code().equals(code))
                .findFirst();
    }

    /** Its name in addresses and in the bundle. */
    public String code() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** Whether it is the coach's to decide. */
    public boolean isCoachs() {
        return coachs;
    }

    public boolean mayBeBlank() {
        return !NEEDED.contains(this);
    }

    /** What can be chosen; empty where something is typed. */
    public List<String> options() {
        return options;
    }

    public boolean isDay() {
        return this == NOVICE_SINCE;
    }

    /** What is kept, as it is typed; empty when nothing is. */
    String text(Lifter lifter) {
        Object value = kept.apply(lifter);
        return value == null ? "" : value.toString();
    }

    /**
     * Keeps what was typed.
     *
     * @throws UnreadableException when it cannot be used; nothing has changed then
     */
    void keep(Lifter lifter, String text, LocalDate today) {
        if (!text.isBlank()) {
            if (this == NOVICE_SINCE) {
                Reading.pastDay(text, today);
            }
            keep.accept(lifter, text);
        } else if (mayBeBlank()) {
            clear(lifter);
        } else {
            throw new UnreadableException("read.needed");
        }
    }

    private static String plain(BigDecimal figure) {
        return figure == null ? null : figure.stripTrailingZeros().toPlainString();
    }

    private void clear(Lifter lifter) {
        switch (this) {
            case SPORT -> lifter.sport = null;
            case WEIGHT_CLASS -> lifter.weightClass = null;
            case BIRTH_YEAR -> lifter.birthYear = null;
            case SEX -> lifter.sex = null;
            case HEIGHT -> lifter.height = null;
            case GUARDIAN -> lifter.guardian = null;
            case DAYS -> lifter.days = null;
            case MINUTES -> lifter.minutes = null;
            case JOB -> lifter.job = null;
            case JOB_STRAINS -> lifter.jobStrains = null;
            case SLEEP -> lifter.sleep = null;
            case DIETING -> lifter.dieting = null;
            case STRESS -> lifter.stress = null;
            case BREATH -> lifter.breath = null;
            case BEAT_POINTS -> lifter.beatPoints = null;
            case REST_POINTS -> lifter.restPoints = null;
            case TIRED_POINTS -> lifter.tiredPoints = null;
            case SET_DRIFT -> lifter.setDrift = null;
            case WARM_UPS -> lifter.warmUps = null;
            case BEFORE_SESSION -> lifter.beforeSession = null;
            case AUTOPILOT -> lifter.autopilot = null;
            case NOVICE_SINCE -> lifter.noviceSince = null;
            default -> throw new IllegalStateException(this + " is never blank");
        }
    }
}
