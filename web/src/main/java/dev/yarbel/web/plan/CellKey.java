package dev.yarbel.web.plan;

import dev.yarbel.core.block.SlotId;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A cell of the sheet: the slot and the week, from 0. */
record CellKey(SlotId slot, int week) {

    private static final Pattern DOSE = Pattern.compile("dose\\.(\\d{1,18})\\.(\\d{1,2})");

    /** What a request has of doses' texts, each on one line. */
    static Map<CellKey, String> texts(Map<String, String> parameters) {
        Map<CellKey, String> texts = new HashMap<>();
        parameters.forEach((name, value) -> {
            Matcher matcher = DOSE.matcher(name);
            if (matcher.matches()) {
                SlotId slot = new SlotId(Long.parseLong(matcher.group(1)));
                texts.put(new CellKey(slot, Integer.parseInt(matcher.group(2))), value.replaceAll("[\\r\\n]+", " "));
            }
        });
        return texts;
    }

    /** Names the cell in forms and on the page: {@code 12.3}. */
    @Override
    public String toString() {
        return slot + "." + week;
    }
}
