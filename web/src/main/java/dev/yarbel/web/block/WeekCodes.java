package dev.yarbel.web.block;

import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.Phase;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** The weeks of a block as they are kept: {@code muscle,muscle,muscle-deload,strength}; plain weeks are empty. */
final class WeekCodes {

    private static final String DELOAD = "-deload";

    private WeekCodes() {}

    static String of(List<BlockWeek> weeks) {
        return weeks.stream().map(WeekCodes::of).collect(Collectors.joining(","));
    }

    static String of(BlockWeek week) {
        String phase = week.phase() == Phase.GENERAL ? "" : week.phase().name().toLowerCase(Locale.ROOT);
        return phase + (week.deload() ? DELOAD : "");
    }

    static List<BlockWeek> parse(String codes, int weeks) {
        String[] parts = codes.split(",", -1);
        List<BlockWeek> shape = new ArrayList<>();
        for (int week = 0; week < weeks; week++) {
            shape.add(week < parts.length ? parse(parts[week]) : BlockWeek.PLAIN);
        }
        return shape;
    }

    private static BlockWeek parse(String code) {
        boolean deload = code.endsWith(DELOAD);
        String phase = deload ? code.substring(0, code.length() - DELOAD.length()) : code;
        return new BlockWeek(phase.isEmpty() ? Phase.GENERAL : Phase.valueOf(phase.toUpperCase(Locale.ROOT)), deload);
    }
}
