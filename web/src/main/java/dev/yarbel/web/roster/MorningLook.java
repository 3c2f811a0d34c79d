package dev.yarbel.web.roster;

import dev.yarbel.core.review.Need;
import dev.yarbel.core.review.Situation;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** In which order a coach looks at their lifters in the morning, and at which of them. A browser remembers it. */
record MorningLook(Order order, Only only) {

    static final String COOKIE = "yarbel-lifters";

    /** As nobody has chosen yet: everybody, those who need somebody first. */
    static final MorningLook FIRST = new MorningLook(Order.NEED, Only.EVERYBODY);

    /** What comes first; among equals the name decides. */
    enum Order {
        NEED(Comparator.<MorningLine>comparingInt(line -> mostUrgent(line.needs()))
                .thenComparing(line -> -line.needs().size())),
        NAME((one, other) -> 0),
        /** Who has been away the longest; those who never trained at the end. */
        LAST(by(situation -> situation.last().map(Situation.Last::on))),
        NEXT(by(Situation::next)),
        END(by(Situation::planEnds)),
        CONTEST(by(Situation::contest));

        private final Comparator<MorningLine> comparator;

        Order(Comparator<MorningLine> comparator) {
            this.comparator = comparator;
        }

        Comparator<MorningLine> comparator() {
            return comparator.thenComparing(line -> line.card().name());
        }

        private static Comparator<MorningLine> by(Function<Situation, Optional<LocalDate>> day) {
            return Comparator.comparing(
                    line -> day.apply(line.training().situation()).orElse(LocalDate.MAX));
        }

        private static int mostUrgent(Set<Need> needs) {
            return needs.stream().findFirst().map(Need::ordinal).orElse(Need.values().length);
        }
    }

    /** Which lifters are looked at: those with one of some needs. */
    enum Only {
        EVERYBODY(EnumSet.noneOf(Need.class)),
        ANY_NEED(EnumSet.allOf(Need.class)),
        CALLS(EnumSet.of(Need.CALLS)),
        HURTS(EnumSet.of(Need.CLEARANCE, Need.PAIN, Need.ACHE)),
        MISSED(EnumSet.of(Need.MISSED)),
        OFF_PLAN(EnumSet.of(Need.OVER, Need.UNDER, Need.CUT_SHORT)),
        PLAN(EnumSet.of(Need.NOTHING_PLANNED, Need.PLAN_ENDS)),
        AWAY(EnumSet.of(Need.NOT_SEEN)),
        CONTEST(EnumSet.of(Need.CONTEST));

        private final Set<Need> needs;

        Only(Set<Need> needs) {
            this.needs = needs;
        }

        boolean shows(MorningLine line) {
            return this == EVERYBODY || !Collections.disjoint(needs, line.needs());
        }
    }

    /**
     * What was chosen just now, and what of it was not, as it was chosen before.
     *
     * @param kept as {@link #kept()} writes it; may be null, or of another version
     */
    static MorningLook of(String order, String only, String kept) {
        String[] before = kept == null ? new String[0] : kept.split("\\.");
        return new MorningLook(
                chosen(Order.values(), order, before.length > 0 ? before[0] : null, FIRST.order),
                chosen(Only.values(), only, before.length > 1 ? before[1] : null, FIRST.only));
    }

    private static <E extends Enum<E>> E chosen(E[] all, String now, String before, E otherwise) {
        String name = now == null ? before : now;
        return Arrays.stream(all)
                .filter(choice -> choice.name().equals(name))
                .findFirst()
                .orElse(otherwise);
    }

    String kept() {
        return order + "." + only;
    }
}
