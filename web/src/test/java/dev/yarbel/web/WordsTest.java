package dev.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.equipment.Fit;
import dev.yarbel.core.prescription.DoseParser;
import dev.yarbel.core.ramp.Ramp;
import dev.yarbel.core.session.ResolvedLoad;
import java.io.IOException;
import java.io.InputStream;
import java.util.Arrays;
import java.util.Properties;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The core gives reasons as codes; each needs its words. */
class WordsTest {

    static Stream<String> codes() {
        return Stream.of(
                        of("dose.problem.", DoseParser.Problem.values()),
                        of("load.why.", ResolvedLoad.Why.values()),
                        of("slot.why.", ResolvedLoad.Why.values()),
                        of("ramp.note.", Ramp.Remark.values()),
                        Arrays.stream(ResolvedLoad.Origin.class.getPermittedSubclasses())
                                .map(origin -> "slot.why." + origin.getSimpleName()),
                        Arrays.stream(Fit.Limit.values())
                                .filter(limit -> limit != Fit.Limit.NONE)
                                .flatMap(limit -> Stream.of("load.limit." + limit, "floor.limit." + limit)),
                        Stream.of("easy", "6", "6.5", "7", "7.5", "8", "8.5", "9", "9.5", "10", "missed")
                                .map(code -> "left." + code))
                .flatMap(stream -> stream);
    }

    private static Stream<String> of(String prefix, Enum<?>[] values) {
        return Arrays.stream(values).map(value -> prefix + value.name());
    }

    private static Properties words() throws IOException {
        Properties words = new Properties();
        try (InputStream in = WordsTest.class.getResourceAsStream("/messages.properties")) {
            words.load(in);
        }
        return words;
    }

    @ParameterizedTest
    @MethodSource("codes")
    void everyCodeHasItsWords(String code) throws IOException {
        assertThat(words()).containsKey(code);
    }

    @Test
    void noWordsAreEmpty() throws IOException {
        assertThat(words().values())
                .allSatisfy(text -> assertThat((String) text).isNotBlank());
    }
}
