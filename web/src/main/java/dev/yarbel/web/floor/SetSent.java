package dev.yarbel.web.floor;

import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.SetUpMeasure;
import dev.yarbel.core.measure.BarSpeed;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.measure.Seconds;
import dev.yarbel.core.practice.DrawnSet;
import dev.yarbel.core.record.CoachSeen;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.RepsSeen;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.core.record.SetUp;
import dev.yarbel.core.record.Worn;
import dev.yarbel.web.page.FormExtras;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import jakarta.validation.constraints.Size;
import java.math.BigDecimal;
import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.hibernate.validator.constraints.Range;

/**
 * A set as it is sent from the floor; what was left blank is null. What hangs on the set asked for stays text, for
 * {@link SetReader}; all that can be said of a set besides is read, shown and told here.
 *
 * @param correct it was logged before, and this is a correction
 * @param at when it was lifted, in milliseconds of the epoch
 * @param wears the kit worn differs from the plan's, see {@code worn}
 * @param used figures of the set-up that were other than on the card
 * @param proof what makes it more than the lifter's word
 * @param guess what the lifter guessed it would leave, before they lifted it
 * @param clean the repetitions were looked at, and all but the {@code broken} ones were clean
 */
record SetSent(
        String token,
        Boolean correct,
        Long at,
        String load,
        String reps,
        String effort,
        @Range(min = 0, max = 100) Integer helped,
        SetDetails.MissedBy why,
        BarSpeed speed,
        List<Worn> worn,
        Boolean wears,
        SetDetails.Video video,
        Rpe partner,
        @Size(max = SetDetails.LONGEST_NOTE) String note,
        String time,
        String distance,
        Map<SetUpMeasure, @Size(max = SetDetails.LONGEST_FIGURE) String> used,
        Boolean clean,
        List<@Range(min = 1, max = 100) Integer> broken,
        SetDetails.Proof proof,
        @Range(min = 0, max = DrawnSet.MOST_LEFT) Integer guess,
        String confirmed,
        String meant) {

    static final List<Integer> GUESSES =
            IntStream.rangeClosed(0, DrawnSet.MOST_LEFT).boxed().toList();

    private static final Length NEAREST = Length.ofCm(10);
    private static final Length FARTHEST = Length.ofCm(200_000);

    boolean isCorrection() {
        return Boolean.TRUE.equals(correct);
    }

    /** Whether the lifter was asked about these very figures and stands by them. */
    boolean isMeant() {
        return FormExtras.isMeant(meant, load, reps, effort) || confirmed != null && confirmed.equals(load);
    }

    /**
     * What more is said of the set than its load, repetitions and rating.
     *
     * @param done the repetitions made
     * @param seen what a coach said of it before, which stays
     * @param asked how it was to be done
     */
    SetDetails details(int done, boolean missed, MassUnit unit, CoachSeen seen, SetUp asked) {
        if (helped != null && helped > done) {
            throw new UnreadableException("read.number", "0", String.valueOf(done)).in("helped");
        }
        return new SetDetails(
                helped == null ? 0 : helped,
                Optional.ofNullable(why).filter(said -> missed),
                Optional.ofNullable(speed),
                Boolean.TRUE.equals(wears)
                        ? Optional.of(Worn.inOrder(worn == null ? List.of() : worn))
                        : Optional.empty(),
                Optional.ofNullable(video),
                Optional.ofNullable(partner),
                seen,
                Optional.ofNullable(note),
                Reading.fieldIfAny("time", time, SetSent::seconds),
                Reading.fieldIfAny("distance", distance, text -> Reading.length(text, far(unit), NEAREST, FARTHEST)),
                asked,
                really(),
                seen(done),
                Optional.ofNullable(proof));
    }

    private Map<SetUpMeasure, String> really() {
        return used == null
                ? Map.of()
                : used.entrySet().stream()
                        .filter(figure ->
                                figure.getValue() != null && !figure.getValue().isBlank())
                        .collect(Collectors.toMap(
                                Map.Entry::getKey, figure -> figure.getValue().strip()));
    }

    private Optional<RepsSeen> seen(int done) {
        List<Integer> those = broken == null ? List.of() : broken;
        if (those.stream().anyMatch(number -> number > done)) {
            throw new UnreadableException("set.error.broken", done).in("broken");
        }
        return those.isEmpty() && !Boolean.TRUE.equals(clean) ? Optional.empty() : Optional.of(RepsSeen.broken(those));
    }

    /** Seconds, or minutes and seconds with a colon, to the hundredth. */
    private static Duration seconds(String text) {
        if (text.matches("(\\d{1,4}|\\d{1,3}:[0-5]\\d)([.,]\\d{1,2})?")) {
            String[] parts = text.replace(',', '.').split(":");
            BigDecimal seconds = new BigDecimal(parts[parts.length - 1]);
            Duration time = Seconds.of(seconds).plusMinutes(parts.length > 1 ? Long.parseLong(parts[0]) : 0);
            if (!time.isZero() && time.compareTo(SetDetails.LONGEST_TIME) <= 0) {
                return time;
            }
        }
        throw new UnreadableException("set.error.time");
    }

    /** As it is typed again. */
    private static String seconds(Duration time) {
        return Seconds.in(time).stripTrailingZeros().toPlainString();
    }

    private static LengthUnit far(MassUnit unit) {
        return unit == MassUnit.LB ? LengthUnit.FT : LengthUnit.M;
    }

    /**
     * The same as it stands in a set's form, as text.
     *
     * @param differs the kit worn is said to differ from the plan's
     */
    record More(
            String helped,
            String why,
            String speed,
            Set<Worn> worn,
            boolean differs,
            String video,
            String partner,
            String note,
            String time,
            String distance,
            Map<SetUpMeasure, String> used,
            boolean clean,
            Set<String> broken,
            String proof) {

        /**
         * What to show in a form: what was typed into it, else what is kept, else what is planned.
         *
         * @param name of the form
         * @param planned the kit the plan has on
         * @param way how far the plan has it go; empty where it goes nowhere
         */
        static More of(FormState state, String name, SetDetails kept, Set<Worn> planned, String way, MassUnit unit) {
            boolean typed = state.concerns(name) && state.values().containsKey("wears");
            return new More(
                    state.value(name, "helped", kept.helped() == 0 ? "" : kept.helped()),
                    state.value(name, "why", text(kept.missedBy())),
                    state.value(name, "speed", text(kept.speed())),
                    typed ? wornIn(state) : kept.worn().orElse(planned),
                    typed || kept.worn().isPresent(),
                    state.value(name, "video", text(kept.video())),
                    state.value(name, "partner", text(kept.partner())),
                    state.value(name, "note", text(kept.note())),
                    state.value(name, "time", text(kept.time().map(SetSent::seconds))),
                    state.value(
                            name,
                            "distance",
                            kept.distance()
                                    .map(gone -> gone.format(far(unit), 1))
                                    .orElse(way)),
                    used(state, name, kept),
                    state.concerns(name)
                            ? state.ticked(name, "clean", true)
                            : kept.reps().filter(RepsSeen::areClean).isPresent(),
                    broken(state, name, kept),
                    state.value(name, "proof", text(kept.proof())));
        }

        private static Map<SetUpMeasure, String> used(FormState state, String name, SetDetails kept) {
            Map<SetUpMeasure, String> shown = new EnumMap<>(SetUpMeasure.class);
            for (SetUpMeasure measure : SetUpMeasure.values()) {
                String figure =
                        state.value(name, "used[" + measure + "]", kept.setUp().get(measure));
                if (!figure.isEmpty()) {
                    shown.put(measure, figure);
                }
            }
            return shown;
        }

        private static Set<String> broken(FormState state, String name, SetDetails kept) {
            String kinds =
                    kept.reps().map(seen -> seen.toString().replace(' ', ',')).orElse("");
            return Set.of(state.value(name, "broken", state.concerns(name) ? "" : kinds)
                    .split(","));
        }

        private static String text(Optional<?> value) {
            return value.map(Object::toString).orElse("");
        }

        /** The kit ticked in a form that could not be used; a piece that there is not was never on its page. */
        private static Set<Worn> wornIn(FormState state) {
            return Stream.of(state.values().getOrDefault("worn", "").split(","))
                    .flatMap(piece -> Reading.find(Worn.class, piece).stream())
                    .collect(Collectors.toSet());
        }
    }

    /** What more is said of a set that was lifted, in words. */
    static List<String> notes(LiftedSet set, Words words) {
        SetDetails details = set.details();
        List<String> notes = new ArrayList<>();
        details.missedBy()
                .filter(why -> set.effort().isMissed())
                .ifPresent(why -> notes.add(words.say("missed-by." + why)));
        if (details.helped() > 0) {
            notes.add(words.say("set.helped", String.valueOf(details.helped())));
        }
        details.speed()
                .ifPresent(speed ->
                        notes.add(words.say(details.filmed() ? "set.speed.filmed" : "set.speed", speed.toString())));
        details.time().ifPresent(time -> notes.add(words.say("seconds", words.figure(seconds(time)))));
        details.video().ifPresent(video -> notes.add(words.say("video." + video)));
        details.partner().ifPresent(rating -> notes.add(words.say("set.partner", rating.toString())));
        details.setUp()
                .forEach((measure, figure) ->
                        notes.add(words.say("special.measure", words.say("set-up." + measure), figure)));
        details.reps().ifPresent(seen -> notes.add(reps(seen, words)));
        details.proof().ifPresent(proof -> notes.add(words.say("proof." + proof)));
        details.worn().ifPresent(kit -> notes.add(words.say("set.wore", kit(kit, words))));
        details.note().ifPresent(notes::add);
        return notes;
    }

    /** Which repetitions were clean, in words. */
    static String reps(RepsSeen seen, Words words) {
        return seen.areClean()
                ? words.say("reps.clean")
                : words.say("reps.broken", String.join(", ", seen.toString().split(" ")));
    }

    private static String kit(Set<Worn> worn, Words words) {
        return worn.isEmpty()
                ? words.say("set.worn.none")
                : worn.stream().map(piece -> words.say("worn." + piece)).collect(Collectors.joining(", "));
    }
}
