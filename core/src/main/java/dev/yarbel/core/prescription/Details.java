package dev.yarbel.core.prescription;

import dev.yarbel.core.lift.Tempo;
import dev.yarbel.core.record.Worn;
import java.time.Duration;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * What a dose says beside its sets and its load.
 *
 * @param manners how it is meant, in the order of {@link SetModifier}
 * @param within the ratings the sets stay within beside their load: whichever comes first
 * @param rest between sets, up to half an hour
 * @param mostRest the longest rest, where a range was asked for
 * @param with kit to wear
 * @param without kit to leave off
 * @param cue what the lifter should think of
 * @param reason why it is there
 */
public record Details(
        Set<SetModifier> manners,
        Optional<LoadBasis.AtRpe> within,
        Optional<Duration> rest,
        Optional<Duration> mostRest,
        Optional<Tempo> tempo,
        Set<Worn> with,
        Set<Worn> without,
        Optional<String> cue,
        Optional<String> reason) {

    public static final Duration MOST_REST = Duration.ofMinutes(30);
    public static final int LONGEST_TEXT = 80;

    /** A rest of so few seconds is rather one of minutes where no unit was typed. */
    static final int SHORT_REST = 10;

    /** Nothing more is said. */
    public static final Details NONE = new Details(
            Set.of(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Set.of(),
            Set.of(),
            Optional.empty(),
            Optional.empty());

    public Details {
        manners = ordered(manners);
        with = Worn.inOrder(with);
        without = Worn.inOrder(without);
        if (mostRest.isPresent()
                && (rest.isEmpty()
                        || mostRest.get().compareTo(rest.get()) <= 0
                        || mostRest.get().compareTo(MOST_REST) > 0
                        || mostRest.get().getNano() != 0)) {
            throw new IllegalArgumentException("a range of rests runs upward");
        }
        if (manners.contains(SetModifier.FREE_REST) && rest.isPresent()) {
            throw new IllegalArgumentException("rest is free, or so long");
        }
        rest.ifPresent(r -> {
            if (r.isNegative() || r.isZero() || r.compareTo(MOST_REST) > 0 || r.getNano() != 0) {
                throw new IllegalArgumentException("rest of up to " + MOST_REST + " in whole seconds");
            }
        });
        if (!Collections.disjoint(with, without)) {
            throw new IllegalArgumentException("kit cannot be worn and left off");
        }
        cue.ifPresent(Details::checkText);
        reason.ifPresent(Details::checkText);
    }

    /** Only how it is meant. */
    public static Details of(SetModifier... manners) {
        return new Details(
                Set.of(manners),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Set.of(),
                Set.of(),
                Optional.empty(),
                Optional.empty());
    }

    public boolean is(SetModifier manner) {
        return manners.contains(manner);
    }

    public Details withRest(Duration other) {
        return new Details(manners, within, Optional.of(other), Optional.empty(), tempo, with, without, cue, reason);
    }

    public Details withTempo(Tempo other) {
        return new Details(manners, within, rest, mostRest, Optional.of(other), with, without, cue, reason);
    }

    /** The same with nothing left off. */
    public Details withNothingLeftOff() {
        return new Details(manners, within, rest, mostRest, tempo, with, Set.of(), cue, reason);
    }

    /** The same without rest, tempo, cue and reason, for where these stand beside the dose. */
    public Details ofTheSets() {
        return new Details(
                manners,
                within,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                with,
                without,
                Optional.empty(),
                Optional.empty());
    }

    /** How a piece of kit is written: {@code knee-wraps}. */
    public static String word(Worn worn) {
        return worn.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    String shorthand() {
        StringBuilder text = new StringBuilder();
        within.ifPresent(bound -> text.append(' ').append(Shorthand.of(bound)));
        manners.forEach(manner -> text.append(' ').append(manner.word()));
        rest.ifPresent(r -> text.append(" rest ")
                .append(r.toSeconds())
                .append(mostRest.map(most -> "-" + most.toSeconds()).orElse(""))
                // two alone may be minutes as well
                .append(r.toSeconds() < SHORT_REST ? "s" : ""));
        tempo.ifPresent(t -> text.append(" tempo ").append(t));
        with.forEach(worn -> text.append(' ').append(word(worn)));
        without.forEach(worn -> text.append(" no ").append(word(worn)));
        cue.ifPresent(c -> text.append(" cue \"").append(c).append('"'));
        reason.ifPresent(r -> text.append(" why \"").append(r).append('"'));
        return text.toString();
    }

    private static void checkText(String text) {
        if (text.isBlank()
                || text.length() > LONGEST_TEXT
                || !text.equals(text.strip())
                || text.chars().anyMatch(c -> c == '"' || Character.isISOControl(c))) {
            throw new IllegalArgumentException("up to " + LONGEST_TEXT + " characters without a quotation mark");
        }
    }

    private static Set<SetModifier> ordered(Collection<SetModifier> some) {
        EnumSet<SetModifier> set = EnumSet.noneOf(SetModifier.class);
        set.addAll(some);
        return Collections.unmodifiableSet(set);
    }
}
