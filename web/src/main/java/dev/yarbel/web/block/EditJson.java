package dev.yarbel.web.block;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import dev.yarbel.core.block.BlockEdit;
import dev.yarbel.core.block.DayEdit;
import dev.yarbel.core.block.DayId;
import dev.yarbel.core.block.SetDoses;
import dev.yarbel.core.block.SlotEdit;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.block.WeekEdit;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.stereotype.Component;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.KeyDeserializer;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.jsontype.NamedType;
import tools.jackson.databind.module.SimpleModule;

/** Edits as the ledger keeps them: what was done, and what leads back. Doses stand in it in canonical shorthand. */
@Component
class EditJson {

    /** What each kind of edit is called; a name that was ever written is never changed. */
    static final Map<Class<? extends BlockEdit>, String> NAMES = Map.ofEntries(
            Map.entry(SetDoses.class, "doses"),
            Map.entry(WeekEdit.Set.class, "week-set"),
            Map.entry(WeekEdit.Insert.class, "week-insert"),
            Map.entry(WeekEdit.Repeat.class, "week-repeat"),
            Map.entry(WeekEdit.Remove.class, "week-remove"),
            Map.entry(WeekEdit.Move.class, "week-move"),
            Map.entry(DayEdit.Set.class, "day-set"),
            Map.entry(DayEdit.Add.class, "day-add"),
            Map.entry(DayEdit.Copy.class, "day-copy"),
            Map.entry(DayEdit.Remove.class, "day-remove"),
            Map.entry(DayEdit.Move.class, "day-move"),
            Map.entry(SlotEdit.Set.class, "slot-set"),
            Map.entry(SlotEdit.Add.class, "slot-add"),
            Map.entry(SlotEdit.Remove.class, "slot-remove"),
            Map.entry(SlotEdit.Move.class, "slot-move"),
            Map.entry(BlockEdit.Rename.class, "rename"),
            Map.entry(BlockEdit.Start.class, "start"),
            Map.entry(BlockEdit.Shift.class, "shift"),
            Map.entry(BlockEdit.Several.class, "several"));

    private static final String BACK = "back";

    private final JsonMapper json;

    EditJson() {
        SimpleModule module = new SimpleModule();
        asText(module, Dose.class, Dose::shorthand, Dose::parse);
        asText(module, Lift.class, Lift::key, Lift::new);
        asText(module, DayId.class, DayId::toString, text -> new DayId(Long.parseLong(text)));
        asText(module, SlotId.class, SlotId::toString, text -> new SlotId(Long.parseLong(text)));
        module.addKeyDeserializer(SlotId.class, new KeyDeserializer() {
            @Override
            public Object deserializeKey(String key, DeserializationContext context) {
                return new SlotId(Long.parseLong(key));
            }
        });
        JsonMapper.Builder builder = JsonMapper.builder().addModule(module).addMixIn(BlockEdit.class, Named.class);
        NAMES.forEach((kind, name) -> builder.registerSubtypes(new NamedType(kind, name)));
        json = builder.build();
    }

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "edit")
    private interface Named {}

    private static <T> void asText(
            SimpleModule module, Class<T> type, Function<T, String> print, Function<String, T> parse) {
        module.addSerializer(type, new ValueSerializer<T>() {
            @Override
            public void serialize(T value, JsonGenerator out, SerializationContext context) {
                out.writeString(print.apply(value));
            }
        });
        module.addDeserializer(type, new ValueDeserializer<T>() {
            @Override
            public T deserialize(JsonParser in, DeserializationContext context) {
                return parse.apply(in.getString());
            }
        });
    }

    /** An edit that was made, and the one that leads back. */
    record Kept(BlockEdit edit, BlockEdit back) {}

    String write(Kept kept) {
        return json.writeValueAsString(kept);
    }

    /** What was written; empty for what an older Yarbel wrote, which can be read but not taken back. */
    Optional<Kept> read(String text) {
        JsonNode node = json.readTree(text);
        return node.has(BACK) ? Optional.of(json.treeToValue(node, Kept.class)) : Optional.empty();
    }
}
