package dev.yarbel.core.record;

import dev.yarbel.core.equipment.AccommodatingResistance;
import dev.yarbel.core.lift.SetUpMeasure;
import dev.yarbel.core.lift.Tempo;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * How a set is done where that may make it another thing to lift than the plain lift: what hangs on the bar, how it is moved,
 * how long the rests are, kit that is worn or left off, and how far it travels.
 *
 * <p>Its text, which {@link #parse} reads, is like {@code paused, tempo 4020, rest 20, +chains 15kg, with knee-wraps, without
 * belt, block-height 8 cm}; nothing where it is the plain lift.
 *
 * @param rest between its sets, in whole seconds
 * @param with kit that is worn
 * @param without kit that is left off
 * @param way figures that decide how far the load travels
 */
public record SetUp(
        Set<Manner> manners,
        Optional<Tempo> tempo,
        Optional<Duration> rest,
        Optional<AccommodatingResistance> changing,
        Set<Worn> with,
        Set<Worn> without,
        Map<SetUpMeasure, String> way) {

    /** Nothing is said of it. */
    public static final SetUp PLAIN =
            new SetUp(Set.of(), Optional.empty(), Optional.empty(), Optional.empty(), Set.of(), Set.of(), Map.of());

    private static final String BETWEEN = ", ";
    private static final String TEMPO = "tempo ";
    private static final String REST = "rest ";
    private static final String WITH = "with ";
    private static final String WITHOUT = "without ";

    private static final int PLAIN_SECONDS = 3;
    private static final int SHORT_REST = 45;
    private static final int SHORTISH_REST = 90;

    /** A manner in which a set is another one. */
    public enum Manner {
        /** A part of the whole movement. */
        PARTIAL,
        /** A helper carries a little throughout. */
        ASSISTED,
        /** Lowered slowly, and helped up. */
        LOWERING,
        /** Held still before the turn. */
        PAUSED,
        /** Something made the load another one, and nobody kept what. */
        OTHER
    }

    public SetUp {
        EnumSet<Manner> some = EnumSet.noneOf(Manner.class);
        some.addAll(manners);
        manners = Collections.unmodifiableSet(some);
        with = Worn.inOrder(with);
        without = Worn.inOrder(without);
        if (!Collections.disjoint(with, without)) {
            throw new IllegalArgumentException("kit cannot be worn and left off");
        }
        EnumMap<SetUpMeasure, String> figures = new EnumMap<>(SetUpMeasure.class);
        figures.putAll(way);
        way = Collections.unmodifiableMap(figures);
    }

    /** Only a manner. */
    public static SetUp of(Manner manner) {
        return new SetUp(
                Set.of(manner), Optional.empty(), Optional.empty(), Optional.empty(), Set.of(), Set.of(), Map.of());
    }

    /** Whether it is the plain lift. */
    public boolean isPlain() {
        return equals(PLAIN);
    }

    /** Whether the load means another thing than on the plain lift, whatever is worn. */
    public boolean changesTheLoad() {
        return changing.isPresent() || isSlow() || isHurried() || !manners.isEmpty() || !way.isEmpty();
    }

    /**
     * What of it counts: sets of which this is alike have the same numbers. A beat of up to 3 s a repetition and rests from
     * 90 s on are as on the plain lift; rests under 45 s are alike, and so are longer ones (starting values of ours).
     *
     * @param more kit that is worn beyond what is usual for the lift
     * @param less kit that is left off
     */
    SetUp counted(Set<Worn> more, Set<Worn> less, Map<SetUpMeasure, String> figures) {
        Map<SetUpMeasure, String> far = new EnumMap<>(SetUpMeasure.class);
        figures.forEach((measure, figure) -> {
            if (measure.isOfTheWay()) {
                far.put(measure, figure);
            }
        });
        return new SetUp(
                manners,
                tempo.filter(beat -> isSlow()),
                rest.filter(pause -> isHurried())
                        .map(pause -> Duration.ofSeconds(pause.toSeconds() < SHORT_REST ? SHORT_REST : SHORTISH_REST)),
                changing.map(AccommodatingResistance::setUp),
                more,
                less,
                far);
    }

    private boolean isSlow() {
        return tempo.filter(beat -> beat.seconds() > PLAIN_SECONDS).isPresent();
    }

    private boolean isHurried() {
        return rest.filter(pause -> pause.toSeconds() < SHORTISH_REST).isPresent();
    }

    /**
     * Reads what {@link #toString} writes.
     *
     * @throws IllegalArgumentException when it is something else
     */
    public static SetUp parse(String text) {
        EnumSet<Manner> manners = EnumSet.noneOf(Manner.class);
        Optional<Tempo> tempo = Optional.empty();
        Optional<Duration> rest = Optional.empty();
        Optional<AccommodatingResistance> changing = Optional.empty();
        EnumSet<Worn> with = EnumSet.noneOf(Worn.class);
        EnumSet<Worn> without = EnumSet.noneOf(Worn.class);
        Map<SetUpMeasure, String> way = new EnumMap<>(SetUpMeasure.class);
        for (String part : text.isEmpty() ? new String[0] : text.split(BETWEEN)) {
            if (part.startsWith(TEMPO)) {
                tempo = Optional.of(new Tempo(part.substring(TEMPO.length())));
            } else if (part.startsWith(REST)) {
                rest = Optional.of(Duration.ofSeconds(Integer.parseInt(part.substring(REST.length()))));
            } else if (part.startsWith(WITHOUT)) {
                without.add(choice(Worn.class, part.substring(WITHOUT.length())));
            } else if (part.startsWith(WITH)) {
                with.add(choice(Worn.class, part.substring(WITH.length())));
            } else if (AccommodatingResistance.isWritten(part)) {
                changing = Optional.of(AccommodatingResistance.parse(part));
            } else if (part.contains(" ")) {
                String[] figure = part.split(" ", 2);
                way.put(choice(SetUpMeasure.class, figure[0]), figure[1]);
            } else {
                manners.add(choice(Manner.class, part));
            }
        }
        return new SetUp(manners, tempo, rest, changing, with, without, way);
    }

    private static <T extends Enum<T>> T choice(Class<T> type, String word) {
        return Enum.valueOf(type, word.toUpperCase(Locale.ROOT).replace('-', '_'));
    }

    private static String word(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    @Override
    public String toString() {
        List<String> parts = new ArrayList<>();
        manners.forEach(manner -> parts.add(word(manner)));
        tempo.ifPresent(beat -> parts.add(TEMPO + beat));
        rest.ifPresent(pause -> parts.add(REST + pause.toSeconds()));
        changing.ifPresent(hung -> parts.add(hung.shorthand()));
        with.forEach(piece -> parts.add(WITH + word(piece)));
        without.forEach(piece -> parts.add(WITHOUT + word(piece)));
        // a comma would part it
        way.forEach((measure, figure) -> parts.add(word(measure) + " " + figure.replace(',', '.')));
        return String.join(BETWEEN, parts);
    }
}
