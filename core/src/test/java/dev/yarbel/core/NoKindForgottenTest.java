package dev.yarbel.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.tools.Diagnostic;
import javax.tools.DiagnosticCollector;
import javax.tools.JavaCompiler;
import javax.tools.JavaFileObject;
import javax.tools.SimpleJavaFileObject;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Whoever adds a kind of something is told by the compiler where it has to go: tried on a copy of the core. */
class NoKindForgottenTest {

    private static final Path SOURCES = Path.of("src/main/java/dev/yarbel/core");

    /** What can be one of several things, by the file that says so. */
    private static final Map<String, String> KINDS = Map.ofEntries(
            Map.entry("prescription/Work", "Work"),
            Map.entry("prescription/LoadBasis", "LoadBasis"),
            Map.entry("prescription/Reference", "Reference"),
            Map.entry("effort/Effort", "Effort"),
            Map.entry("session/Amendment", "Amendment"),
            Map.entry("session/Question", "Question"),
            Map.entry("session/ResolvedLoad", "ResolvedLoad"),
            Map.entry("session/PredictedEffort", "PredictedEffort"),
            Map.entry("shape/FillRule", "FillRule"),
            Map.entry("estimate/NoviceStart", "Step"),
            Map.entry("adjust/Evidence", "Evidence"));

    @Test
    void aKindThatSaysNothingOfItselfIsRefused() throws IOException {
        Map<String, String> behind = new HashMap<>();
        Map<String, String> written = new HashMap<>();
        KINDS.forEach((file, type) -> {
            behind.put(file, "sealed interface " + type + " {");
            written.put(file, "record Unheard() implements " + type + " {}");
        });
        assertThat(refused(behind, written))
                .containsAll(KINDS.keySet().stream()
                        .map(file -> file.substring(file.indexOf('/') + 1))
                        .toList());
    }

    /** A kind that is asked for is refused by everybody who does not say what becomes of it. */
    @ParameterizedTest
    @CsvSource({
        "prescription/Work, KindOfWork Shorthand Law BarSequence EasierWork HalfTheSets Taper SessionTime",
        "prescription/LoadBasis, Shorthand Resolver FillRule Fill ShareOfTheLoad LighterLoad",
        "prescription/Reference, LiftNumbers Resolver",
        "session/Amendment, Amended"
    })
    void aKindIsRefusedByWhoeverDoesNotSayWhatBecomesOfIt(String file, String by) throws IOException {
        assertThat(refused(Map.of(file, "interface Visitor<T> {"), Map.of(file, "T unheard(Object unheard);")))
                .contains(by.split(" "));
    }

    @Test
    void theCoreAsItIsIsNotRefused() throws IOException {
        assertThat(refused(Map.of(), Map.of())).isEmpty();
    }

    /** The classes the compiler finds fault with once something was written behind a line of each of some files. */
    private static Set<String> refused(Map<String, String> behind, Map<String, String> written) throws IOException {
        List<JavaFileObject> sources = new ArrayList<>();
        try (Stream<Path> all = Files.walk(SOURCES)) {
            for (Path path : all.filter(p -> p.toString().endsWith(".java")).toList()) {
                String text = Files.readString(path);
                String file = SOURCES.relativize(path).toString().replace(".java", "");
                if (behind.containsKey(file)) {
                    assertThat(text).contains(behind.get(file));
                    text = text.replace(behind.get(file), behind.get(file) + "\n" + written.get(file));
                }
                sources.add(source(path, text));
            }
        }
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        DiagnosticCollector<JavaFileObject> found = new DiagnosticCollector<>();
        compiler.getTask(
                        null,
                        null,
                        found,
                        List.of("-proc:none", "-Xmaxerrs", "1000", "-d", out().toString()),
                        null,
                        sources)
                .call();
        return found.getDiagnostics().stream()
                .filter(diagnostic -> diagnostic.getKind() == Diagnostic.Kind.ERROR)
                .map(diagnostic -> Path.of(diagnostic.getSource().toUri().getPath())
                        .getFileName()
                        .toString()
                        .replace(".java", ""))
                .collect(Collectors.toSet());
    }

    private static Path out() throws IOException {
        Path out = Path.of("target", "kinds");
        Files.createDirectories(out);
        return out;
    }

    private static JavaFileObject source(Path path, String text) {
        return new SimpleJavaFileObject(URI.create("string:///" + path), JavaFileObject.Kind.SOURCE) {
            @Override
            public CharSequence getCharContent(boolean ignoreErrors) {
                return text;
            }
        };
    }
}
