package dev.yarbel.web.page;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;
import org.springframework.http.HttpStatus;
import org.springframework.validation.BindingResult;
import org.springframework.validation.FieldError;
import org.springframework.web.servlet.ModelAndView;

/**
 * A form as it was sent: a record whose components are its fields. It is kept, or its page comes again with what was typed and
 * why it cannot be used, beside each field.
 *
 * @param <T> the form
 */
public final class Sent<T> {

    private final T form;
    private final BindingResult bound;
    private final Map<String, String> typed = new HashMap<>();
    private final Words words;

    Sent(T form, BindingResult bound, Map<String, String[]> typed, Words words) {
        this.form = form;
        this.bound = bound;
        this.words = words;
        typed.forEach((field, texts) -> this.typed.put(field, String.join(",", texts)));
    }

    /**
     * Does what the form asks.
     *
     * @param name which of the page's forms it is
     * @param work keeps it and says where to go; nothing is kept when it throws an {@link UnreadableException}
     * @param again the page with the trouble
     */
    public ModelAndView answer(String name, Function<T, ModelAndView> work, Function<FormState, ModelAndView> again) {
        Map<String, String> troubles = troubles();
        if (troubles.isEmpty()) {
            try {
                return work.apply(form);
            } catch (UnreadableException unreadable) {
                return refused(again.apply(FormState.of(name, typed, unreadable, words)));
            }
        }
        return refused(again.apply(new FormState(name, typed, troubles, false)));
    }

    /** What was typed, in no trouble: for a page that is shown again for another reason. */
    public FormState typed(String name) {
        return FormState.typedSoFar(name, typed);
    }

    /** Puts a text into a field, where it was read from elsewhere, a file for instance: it is what was typed from now on. */
    public String keep(String field, String text) {
        typed.put(field, text);
        return text;
    }

    /** What was typed into a field, as it was; empty where nothing was. */
    public String text(String field) {
        return typed.getOrDefault(field, "");
    }

    private Map<String, String> troubles() {
        Map<String, String> troubles = new LinkedHashMap<>();
        typed.forEach((field, text) -> {
            if (Reading.hasControl(text)) {
                troubles.put(field, words.say("read.control"));
            }
        });
        for (FieldError error : bound.getFieldErrors()) {
            troubles.putIfAbsent(error.getField(), words.say(error));
        }
        return troubles;
    }

    private static ModelAndView refused(ModelAndView page) {
        page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
        return page;
    }
}
