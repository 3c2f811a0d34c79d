package dev.yarbel.web.page;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Function;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.ModelAndView;

/** Does what a form asks; where something in it cannot be used, its page comes again with what was typed and why. */
@Component
public class Forms {

    private final Words words;

    Forms(Words words) {
        this.words = words;
    }

    /**
     * Sends a form.
     *
     * @param form which of the page's forms
     * @param work reads what was typed and keeps it; nothing is kept when it throws
     * @param done the view when it was kept
     * @param again the page with the trouble
     */
    public String send(
            String form,
            Map<String, String> typed,
            Consumer<Typed> work,
            String done,
            Function<FormState, String> again,
            HttpServletResponse response) {
        return sendTo(
                form,
                typed,
                values -> {
                    work.accept(values);
                    return done;
                },
                again,
                response);
    }

    /**
     * Sends a form that says itself where to go when it was kept.
     *
     * @param work reads what was typed, keeps it and gives the view
     * @param again the page with the trouble
     */
    public ModelAndView answer(
            String form,
            Map<String, String> typed,
            Function<Typed, ModelAndView> work,
            Function<FormState, ModelAndView> again) {
        try {
            checkControl(typed);
            return work.apply(new Typed(typed));
        } catch (UnreadableException unreadable) {
            ModelAndView page = again.apply(FormState.of(form, typed, unreadable, words));
            page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
            return page;
        }
    }

    private static void checkControl(Map<String, String> typed) {
        typed.forEach((field, text) -> {
            if (Reading.hasControl(text)) {
                throw new UnreadableException("read.control").in(field);
            }
        });
    }

    /**
     * Sends a form that says itself where to go when it was kept.
     *
     * @param work reads what was typed, keeps it and gives the view
     */
    public String sendTo(
            String form,
            Map<String, String> typed,
            Function<Typed, String> work,
            Function<FormState, String> again,
            HttpServletResponse response) {
        try {
            checkControl(typed);
            return work.apply(new Typed(typed));
        } catch (UnreadableException unreadable) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return again.apply(FormState.of(form, typed, unreadable, words));
        }
    }
}
