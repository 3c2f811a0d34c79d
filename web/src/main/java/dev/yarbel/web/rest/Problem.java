package dev.yarbel.web.rest;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import org.springframework.http.HttpStatus;

/**
 * What is wrong with a request, as RFC 9457 has it.
 *
 * @param type {@code about:blank}: the title says what the status says
 * @param instance the path that was asked for
 * @param errors what is wrong in which field; none where it is nothing of that kind
 */
@JsonInclude(JsonInclude.Include.NON_EMPTY)
public record Problem(String type, String title, int status, String detail, String instance, List<Trouble> errors) {

    /**
     * Why one field cannot be used.
     *
     * @param field its path in the body, such as {@code sets[0].load}, or a parameter's name
     */
    public record Trouble(String field, String message) {}

    public Problem {
        errors = List.copyOf(errors);
    }

    static Problem of(HttpStatus status, String detail) {
        return of(status, detail, List.of());
    }

    static Problem of(HttpStatus status, String detail, List<Trouble> errors) {
        return new Problem("about:blank", status.getReasonPhrase(), status.value(), detail, "", errors);
    }

    Problem at(String path) {
        return new Problem(type, title, status, detail, path, errors);
    }
}
