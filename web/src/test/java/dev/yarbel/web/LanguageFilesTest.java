package dev.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.text.MessageFormat;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Map;
import java.util.Properties;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Another language is one file, and whole: the same keys with the same parts, nothing left in English. */
class LanguageFilesTest {

    static final String ENGLISH = "messages.properties";

    private static final Path FOLDER = Path.of("src/main/resources");
    private static final Pattern PART = Pattern.compile("\\{(\\d+)");

    static Map<String, String> words(String file) {
        Properties words = new Properties();
        try (Reader in = Files.newBufferedReader(FOLDER.resolve(file))) {
            words.load(in);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
        return words.stringPropertyNames().stream()
                .collect(Collectors.toMap(key -> key, words::getProperty, (a, b) -> b, TreeMap::new));
    }

    static Stream<String> others() throws IOException {
        try (Stream<Path> files = Files.list(FOLDER)) {
            return files
                    .map(file -> file.getFileName().toString())
                    .filter(name -> name.matches("messages_\\w+\\.properties"))
                    .toList()
                    .stream();
        }
    }

    static Stream<String> all() throws IOException {
        return Stream.concat(Stream.of(ENGLISH), others());
    }

    /** Of two of a name the later one is said in both places. */
    @ParameterizedTest
    @MethodSource("all")
    void everyMessageStandsOnce(String file) throws IOException {
        try (Stream<String> lines = Files.lines(FOLDER.resolve(file))) {
            assertThat(lines.filter(line -> line.matches("[a-zA-Z][^=]*=.*")).map(line -> line.split("=")[0]))
                    .doesNotHaveDuplicates();
        }
    }

    @ParameterizedTest
    @MethodSource("others")
    void everyMessageIsThereAndNoneBesides(String file) {
        assertThat(words(file).keySet()).isEqualTo(words(ENGLISH).keySet());
    }

    @ParameterizedTest
    @MethodSource("others")
    void everyMessageTakesTheSamePartsLinesAndMarks(String file) {
        Map<String, String> other = words(file);
        words(ENGLISH)
                .forEach((key, english) ->
                        assertThat(shape(other.get(key))).as(key).isEqualTo(shape(english)));
    }

    /** Which parts a message takes, how many lines or choices it has, and where a script puts a count. */
    private static String shape(String message) {
        return PART.matcher(message).results().map(part -> part.group(1)).collect(Collectors.toCollection(TreeSet::new))
                + " "
                + message.chars().filter(sign -> sign == '|').count()
                + " "
                + message.chars().filter(sign -> sign == '#').count();
    }

    /** A quote begins what is taken as it stands, so that a part within would be shown as {0}. */
    @ParameterizedTest
    @MethodSource("others")
    void everyMessageWithPartsShowsEachOfThem(String file) {
        Locale reader = locale(file);
        words(file).forEach((key, text) -> {
            if (text.contains("{")) {
                assertThat(new MessageFormat(text, reader).format(new Object[] {2, 2, 2, 2, 2, 2, 2, 2}))
                        .as(key)
                        .doesNotContain("{");
            }
        });
    }

    /** Names and signs may read alike; a sentence does not. */
    @ParameterizedTest
    @MethodSource("others")
    void noSentenceIsLeftInEnglish(String file) {
        Map<String, String> other = words(file);
        words(ENGLISH).forEach((key, english) -> {
            if (english.replaceAll("\\{[^}]*\\}", "").matches(".*\\b[a-z]+ [a-z]+ [a-z]+.*")) {
                assertThat(other.get(key)).as(key).isNotEqualTo(english);
            }
        });
    }

    @ParameterizedTest
    @MethodSource("others")
    void everyDayReadsInTheLanguage(String file) {
        Locale reader = locale(file);
        words(file).forEach((key, text) -> {
            if (key.startsWith("date.")) {
                assertThat(DateTimeFormatter.ofPattern(text, reader)
                                .format(LocalDate.of(2026, 3, 10).atTime(LocalTime.NOON)))
                        .as(key)
                        .isNotBlank();
            }
        });
    }

    private static Locale locale(String file) {
        return Locale.forLanguageTag(
                file.replaceAll("messages_(\\w+)\\.properties", "$1").replace('_', '-'));
    }
}
