package dev.yarbel.web.rest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import dev.yarbel.web.YarbelTest;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The description that the application serves of its interface (OpenAPI 3.1): all of it, and in words. */
@YarbelTest
class DescriptionTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Set<String> METHODS = Set.of("get", "post", "put", "patch", "delete");
    private static final Pattern REFERENCE = Pattern.compile("\"\\$ref\"\\s*:\\s*\"#/components/schemas/([^\"]+)\"");

    @Autowired
    private MockMvc mvc;

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    private RequestMappingHandlerMapping mappings;

    private String text;
    private JsonNode api;

    @BeforeEach
    void read() throws Exception {
        MockHttpServletResponse answer =
                mvc.perform(get("/api/v1/openapi")).andReturn().getResponse();
        assertThat(answer.getStatus()).isEqualTo(200);
        text = answer.getContentAsString(StandardCharsets.UTF_8);
        api = JSON.readTree(text);
    }

    @Test
    void everyRouteIsDescribedAndNoPageIs() {
        Set<String> routes = new TreeSet<>();
        mappings.getHandlerMethods().forEach((mapping, handler) -> {
            for (RequestMethod method : mapping.getMethodsCondition().getMethods()) {
                mapping.getPatternValues().stream()
                        .filter(pattern -> pattern.startsWith(Problems.ROOT)
                                && handler.getBeanType().getName().startsWith("dev.yarbel."))
                        .forEach(pattern ->
                                routes.add(method.name().toLowerCase(java.util.Locale.ROOT) + " " + pattern));
            }
        });
        Set<String> described = new TreeSet<>();
        api.get("paths").propertyStream().forEach(path -> path.getValue().propertyNames().stream()
                .filter(METHODS::contains)
                .forEach(method -> described.add(method + " " + path.getKey())));

        assertThat(described).isEqualTo(routes);
    }

    @Test
    void everyOperationSaysWhatItDoesAndHasANameOfItsOwn() {
        Set<String> names = new TreeSet<>();
        api.get("paths").forEach(path -> path.propertyStream()
                .filter(each -> METHODS.contains(each.getKey()))
                .forEach(each -> {
                    assertThat(each.getValue().path("summary").asString()).isNotBlank();
                    assertThat(each.getValue().get("tags")).isNotEmpty();
                    assertThat(names.add(each.getValue().get("operationId").asString()))
                            .isTrue();
                }));
    }

    @Test
    void everyNumberInAnAddressIsAParameter() {
        api.get("paths").propertyStream().forEach(path -> path.getValue()
                .propertyStream()
                .filter(each -> METHODS.contains(each.getKey()))
                .forEach(each -> {
                    Set<String> named = new TreeSet<>();
                    each.getValue().path("parameters").forEach(parameter -> {
                        if (parameter.get("in").asString().equals("path")) {
                            named.add(parameter.get("name").asString());
                        }
                    });
                    Set<String> asked = new TreeSet<>();
                    Matcher variables = Pattern.compile("\\{(\\w+)}").matcher(path.getKey());
                    while (variables.find()) {
                        asked.add(variables.group(1));
                    }
                    assertThat(named).as(path.getKey()).isEqualTo(asked);
                }));
    }

    /** A program is told nothing of the person whose token it bears, nor of rows of the database. */
    @Test
    void whatIsDescribedIsWhatIsSent() {
        assertThat(text).doesNotContain("LifterCard").doesNotContain("Entity").doesNotContain("accountId");
        Matcher references = REFERENCE.matcher(text);
        while (references.find()) {
            assertThat(api.get("components").get("schemas").has(references.group(1)))
                    .isTrue();
        }
        assertThat(api.get("components")
                        .get("schemas")
                        .get("JsonMass")
                        .get("properties")
                        .propertyNames())
                .containsExactlyInAnyOrder("kg", "lb");
        assertThat(api.get("components")
                        .get("securitySchemes")
                        .get("token")
                        .get("scheme")
                        .asString())
                .isEqualTo("bearer");
    }

    @Test
    void itCanBeReadAsYamlToo() throws Exception {
        assertThat(mvc.perform(get("/api/v1/openapi.yaml"))
                        .andReturn()
                        .getResponse()
                        .getContentAsString())
                .startsWith("openapi: 3");
    }
}
