package dev.yarbel.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.library.dependencies.SlicesRuleDefinition;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class CoreLayersTest {

    /** Each package may use those before it, never those after it. */
    private static final List<String> ORDER = List.of(
            "measure",
            "lifter",
            "effort",
            "equipment",
            "ramp",
            "lift",
            "record",
            "clip",
            "practice",
            "estimate",
            "prescription",
            "exchange",
            "block",
            "progress",
            "session",
            "tally",
            "recovery",
            "rehearsal",
            "shape",
            "school",
            "contest",
            "review",
            "adjust",
            "weekly");

    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("dev.yarbel.core");

    static Stream<String> packages() {
        return ORDER.stream();
    }

    @ParameterizedTest
    @MethodSource("packages")
    void aPackageUsesNoneAfterIt(String name) {
        String[] later = ORDER.subList(ORDER.indexOf(name) + 1, ORDER.size()).stream()
                .map(other -> "dev.yarbel.core." + other + "..")
                .toArray(String[]::new);
        if (later.length > 0) {
            noClasses()
                    .that()
                    .resideInAPackage("dev.yarbel.core." + name + "..")
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(later)
                    .check(CORE);
        }
    }

    @Test
    void everyPackageHasItsPlaceInTheOrder() {
        assertThat(CORE.stream()
                        .map(JavaClass::getPackageName)
                        .filter(name -> !name.equals("dev.yarbel.core"))
                        .map(name -> name.substring("dev.yarbel.core.".length()))
                        .distinct())
                .containsExactlyInAnyOrderElementsOf(ORDER);
    }

    @Test
    void thereAreNoCycles() {
        SlicesRuleDefinition.slices()
                .matching("dev.yarbel.core.(*)..")
                .should()
                .beFreeOfCycles()
                .check(CORE);
    }

    @Test
    void theCoreReadsNoClockAndKnowsNoFramework() {
        noClasses()
                .that()
                // tables that ship with the core are read from the class path in one place
                .doNotHaveFullyQualifiedName("dev.yarbel.core.measure.Table")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "org.springframework..", "jakarta..", "java.sql..", "java.io..", "java.nio..", "java.net..")
                .orShould()
                .dependOnClassesThat()
                .haveFullyQualifiedName("java.time.Clock")
                .orShould()
                .callMethod(LocalDate.class, "now")
                .orShould()
                .callMethod(Instant.class, "now")
                .check(CORE);
    }
}
