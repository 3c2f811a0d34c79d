package dev.yarbel.web.kept;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** What the numbers of a file became, by the kind of thing: first those of a lifter, then those of the whole file. */
public final class Numbers {

    private final Map<String, Map<Long, Long>> became = new HashMap<>();
    private final Optional<Numbers> ofAll;

    private Numbers(Optional<Numbers> ofAll) {
        this.ofAll = ofAll;
    }

    public static Numbers ofFile() {
        return new Numbers(Optional.empty());
    }

    /** Those of one lifter in the file. */
    public Numbers ofLifter() {
        return new Numbers(Optional.of(this));
    }

    public void put(String kind, long number, long became) {
        this.became.computeIfAbsent(kind, any -> new HashMap<>()).put(number, became);
    }

    public Optional<Long> of(String kind, long number) {
        return Optional.ofNullable(became.getOrDefault(kind, Map.of()).get(number))
                .or(() -> ofAll.flatMap(all -> all.of(kind, number)));
    }
}
