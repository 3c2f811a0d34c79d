package dev.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.InputStream;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The list of what the application is made of ships with it, for whoever checks it against published advisories. */
class BillOfMaterialsTest {

    @Test
    void everyLibraryStandsInItWithItsVersion() throws Exception {
        try (InputStream file = getClass().getResourceAsStream("/META-INF/sbom/application.cdx.json")) {
            assertThat(file).as("made by the build").isNotNull();
            JsonNode bom = JsonMapper.shared().readTree(file);
            assertThat(bom.get("bomFormat").asString()).isEqualTo("CycloneDX");
            List<String> parts = StreamSupport.stream(bom.get("components").spliterator(), false)
                    .map(part -> part.get("name").asString() + " "
                            + (part.get("version").asString().isBlank() ? "?" : "versioned"))
                    .toList();
            assertThat(parts)
                    .contains(
                            "spring-security-web versioned",
                            "jetty-server versioned",
                            "postgresql versioned",
                            "htmx.org versioned",
                            "bootstrap versioned",
                            "zxcvbn versioned",
                            "yarbel-core versioned")
                    .noneMatch(part -> part.endsWith("?"));
        }
    }
}
