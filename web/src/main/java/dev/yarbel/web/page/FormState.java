package dev.yarbel.web.page;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * What was typed into a form that could not be used as it was, and why: for the page that shows it again.
 *
 * @param form which of the page's forms
 * @param values what was typed, by field
 * @param errors what to do about it, by field
 * @param question whether it is only asked about, and kept when it is sent once more
 */
public record FormState(String form, Map<String, String> values, Map<String, String> errors, boolean question) {

    /** No trouble anywhere. */
    public static final FormState NONE = new FormState("", Map.of(), Map.of(), false);

    public FormState {
        values = values.entrySet().stream()
                .collect(Collectors.toUnmodifiableMap(Map.Entry::getKey, typed -> Reading.visible(typed.getValue())));
        errors = Map.copyOf(errors);
    }

    /** A form with what was typed so far, in no trouble. */
    public static FormState typedSoFar(String form, Map<String, String> typed) {
        return new FormState(form, typed, Map.of(), false);
    }

    /** The trouble with a form, in the reader's words. */
    public static FormState of(String form, Map<String, String> typed, UnreadableException trouble, Words words) {
        return new FormState(
                form,
                typed,
                Map.of(trouble.field(), words.say(trouble.code(), trouble.parts())),
                trouble.code().startsWith("ask."));
    }

    /** What to show in a field: what was typed into it, else what is kept. */
    public String value(String ofForm, String ofField, Object kept) {
        String shown = kept == null ? "" : kept.toString();
        return form.equals(ofForm) ? values.getOrDefault(ofField, shown) : shown;
    }

    /** Whether a box, or one of several of the same name, was ticked in a form that comes again. */
    public boolean ticked(String ofForm, String ofField, Object option) {
        return concerns(ofForm)
                && values.containsKey(ofField)
                && List.of(values.get(ofField).split(",")).contains(option.toString());
    }

    /** The sentence beside a field, else null. */
    public String error(String ofForm, String ofField) {
        return form.equals(ofForm) ? errors.get(ofField) : null;
    }

    /** Whether the form is in trouble, so that it stays open. */
    public boolean concerns(String ofForm) {
        return form.equals(ofForm);
    }

    /** Whether sending the form once more would keep it. */
    public boolean asks(String ofForm) {
        return concerns(ofForm) && question;
    }
}
