package dev.yarbel.web.rest;

import dev.yarbel.web.page.BroughtArgument;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import io.swagger.v3.oas.models.Components;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.IntegerSchema;
import io.swagger.v3.oas.models.parameters.Parameter;
import io.swagger.v3.oas.models.security.SecurityRequirement;
import io.swagger.v3.oas.models.security.SecurityScheme;
import io.swagger.v3.oas.models.servers.Server;
import java.util.List;
import java.util.regex.Pattern;
import org.springdoc.core.customizers.GlobalOpenApiCustomizer;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.converter.HttpMessageConverters;
import org.springframework.http.converter.json.JacksonJsonHttpMessageConverter;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.StreamWriteFeature;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.deser.std.StdScalarDeserializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;

/** How the interface describes itself (OpenAPI, at {@code /api/v1/openapi}), and how strictly it reads. */
@Configuration
class Description implements WebMvcConfigurer {

    private static final String TEXT = """
            What the pages of Yarbel read and write, for programs.

            Send `Authorization: Bearer …` with a token that you made under *Me → Access tokens*; it sees and does what you may, as far \
            as its scopes go. Masses come in kg and lb and are taken in either. What is changed is named by its `ETag` in `If-Match`. A \
            write with an `Idempotency-Key` acts once, however often it is sent within a day. Lists go on where `next` says. Errors are \
            problems as RFC 9457 has them; a figure that is far from what a lifter does is asked about once, and taken with `"confirmed": true`.""";

    private static final Pattern VARIABLE = Pattern.compile("\\{(\\w+)}");

    private final JsonMapper json;

    Description(JsonMapper json) {
        this.json = json;
    }

    /** What is brought from an address stands in the description as the number in that address, and people do not stand in it at all. */
    @Bean
    GlobalOpenApiCustomizer numbersInAddresses(List<BroughtArgument> brought) {
        SpringDocUtils.getConfig().addRequestWrapperToIgnore(Person.class);
        brought.forEach(argument -> SpringDocUtils.getConfig().addRequestWrapperToIgnore(argument.type()));
        return api -> api.getPaths()
                .forEach((path, item) -> item.readOperations().forEach(operation -> VARIABLE.matcher(path)
                        .results()
                        .map(found -> found.group(1))
                        .filter(name -> !isDescribed(operation, name))
                        .forEach(name -> operation.addParametersItem(new Parameter()
                                .in("path")
                                .name(name)
                                .required(true)
                                .schema(new IntegerSchema().format("int64"))))));
    }

    private static boolean isDescribed(Operation operation, String name) {
        return operation.getParameters() != null
                && operation.getParameters().stream().anyMatch(parameter -> name.equals(parameter.getName()));
    }

    @Bean
    OpenAPI described() {
        return new OpenAPI()
                .info(new Info().title("Yarbel").version("1").description(TEXT))
                .servers(List.of(new Server().url("/")))
                .components(new Components()
                        .addSecuritySchemes(
                                "token",
                                new SecurityScheme()
                                        .type(SecurityScheme.Type.HTTP)
                                        .scheme("bearer")))
                .addSecurityItem(new SecurityRequirement().addList("token"));
    }

    /** A name nobody knows is a slip that is told, not passed over: {@code laod} would be no load. */
    @Override
    public void configureMessageConverters(HttpMessageConverters.ServerBuilder builder) {
        builder.withJsonConverter(new JacksonJsonHttpMessageConverter(json.rebuild()
                .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
                // what is left out of a body is not confirmed, not finished
                .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
                .enable(StreamWriteFeature.WRITE_BIGDECIMAL_AS_PLAIN)
                .addModule(new SimpleModule().addDeserializer(String.class, new Written()))
                .build()));
    }

    /** Text that can be written and kept: without a NUL, for instance. */
    private static final class Written extends StdScalarDeserializer<String> {

        Written() {
            super(String.class);
        }

        @Override
        public String deserialize(JsonParser in, DeserializationContext context) {
            String text = in.getValueAsString();
            if (in.currentToken() != JsonToken.VALUE_STRING || Reading.hasControl(text)) {
                context.reportInputMismatch(String.class, "not a text that can be kept");
            }
            return text.strip();
        }
    }
}
