package dev.yarbel.core.prescription;

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
 * @param manners how it is meant, in the order of {@link Manner}
 * @param rest between sets, up to half an hour
 * @param with kit to wear
 * @param without kit to leave off
 * @param cue what the lifter should think of
 * @param reason why it is there
 */
public record Details(
        Set<Manner> manners,
        Optional<Duration> rest,
        Optional<Tempo> tempo,
        Set<Worn> with,
        Set<Worn> without,
        Optional<String> cue,
        Optional<String> reason) {

    public static final Duration MOST_REST = Duration.ofMinutes(30);
    public static final int LONGEST_TEXT = 80;

    /** Nothing more is said. */
    public static final Details NONE = new Details(
            Set.of(), Optional.empty(), Optional.empty(), Set.of(), Set.of(), Optional.empty(), Optional.empty());

    public Details {
        manners = ordered(manners);
        with = Worn.inOrder(with);
        without = Worn.inOrder(without);
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
    public static Details of(Manner... manners) {
        return new Details(
                Set.of(manners),
                Optional.empty(),
                Optional.empty(),
                Set.of(),
                Set.of(),
                Optional.empty(),
                Optional.empty());
    }

    public boolean is(Manner manner) {
        return manners.contains(manner);
    }

    public Details withRest(Duration other) {
        return new Details(manners, Optional.of(other), tempo, with, without, cue, reason);
    }

    public Details withTempo(Tempo other) {
        return new Details(manners, rest, Optional.of(other), with, without, cue, reason);
    }

    /** How a piece of kit is written: {@code knee-wraps}. */
    public static String word(Worn worn) {
        return worn.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    String shorthand() {
        StringBuilder text = new StringBuilder();
        manners.forEach(manner -> text.append(' ').append(manner.word()));
        rest.ifPresent(r -> text.append(" rest ").append(r.toSeconds()));
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

    private static Set<Manner> ordered(Collection<Manner> some) {
        EnumSet<Manner> set = EnumSet.noneOf(Manner.class);
        set.addAll(some);
        return Collections.unmodifiableSet(set);
    }
}
