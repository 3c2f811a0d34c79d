package dev.yarbel.web.contest;

import dev.yarbel.core.lifter.Sex;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.MeasureKind;
import jakarta.validation.constraints.Size;
import java.util.Optional;
import org.hibernate.validator.constraints.Range;

/**
 * What is set of somebody who lifts. Masses are in kg, as contests are held, unless another unit is written.
 *
 * @param lifter one of the coach's, where one is entered
 * @param name of somebody else, where one is entered
 */
record EntryForm(
        Long lifter,
        @Size(max = 120) String name,
        Sex sex,
        String body,
        @Range(min = 1, max = 999) Integer lot,
        @Range(min = 1, max = 9) Integer flight,
        Way way,
        String asked,
        String expected,
        String limit,
        Priority priority) {

    private static final Mass MOST_TOTAL = Mass.ofKg(2000);

    /** @throws UnreadableException when a figure cannot be used */
    EntryEntity.Set read() {
        return new EntryEntity.Set(
                Optional.ofNullable(sex),
                mass("body", body),
                Optional.ofNullable(lot),
                flight == null ? 1 : flight,
                way == null ? Way.SHARES : way,
                total("asked", asked),
                total("expected", expected),
                mass("limit", limit),
                priority == null ? Priority.PEAKED_FOR : priority);
    }

    private static Optional<Mass> mass(String field, String typed) {
        return Reading.fieldIfAny(
                field, typed, text -> Mass.of(MeasureKind.BODY_MASS.read(text, MassUnit.KG), MassUnit.KG));
    }

    private static Optional<Mass> total(String field, String typed) {
        return Reading.fieldIfAny(field, typed, text -> Reading.mass(text, MassUnit.KG, MOST_TOTAL));
    }
}
