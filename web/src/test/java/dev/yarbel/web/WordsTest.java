package dev.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import dev.yarbel.core.block.Phase;
import dev.yarbel.core.equipment.Band;
import dev.yarbel.core.equipment.Fit;
import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.estimate.RecordedMax;
import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Consistency;
import dev.yarbel.core.lift.Mastery;
import dev.yarbel.core.lift.Muscle;
import dev.yarbel.core.lift.Ratio;
import dev.yarbel.core.lift.SetUpMeasure;
import dev.yarbel.core.lift.Start;
import dev.yarbel.core.lift.Tissue;
import dev.yarbel.core.lifter.HealthCheck;
import dev.yarbel.core.lifter.HealthQuestion;
import dev.yarbel.core.lifter.Sex;
import dev.yarbel.core.lifter.Sport;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.DoseParser;
import dev.yarbel.core.prescription.Reference;
import dev.yarbel.core.progress.Step;
import dev.yarbel.core.ramp.Ramp;
import dev.yarbel.core.record.Worn;
import dev.yarbel.core.review.Gate;
import dev.yarbel.core.review.Mark;
import dev.yarbel.core.school.Purpose;
import dev.yarbel.core.school.School;
import dev.yarbel.core.school.WeakPoint;
import dev.yarbel.core.session.ResolvedLoad;
import dev.yarbel.core.shape.Deload;
import dev.yarbel.core.shape.Fill;
import dev.yarbel.core.shape.FillRefused;
import dev.yarbel.core.tally.Exposure;
import dev.yarbel.core.tally.Prilepin;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.Theme;
import java.io.IOException;
import java.io.InputStream;
import java.io.Reader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.text.MessageFormat;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.attoparser.config.ParseConfiguration;
import org.attoparser.simple.AbstractSimpleMarkupHandler;
import org.attoparser.simple.SimpleMarkupParser;
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
                        of("slot.why.Law.", Step.Answer.values()),
                        of("law.reason.", Step.Kind.values()),
                        Arrays.stream(Step.Answer.values())
                                .filter(answer -> answer != Step.Answer.ADD && answer != Step.Answer.HOLD)
                                .map(answer -> "plan.law." + answer),
                        Arrays.stream(ResolvedLoad.Origin.class.getPermittedSubclasses())
                                .filter(origin -> origin != ResolvedLoad.Origin.AfterLastTime.class)
                                .map(origin -> "slot.why." + origin.getSimpleName()),
                        Arrays.stream(Fit.Limit.values())
                                .filter(limit -> limit != Fit.Limit.NONE)
                                .flatMap(limit -> Stream.of("load.limit." + limit, "floor.limit." + limit)),
                        of("tissue.", Tissue.values()),
                        of("muscle.", Muscle.values()),
                        of("implement.", Implement.values()),
                        of("set-up.", SetUpMeasure.values()),
                        of("worn.", Worn.values()),
                        of("health.", HealthQuestion.values()),
                        of("health.state.", HealthCheck.State.values()),
                        of("max.kind.", RecordedMax.Kind.values()),
                        of("book.max.kind.", RecordedMax.Kind.values()),
                        of("book.varies.", Ratio.Source.values()),
                        of("lifts.ratio.", Ratio.Source.values()),
                        of("book.begins.", Start.values()),
                        of("book.mastery.mastery.", Mastery.values()),
                        of("book.mastery.speaks.", Mastery.values()),
                        of("book.mastery.consistency.", Consistency.values()),
                        of("profile.sex.", Sex.values()),
                        of("profile.sport.", Sport.values()),
                        of("profile.rounding.", Rounding.values()),
                        of("profile.unit.", MassUnit.values()),
                        of("kit.unlike.", Band.Unlike.values()),
                        Catalogue.STANDARD.all().stream()
                                .map(variation -> "lift." + variation.lift().key()),
                        Stream.of("over", "overshot", "ended", "too-heavy").map(state -> "start." + state),
                        of("change.", ChangeKind.values()),
                        of("change.subject.", ChangeKind.values()),
                        of("strip.mark.done.", Exposure.Judgement.values()),
                        Arrays.stream(Mark.Kind.values())
                                .filter(kind -> kind != Mark.Kind.GATED)
                                .map(kind -> "mark." + kind),
                        Stream.of("mark.GATED.open", "mark.GATED.closed"),
                        of("gate.", Gate.values()),
                        of("gate.missing.", Gate.Missing.values()),
                        Arrays.stream(School.values())
                                .map(school -> "school." + school.key())
                                .flatMap(key ->
                                        Stream.of(key, key + ".is", key + ".suits", key + ".not", key + ".source")),
                        of("purpose.", Purpose.values()),
                        of("weak.", WeakPoint.values()),
                        of("deload.", Deload.values()),
                        of("fill.note.", Fill.Note.values()),
                        of("plan.refused.fill.", FillRefused.Why.values()),
                        Arrays.stream(Phase.values())
                                .map(phase -> "phase." + phase.name().toLowerCase(Locale.ROOT)),
                        of("reckoning.zone.name.", Prilepin.Zone.values()),
                        of("reckoning.zone.", Prilepin.Verdict.values()),
                        of("reckoning.tonnage.", MassUnit.values()),
                        of("reference.", Reference.Named.values()),
                        Stream.of("reference.rep-max", "reference.other"),
                        Stream.of("same", "steady", "shrinking", "wave", "deload", "backwards")
                                .map(rule -> "fill.rule." + rule),
                        Stream.of("SCHEME", "DAY", "BLOCK")
                                .flatMap(kind -> Stream.of("template.kind." + kind, "template.use." + kind)),
                        Stream.of(
                                        "undone",
                                        "redone",
                                        "fill",
                                        "cells",
                                        "template",
                                        "week-insert",
                                        "week-copy",
                                        "week-remove",
                                        "week-earlier",
                                        "week-later",
                                        "week-shape",
                                        "phase-lengthen",
                                        "slot-add",
                                        "slot-remove",
                                        "slot-up",
                                        "slot-down",
                                        "slot-set",
                                        "day-add",
                                        "day-copy",
                                        "day-remove",
                                        "day-earlier",
                                        "day-later",
                                        "day-set",
                                        "block-set",
                                        "contest-shape",
                                        "block-shift")
                                .map(change -> "plan.change." + change),
                        Stream.of(
                                        "lifted",
                                        "gated",
                                        "overtaken",
                                        "changed-meanwhile",
                                        "last-week",
                                        "no-further",
                                        "too-long",
                                        "begun",
                                        "slot-lifted",
                                        "gone",
                                        "too-many-slots",
                                        "nothing-to-fill")
                                .map(code -> "plan.refused." + code),
                        Arrays.stream(Theme.values()).map(theme -> "theme." + theme.code()),
                        Stream.of("TAKEN", "CHANGED", "LEFT").map(code -> "calls.answered." + code),
                        Stream.of("easy", "6", "6.5", "7", "7.5", "8", "8.5", "9", "9.5", "10", "missed")
                                .map(code -> "left." + code))
                .flatMap(stream -> stream);
    }

    private static Stream<String> of(String prefix, Enum<?>[] values) {
        return Arrays.stream(values).map(value -> prefix + value.name());
    }

    private static Properties words() throws IOException {
        return words("/messages.properties");
    }

    private static Properties words(String file) throws IOException {
        Properties words = new Properties();
        try (InputStream in = WordsTest.class.getResourceAsStream(file)) {
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

    // ---- templates hold no words of their own

    private static final Path TEMPLATES = Path.of("src/main/resources/templates");
    private static final Pattern KEY = Pattern.compile("#\\{([a-z][\\w.-]*)[}(]");
    private static final Pattern EXPRESSION = Pattern.compile("[$#@~]\\{[^{}]*\\}|\\{'[^{}]*\\}");
    private static final Pattern LETTERS = Pattern.compile("\\p{L}{2,}");

    static Stream<Path> templates() throws IOException {
        try (Stream<Path> files = Files.walk(TEMPLATES)) {
            return files.filter(file -> file.toString().endsWith(".html")).toList().stream();
        }
    }

    @ParameterizedTest
    @MethodSource("templates")
    void aTemplateHasNoWordsOfItsOwn(Path template) throws Exception {
        List<String> found = new ArrayList<>();
        try (Reader in = Files.newBufferedReader(template)) {
            new SimpleMarkupParser(ParseConfiguration.htmlConfiguration()).parse(in, new WordFinder(found));
        }
        assertThat(found).isEmpty();
    }

    @ParameterizedTest
    @MethodSource("templates")
    void everyKeyThatATemplateAsksForHasItsWords(Path template) throws IOException {
        List<String> keys = KEY.matcher(Files.readString(template))
                .results()
                .map(match -> match.group(1))
                .toList();
        assertThat(words().stringPropertyNames()).containsAll(keys);
    }

    @Test
    void everyMessageIsAPatternThatCanBeRead() throws IOException {
        words().forEach((key, text) -> assertThatCode(() -> new MessageFormat((String) text, Locale.ENGLISH))
                .as((String) key)
                .doesNotThrowAnyException());
    }

    /** Words without parts are said as they stand; an apostrophe that reads well either way is ’. */
    @Test
    void noWordsWithoutPartsHoldADoubledQuote() throws IOException {
        for (String file : List.of("/messages.properties", "/messages_de.properties")) {
            words(file).forEach((key, text) -> {
                if (!((String) text).contains("{")) {
                    assertThat((String) text).as((String) key).doesNotContain("''");
                }
            });
        }
    }

    /** Finds text and literals that a reader would see and that no bundle holds. */
    private static final class WordFinder extends AbstractSimpleMarkupHandler {

        private static final Set<String> READ_OUT =
                Set.of("title", "alt", "placeholder", "aria-label", "th:text", "th:title", "th:aria-label");
        /** Names of keys on the keyboard, and the page's own codes. */
        private static final Set<String> NO_WORDS = Set.of("Enter", "Esc");

        private final List<String> found;

        WordFinder(List<String> found) {
            this.found = found;
        }

        @Override
        public void handleText(char[] buffer, int offset, int length, int line, int column) {
            look(new String(buffer, offset, length).strip(), line);
        }

        @Override
        public void handleOpenElement(String element, Map<String, String> attributes, int line, int column) {
            handleStandaloneElement(element, attributes, false, line, column);
        }

        @Override
        public void handleStandaloneElement(
                String element, Map<String, String> attributes, boolean minimized, int line, int column) {
            if (attributes != null) {
                attributes.forEach((name, value) -> {
                    if (READ_OUT.contains(name) && value != null) {
                        look(withoutExpressions(value), line);
                    }
                });
            }
        }

        /** From the innermost outwards. */
        private static String withoutExpressions(String value) {
            String before = value;
            String after = EXPRESSION.matcher(before).replaceAll("");
            while (!after.equals(before)) {
                before = after;
                after = EXPRESSION.matcher(before).replaceAll("");
            }
            return after;
        }

        private void look(String text, int line) {
            if (!NO_WORDS.contains(text) && LETTERS.matcher(text).find()) {
                found.add(line + ": " + text);
            }
        }
    }
}
