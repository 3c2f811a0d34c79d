package dev.yarbel.web.rest;

import com.fasterxml.jackson.annotation.JsonInclude;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import io.swagger.v3.oas.annotations.media.Schema;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.List;
import java.util.function.Function;

/**
 * Some of many things, and where to go on.
 *
 * @param next what to send as {@code after} for those that follow; null where none does
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record Listed<T>(
        List<T> items,

        @Schema(description = "Send it as `after` for those that follow; absent where none does.")
        String next) {

    /** How many are told at once where nobody says. */
    public static final String USUAL = "50";

    public static final int MOST = 200;

    public Listed {
        items = List.copyOf(items);
    }

    /**
     * @param found one more than was asked for, where there are more
     * @param place what of an item tells those that follow it
     */
    public static <T> Listed<T> of(List<T> found, int limit, Function<T, List<?>> place) {
        return found.size() <= limit
                ? new Listed<>(found, null)
                : new Listed<>(found.subList(0, limit), cursor(place.apply(found.get(limit - 1))));
    }

    /** How many are asked for. */
    public static int limit(int asked) {
        return Reading.within("limit", asked, 1, MOST);
    }

    /** A place in a list, which whoever asks need not understand. */
    public static String cursor(List<?> place) {
        String text = String.join("\n", place.stream().map(String::valueOf).toList());
        return Base64.getUrlEncoder().withoutPadding().encodeToString(text.getBytes(StandardCharsets.UTF_8));
    }

    /**
     * What {@link #cursor} wrote.
     *
     * @throws UnreadableException when it wrote something else
     */
    public static List<String> place(String cursor, int parts) {
        try {
            String text = new String(Base64.getUrlDecoder().decode(cursor), StandardCharsets.UTF_8);
            List<String> place = List.of(text.split("\n", -1));
            if (place.size() == parts && !Reading.hasControl(text)) {
                return place;
            }
        } catch (IllegalArgumentException none) {
            // refused below
        }
        throw new UnreadableException("http.cursor").in("after");
    }

    /** The number that a cursor of one part holds; 0 for the beginning. */
    public static long number(String cursor) {
        if (cursor == null) {
            return 0;
        }
        String text = place(cursor, 1).get(0);
        if (!text.matches("\\d{1,18}")) {
            throw new UnreadableException("http.cursor").in("after");
        }
        return Long.parseLong(text);
    }
}
