package dev.yarbel.web.exchange;

import dev.yarbel.web.page.UnreadableException;
import java.io.InputStream;
import java.util.function.Consumer;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.util.JsonParserDelegate;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Reads a file of a lifter or a club: a lifter at a time is held, and what is the club's. */
final class FileReading {

    private final JsonMapper json;

    FileReading(JsonMapper json) {
        this.json = json.rebuild()
                .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                // a part of a file is followed by the next one
                .disable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
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
                    rest.set(name, json.readTree(new Bounded(parser)));
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

    private void each(JsonParser parser, Consumer<ObjectNode> lifters) {
        while (parser.nextToken() != JsonToken.END_ARRAY) {
            JsonNode one = json.readTree(new Bounded(parser));
            if (!(one instanceof ObjectNode lifter)) {
                throw notOurs();
            }
            lifters.accept(lifter);
        }
    }

    private static UnreadableException notOurs() {
        return new UnreadableException("exchange.whole.error.json").in("file");
    }

    /** A parser of one part, which is held as a whole: of no more than a life of lifting. */
    private static final class Bounded extends JsonParserDelegate {

        private static final int MOST_TOKENS = 1_500_000;
        private static final long MOST_BYTES = 64L * 1024 * 1024;

        private final long from;
        private int tokens;

        private Bounded(JsonParser parser) {
            super(parser);
            this.from = parser.currentLocation().getByteOffset();
        }

        @Override
        public JsonToken nextToken() {
            JsonToken token = super.nextToken();
            if (++tokens > MOST_TOKENS || currentLocation().getByteOffset() - from > MOST_BYTES) {
                throw new UnreadableException("exchange.whole.error.long").in("file");
            }
            return token;
        }

        @Override
        public String nextName() {
            return nextToken() == JsonToken.PROPERTY_NAME ? currentName() : null;
        }
    }
}
