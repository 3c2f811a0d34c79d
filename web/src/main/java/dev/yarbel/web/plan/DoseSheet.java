package dev.yarbel.web.plan;

import dev.yarbel.web.page.Words;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** The cheat sheet of the shorthand in which doses are written, {@code @doseSheet} in templates. */
@Component("doseSheet")
public class DoseSheet {

    /** Doses by group, each with its code in the bundle; every one of them is read by the parser, which a test holds. */
    static final Map<String, List<String>> DOSES = Map.of(
            "sets",
            List.of(
                    "4x8 72.5%",
                    "1 @8",
                    "3x8-12 @8",
                    "5x5+ 80%",
                    "max 75%",
                    "max to @9 75%",
                    "climb 8 to @7",
                    "3x(5x1 20s) 3rm",
                    "10x1 in 10min gap 30 90%",
                    "8x2 50% speed rest 30",
                    "3x30s",
                    "3x20m 180kg",
                    "max in 60s event",
                    "rounds in 12min",
                    "prep 10min",
                    "2-3x8 70%",
                    "8,8,6,6 70%",
                    "EMOM 10 2 70%",
                    "5x @8 until @9",
                    "20 reps 140kg",
                    "10x1+ in 10min gap 30 90%"),
            "load",
            List.of(
                    "3x5 75%",
                    "3x5 70-75%",
                    "3x5 80% est",
                    "1x3 90% goal",
                    "3x5 80% contest",
                    "5x5 -22%",
                    "3x3 -5% each",
                    "5x2 80% top",
                    "3x3 5rm",
                    "5x5 1.5bw",
                    "3x1 80% event",
                    "3x10 30% of deadlift",
                    "3x5 102.5kg",
                    "3x5 225lb",
                    "5x5 last +2.5kg",
                    "5x3 0.8m/s",
                    "3x12 feel",
                    "5x3 50% +bands 10/35kg",
                    "5x3 50% +chains 30lb",
                    "3x3 105% reverse 20kg",
                    "5x3 70% +chains 30kg at bottom",
                    "5x3 150kg +chains 30kg at top",
                    "3x5 2RIR",
                    "3x8 bw+10kg",
                    "2x5 90% last",
                    "3x5 -20% of squat",
                    "1 opener",
                    "3x5 60-80% @7-9"),
            "more",
            List.of(
                    "4x8 70% rest 120",
                    "4x8 70% rest 120-180",
                    "4x8 70% rest free",
                    "3x10 20kg each side",
                    "3x3 80% paused",
                    "3x5 @8 position",
                    "3x8 @8 apart",
                    "3x8 @8 choice bad",
                    "4x8 70% tempo 3010",
                    "3x5 75% belt",
                    "3x5 75% no belt straps",
                    "3x3 110% partial",
                    "3x3 95% assisted",
                    "3x3 90% lowering",
                    "3x8 last +2.5kg stages",
                    "3x1 90% blind",
                    "3x12 @8 choice",
                    "3x5 75% cue \"chest up\"",
                    "3x5 75% why \"slow off the floor\""),
            "whole",
            List.of(
                    "1 @8 then 5x5 -22%",
                    "1 @8 then max 80% top then 5x3 80% top", "1x1 90% rest 240 then 3x3 -15% rest 180"));

    private final Words words;
    private final String grammar;

    DoseSheet(Words words) {
        this.words = words;
        try {
            this.grammar = new ClassPathResource("doses.ebnf").getContentAsString(StandardCharsets.UTF_8);
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
    }

    /** A dose and what it says. */
    public record Line(String dose, String words) {}

    public List<Line> lines(String group) {
        List<String> doses = DOSES.get(group);
        String[] said = words.say("doses." + group + ".lines").split("\\s*\\|\\s*");
        return IntStream.range(0, Math.min(doses.size(), said.length))
                .mapToObj(at -> new Line(doses.get(at), said[at]))
                .toList();
    }

    /** The grammar, as the parser reads it. */
    public String grammar() {
        return grammar;
    }
}
