package dev.yarbel.core.clip;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.yarbel.core.record.RepsSeen;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RepMarksTest {

    @Test
    void repetitionsAreCountedInTheOrderOfTime() {
        RepMarks marks = RepMarks.parse("3400 broken, 1200 clean,5100 clean, 2900 slowest");

        assertThat(marks.seen(3)).contains(RepsSeen.broken(List.of(2)));
        assertThat(marks.slowest()).isEqualTo(OptionalInt.of(2900));
        assertThat(RepMarks.parse(marks.toString())).isEqualTo(marks);
    }

    @Test
    void allAreCleanOnlyWhereAllWereLookedAt() {
        assertThat(RepMarks.parse("1200 clean, 3400 clean").seen(2)).contains(RepsSeen.CLEAN);
        assertThat(RepMarks.parse("1200 clean, 3400 clean").seen(3)).isEmpty();
        assertThat(RepMarks.parse("1200 clean, 3400 broken").seen(5)).contains(RepsSeen.broken(List.of(2)));
        assertThat(RepMarks.parse("900 slowest").seen(3)).isEmpty();
        assertThat(RepMarks.NONE.seen(0)).isEmpty();
    }

    @Test
    void moreThanWereMadeAreRefused() {
        assertThatThrownBy(() -> RepMarks.parse("1200 clean, 3400 clean").seen(1))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest
    @ValueSource(strings = {"clean", "12 good", "-4 clean", "1.5 clean", "99999999 clean", "<b> clean"})
    void whatIsNoMarkIsRefused(String text) {
        assertThatThrownBy(() -> RepMarks.parse(text)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void nothingIsNothing() {
        assertThat(RepMarks.parse("")).isEqualTo(RepMarks.NONE);
        assertThat(RepMarks.parse(" , ")).isEqualTo(RepMarks.NONE);
        assertThat(RepMarks.NONE.toString()).isEmpty();
    }
}
