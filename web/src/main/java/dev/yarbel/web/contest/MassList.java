package dev.yarbel.web.contest;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Masses one after the other, as people type them and as they are kept. */
final class MassList {

    private static final int MOST = 12;
    /** Where there is nothing else between them, commas are. */
    private static final Pattern ONLY_COMMAS = Pattern.compile("\\d+(?:\\.\\d+)?(?:,\\d+(?:\\.\\d+)?)*");

    private static final Pattern ONE_WITH_A_DECIMAL = Pattern.compile("\\d+,\\d");
    private static final Pattern BETWEEN = Pattern.compile("\\s*(?:[;/+]|\\s[–-]\\s|,(?=\\s))\\s*|\\s+(?!kg|lb)");

    private MassList() {}

    /**
     * Reads {@code 100, 120, 140}, {@code 100/120/140 kg}, {@code 102,5 110}, {@code 100,120,140}.
     *
     * @throws UnreadableException when it is none, or more than twelve
     */
    static List<Mass> read(String typed) {
        String text = typed.strip();
        boolean commas = ONLY_COMMAS.matcher(text).matches()
                && !ONE_WITH_A_DECIMAL.matcher(text).matches();
        String[] parts = commas ? text.split(",") : BETWEEN.split(text);
        MassUnit unit = text.endsWith("lb") || text.endsWith("lbs") ? MassUnit.LB : MassUnit.KG;
        try {
            List<Mass> masses =
                    Arrays.stream(parts).map(part -> Reading.mass(part, unit)).toList();
            if (masses.size() <= MOST) {
                return masses;
            }
        } catch (UnreadableException one) {
            // said of all of them below
        }
        throw new UnreadableException("contest.error.series");
    }

    /** As they are kept; none where there are none. */
    static Optional<String> kept(List<Mass> masses) {
        return masses.isEmpty()
                ? Optional.empty()
                : Optional.of(masses.stream()
                        .map(mass -> mass.in(MassUnit.KG).toPlainString())
                        .collect(Collectors.joining(" ")));
    }

    /** What was kept, which may be nothing. */
    static List<Mass> of(String kept) {
        return kept == null
                ? List.of()
                : Arrays.stream(kept.split(" "))
                        .map(mass -> Mass.of(mass, MassUnit.KG))
                        .toList();
    }
}
