package dev.yarbel.web.exchange;

import dev.yarbel.core.exchange.DayText;
import dev.yarbel.core.exchange.Holds;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.UnreadableException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * What whoever brought a file says of it.
 *
 * @param sheet of a workbook, from 0
 * @param holds of each column
 * @param firstWeek a day of the first week
 * @param trained the days of a week that was trained on
 * @param asked what names mean
 */
record AnswersForm(
        Integer sheet,
        Long lifter,
        List<Holds> holds,
        DayText.Order order,
        MassUnit unit,
        LocalDate firstWeek,
        Set<DayOfWeek> trained,
        ImportFile.Slips slips,
        ImportFile.Doubtful doubtful,
        List<Named> asked) {

    /** @param means the key of a lift, or what leaves it out; blank while nobody knows */
    record Named(String name, String means) {}

    /** What a name means that is left out. */
    static final String NOTHING = "-";

    private static final LocalDate EARLIEST = LocalDate.of(1950, 1, 1);

    /** @throws UnreadableException when something cannot be */
    ImportFile.Said read(ImportFile file) {
        int wanted = sheet == null ? file.sheet() : sheet;
        if (wanted < 0 || wanted >= file.sheets().size()) {
            throw new UnreadableException("read.choice").in("sheet");
        }
        if (firstWeek != null && (firstWeek.isBefore(EARLIEST) || firstWeek.getYear() > EARLIEST.getYear() + 150)) {
            throw new UnreadableException("exchange.error.first-week").in("firstWeek");
        }
        ImportFile.Said said = new ImportFile.Said(
                file.sheet(),
                Optional.ofNullable(lifter),
                holds == null
                        ? file.said().holds()
                        : Optional.of(holds.stream()
                                .map(one -> Objects.requireNonNullElse(one, Holds.NOTHING))
                                .toList()),
                Optional.ofNullable(order),
                Optional.ofNullable(unit),
                Optional.ofNullable(firstWeek),
                trained == null ? List.of() : trained.stream().sorted().toList(),
                Optional.ofNullable(slips),
                Optional.ofNullable(doubtful));
        return said.ofSheet(wanted);
    }

    /** @throws UnreadableException when a name is said to mean no lift of the club */
    Map<String, Optional<Lift>> names(Set<Lift> known) {
        Map<String, Optional<Lift>> names = new HashMap<>();
        for (Named one : asked == null ? List.<Named>of() : asked) {
            if (one == null || one.name() == null || one.means() == null) {
                continue;
            }
            if (one.means().equals(NOTHING)) {
                names.put(one.name(), Optional.empty());
            } else {
                names.put(
                        one.name(),
                        Optional.of(known.stream()
                                .filter(lift -> lift.key().equals(one.means()))
                                .findFirst()
                                .orElseThrow(() -> new UnreadableException("read.choice").in("asked"))));
            }
        }
        return names;
    }
}
