package dev.yarbel.web.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Contrast of the two themes, drawings included, which axe does not judge: WCAG 2.2, 1.4.3 and 1.4.11. */
class PaletteTest {

    private static final Path CSS = Path.of("src/main/resources/static/css/yarbel.css");
    private static final Pattern COLOUR = Pattern.compile("(--[\\w-]+): (#[0-9a-f]{6});");

    private static List<String> blocks() throws IOException {
        String css = Files.readString(CSS);
        List<String> blocks = Pattern.compile(":root[^{]*\\{([^}]*--page:[^}]*)\\}")
                .matcher(css)
                .results()
                .map(match -> match.group(1))
                .toList();
        assertThat(blocks).as("chalk, iron, iron by the system's setting").hasSize(3);
        return blocks;
    }

    private static Map<String, String> colours(String block) {
        Map<String, String> colours = new HashMap<>();
        Matcher matcher = COLOUR.matcher(block);
        while (matcher.find()) {
            colours.put(matcher.group(1), matcher.group(2));
        }
        return colours;
    }

    static Stream<Map<String, String>> themes() throws IOException {
        return blocks().subList(0, 2).stream().map(PaletteTest::colours);
    }

    @Test
    void theDarkThemeIsTheSameWhoeverAsksForIt() throws IOException {
        assertThat(colours(blocks().get(2))).isEqualTo(colours(blocks().get(1))).hasSizeGreaterThan(15);
    }

    @ParameterizedTest
    @MethodSource("themes")
    void textCanBeRead(Map<String, String> theme) {
        for (String ground : List.of("--page", "--panel")) {
            for (String text : List.of("--ink", "--quiet", "--tide", "--over", "--under", "--watch")) {
                assertThat(contrast(theme, text, ground))
                        .as(text + " on " + ground)
                        .isGreaterThan(4.5);
            }
        }
        for (int tint = 1; tint <= 5; tint++) {
            assertThat(contrast(theme, "--ink", "--tint-" + tint))
                    .as("tint " + tint)
                    .isGreaterThan(4.5);
        }
        assertThat(contrast(theme, "--quiet", "--tint-1")).isGreaterThan(4.5);
        assertThat(contrast(theme, "--on-tide", "--tide")).isGreaterThan(4.5);
        assertThat(contrast(theme, "--on-iron", "--iron"))
                .as("a plate's letters")
                .isGreaterThan(4.5);
        assertThat(contrast(theme, "--on-iron", "--tide"))
                .as("an added plate's letters")
                .isGreaterThan(4.5);
    }

    @ParameterizedTest
    @MethodSource("themes")
    void drawingsAndFieldsStandOutFromTheirGround(Map<String, String> theme) {
        for (String mark : List.of("--iron", "--iron-light", "--edge", "--tide", "--over", "--under")) {
            for (String ground : List.of("--page", "--panel", "--tint-1")) {
                assertThat(contrast(theme, mark, ground))
                        .as(mark + " on " + ground)
                        .isGreaterThan(3);
            }
        }
    }

    private static double contrast(Map<String, String> theme, String one, String other) {
        double a = luminance(theme.get(one));
        double b = luminance(theme.get(other));
        return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
    }

    /** Relative luminance as WCAG 2.2 defines it. */
    private static double luminance(String hex) {
        double[] share = {0.2126, 0.7152, 0.0722};
        double sum = 0;
        for (int i = 0; i < 3; i++) {
            double c = Integer.parseInt(hex.substring(1 + 2 * i, 3 + 2 * i), 16) / 255.0;
            sum += share[i] * (c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4));
        }
        return sum;
    }
}
