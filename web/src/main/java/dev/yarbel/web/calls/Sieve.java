package dev.yarbel.web.calls;

import dev.yarbel.core.adjust.Urgency;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Which calls of the queue are looked at.
 *
 * @param gym the name of the lifters' usual gym; blank for any
 * @param kind how weighty they are; empty for all
 */
record Sieve(String gym, Optional<Urgency> kind) {

    /** All of them. */
    static final Sieve NONE = new Sieve("", Optional.empty());

    /** As it stands in an address; what is no kind is all kinds. */
    static Sieve of(String gym, String kind) {
        return new Sieve(
                gym == null ? "" : gym,
                Arrays.stream(Urgency.values())
                        .filter(urgency -> urgency.name().equals(kind))
                        .findFirst());
    }

    /** Those that go through. */
    List<SlipLine> sift(List<SlipLine> queue, Map<Long, String> gyms) {
        return queue.stream()
                .filter(line ->
                        gym.isBlank() || gym.equals(gyms.get(line.lifter().id())))
                .filter(line -> kind.filter(line.urgency()::equals).isPresent() || kind.isEmpty())
                .toList();
    }

    public boolean isNone() {
        return gym.isBlank() && kind.isEmpty();
    }

    /** What goes behind an address, so that the next page looks at the same; blank where all are looked at. */
    public String query() {
        String parts = Stream.of(
                        gym.isBlank() ? "" : "gym=" + URLEncoder.encode(gym, StandardCharsets.UTF_8),
                        kind.map(urgency -> "kind=" + urgency).orElse(""))
                .filter(part -> !part.isEmpty())
                .collect(Collectors.joining("&"));
        return parts.isEmpty() ? "" : "?" + parts;
    }
}
