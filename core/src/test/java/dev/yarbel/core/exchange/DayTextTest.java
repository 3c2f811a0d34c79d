package dev.yarbel.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class DayTextTest {

    private static final LocalDate DAY = LocalDate.of(2024, 3, 12);

    @ParameterizedTest
    @ValueSource(
            strings = {
                "2024-03-12", "2024/3/12", "2024-03-12T18:00:00", "2024-03-12 18:00", "12.3.24", "12.03.2024",
                        "Di 12.03.2024", "12/3/2024",
                "12-03-2024", "12 Mar 2024", "12. März 2024", "12-Mar-24", "Mar 12, 2024", "March 12th 2024",
                        "Tue, 12 March 2024", "12. 3. 2024",
                "45363", "45363.75"
            })
    void aDayIsReadAsPeopleAndSpreadsheetsWriteIt(String text) {
        assertThat(DayText.read(text, DayText.Order.DAY_FIRST)).contains(DAY);
    }

    @Test
    void figuresStandInTheOrderThatIsSaid() {
        assertThat(DayText.read("3/12/2024", DayText.Order.MONTH_FIRST)).contains(DAY);
        assertThat(DayText.read("3/12/2024", DayText.Order.DAY_FIRST)).contains(LocalDate.of(2024, 12, 3));
    }

    @Test
    void whatIsOnNoCalendarIsNoDay() {
        for (String text : List.of("31.2.2024", "2024-13-01", "0/0/24", "tomorrow", "", "12", "99999", "5x5", "140")) {
            assertThat(DayText.read(text, DayText.Order.DAY_FIRST)).as(text).isEmpty();
        }
    }

    @Test
    void aDayOverTheTwelfthShowsTheOrder() {
        assertThat(DayText.onlyOrder("13.3.2024")).contains(DayText.Order.DAY_FIRST);
        assertThat(DayText.onlyOrder("3/13/2024")).contains(DayText.Order.MONTH_FIRST);
        assertThat(DayText.onlyOrder("3/12/2024")).isEmpty();
        assertThat(DayText.hangsOnOrder("3/12/2024")).isTrue();
        assertThat(DayText.hangsOnOrder("5/5/2024")).isFalse();
        assertThat(DayText.hangsOnOrder("2024-03-12")).isFalse();
    }

    @Test
    void aDayWithoutAYearIsKnownForOne() {
        for (String text : List.of("12.3.", "5-Mar", "Mar 5", "3/12", "05. Mrz")) {
            assertThat(DayText.lacksYear(text)).as(text).isTrue();
        }
        for (String text : List.of("5", "140", "5x5", "12.3.2024", "140 5", "heavy 5", "12.5 kg")) {
            assertThat(DayText.lacksYear(text)).as(text).isFalse();
        }
    }

    @Test
    void daysOfTheWeekAreKnownInBothLanguages() {
        assertThat(DayText.weekday("Mon")).contains(DayOfWeek.MONDAY);
        assertThat(DayText.weekday("do")).contains(DayOfWeek.THURSDAY);
        assertThat(DayText.weekday("Sonntag")).contains(DayOfWeek.SUNDAY);
        assertThat(DayText.weekday("Day 1")).isEmpty();
    }

    /** Beside the JDK's own formatter. */
    @Property
    void everyDayComesBackFromEveryFormat(@ForAll @IntRange(min = -7000, max = 20000) int days) {
        LocalDate day = LocalDate.of(2000, 1, 1).plusDays(days);
        for (String format :
                List.of("yyyy-MM-dd", "dd.MM.yyyy", "d/M/yyyy", "d MMM yyyy", "MMMM d, yyyy", "EEE d MMM yyyy")) {
            assertThat(DayText.read(
                            day.format(DateTimeFormatter.ofPattern(format, Locale.ENGLISH)), DayText.Order.DAY_FIRST))
                    .as(format)
                    .contains(day);
        }
        assertThat(DayText.read(day.format(DateTimeFormatter.ofPattern("M/d/yyyy")), DayText.Order.MONTH_FIRST))
                .contains(day);
    }
}
