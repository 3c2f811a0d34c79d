package dev.yarbel.web.exchange;

import com.networknt.schema.InputFormat;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SchemaLocation;
import com.networknt.schema.SchemaValidatorsConfig;
import com.networknt.schema.SpecVersion;
import com.networknt.schema.ValidationMessage;
import dev.yarbel.web.kept.Trouble;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.ObjectNode;

/** The published schemas of our own files, as a library for them sees them. */
@Component
class FileSchema {

    private static final int MOST_TROUBLES = 20;
    private static final String LIFTER = "urn:yarbel:lifter-1";
    private static final String CLUB = "urn:yarbel:club-1";

    private final JsonSchema lifter;
    private final JsonSchema club;
    private final JsonSchema lifterOfClub;

    FileSchema() {
        JsonSchemaFactory factory = JsonSchemaFactory.getInstance(
                SpecVersion.VersionFlag.V202012,
                all -> all.schemaMappers(where -> where.mappings(Map.of(
                        LIFTER,
                        "classpath:format/" + LifterFile.SCHEMA,
                        CLUB,
                        "classpath:format/" + ClubFile.SCHEMA))));
        SchemaValidatorsConfig config =
                SchemaValidatorsConfig.builder().formatAssertionsEnabled(true).build();
        lifter = factory.getSchema(SchemaLocation.of(LIFTER), config);
        club = factory.getSchema(SchemaLocation.of(CLUB), config);
        lifterOfClub = factory.getSchema(SchemaLocation.of(CLUB + "#/$defs/lifter"), config);
    }

    /** What of a file of one lifter is not as the schema says, in words of a language. */
    List<Trouble> ofLifter(ObjectNode file, Locale language) {
        return troubles(lifter, file, language);
    }

    /** The same of a club's file without its lifters. */
    List<Trouble> ofClub(ObjectNode file, Locale language) {
        return troubles(club, file, language);
    }

    /** The same of a lifter in a club's file. */
    List<Trouble> ofLifterOfClub(ObjectNode one, Locale language) {
        return troubles(lifterOfClub, one, language);
    }

    private static List<Trouble> troubles(JsonSchema schema, ObjectNode part, Locale language) {
        List<ValidationMessage> messages =
                List.copyOf(schema.validate(part.toString(), InputFormat.JSON, run -> run.getExecutionConfig()
                        .setLocale(language)));
        // where a part is not as it must be, the library also says of each property that nobody looked at it
        boolean otherwise = messages.stream().anyMatch(message -> !isUnlooked(message));
        return messages.stream()
                .filter(message -> !otherwise || !isUnlooked(message))
                .limit(MOST_TROUBLES)
                .map(message -> new Trouble(place(message), Trouble.Kind.SCHEMA, message.getError()))
                .toList();
    }

    private static boolean isUnlooked(ValidationMessage message) {
        return message.getType().equals("unevaluatedProperties");
    }

    /** {@code /maxes/0/reps} as {@code maxes[0].reps}. */
    private static String place(ValidationMessage message) {
        return message.getInstanceLocation()
                .toString()
                .replaceAll("/([0-9]+)(?=/|$)", "[$1]")
                .replaceFirst("^/", "")
                .replace('/', '.');
    }
}
