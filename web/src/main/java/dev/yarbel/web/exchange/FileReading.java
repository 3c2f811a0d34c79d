package dev.yarbel.web.exchange;

import dev.yarbel.web.page.UnreadableException;
import java.io.InputStream;
import java.util.function.Consumer;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Reads a file of a lifter or a club: a lifter at a time is held, and what is the club's. */
final class FileReading {

    private final JsonMapper json;

    FileReading(JsonMapper json) {
        this.json = json.rebuild()
                .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                .build();
    }

    /**
     * Reads a file.
     *
     * @param lifters takes those of a club as they come
     * @return the rest: of a file of one lifter all of it
     * @throws UnreadableException when it is no JSON
     */
    ObjectNode read(InputStream file, Consumer<ObjectNode> lifters) {
        try (JsonParser parser = json.createParser(file)) {
            if (parser.nextToken() != JsonToken.START_OBJECT) {
                throw notOurs();
            }
            ObjectNode rest = json.createObjectNode();
            while (parser.nextToken() == JsonToken.PROPERTY_NAME) {
                String name = parser.currentName();
                JsonToken value = parser.nextToken();
                if (name.equals("lifters") && value == JsonToken.START_ARRAY) {
                    each(parser, lifters);
                    rest.set(name, json.createArrayNode());
                } else {
                    rest.set(name, parser.<JsonNode>readValueAsTree());
                }
            }
            if (parser.nextToken() != null) {
                throw notOurs();
            }
            return rest;
        } catch (JacksonException broken) {
            throw notOurs();
        }
    }

    private static void each(JsonParser parser, Consumer<ObjectNode> lifters) {
        while (parser.nextToken() != JsonToken.END_ARRAY) {
            JsonNode one = parser.readValueAsTree();
            if (!(one instanceof ObjectNode lifter)) {
                throw notOurs();
            }
            lifters.accept(lifter);
        }
    }

    private static UnreadableException notOurs() {
        return new UnreadableException("exchange.whole.error.json").in("file");
    }

    /** What a part has under a name. */
    static ArrayNode list(ObjectNode part, String name) {
        return part.path(name) instanceof ArrayNode list ? list : part.arrayNode();
    }
}
