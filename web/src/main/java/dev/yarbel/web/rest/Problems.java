package dev.yarbel.web.rest;

import dev.yarbel.web.page.DatabaseAway;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.TypeMismatchException;
import org.springframework.core.Ordered;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.dao.TransientDataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.stereotype.Component;
import org.springframework.validation.BindException;
import org.springframework.validation.BindingResult;
import org.springframework.web.ErrorResponse;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.HandlerExceptionResolver;
import org.springframework.web.servlet.ModelAndView;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** Answers whatever goes wrong with a request of the HTTP interface as a {@link Problem}; pages have pages of their own for it. */
@Component
public class Problems implements HandlerExceptionResolver, Ordered {

    /** Where the interface lies. */
    public static final String ROOT = "/api/v1/";

    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);
    private static final String SHORTLY = "1";

    private final Words words;
    private final JsonMapper json;

    Problems(Words words, JsonMapper json) {
        this.words = words;
        this.json = json;
    }

    @Override
    public int getOrder() {
        return HIGHEST_PRECEDENCE;
    }

    /** Whether a program asks, by where it asks. */
    public static boolean isInterface(HttpServletRequest request) {
        return request.getRequestURI().startsWith(ROOT);
    }

    @Override
    public ModelAndView resolveException(
            HttpServletRequest request, HttpServletResponse response, Object handler, Exception fault) {
        if (!isInterface(request) || DatabaseAway.isToBlame(fault)) {
            return null;
        }
        if (fault instanceof ErrorResponse known) {
            known.getHeaders().forEach((name, values) -> values.forEach(value -> response.addHeader(name, value)));
        }
        if (fault instanceof TransientDataAccessException) {
            response.setHeader(HttpHeaders.RETRY_AFTER, SHORTLY);
        }
        try {
            write(request, response, of(fault));
        } catch (IOException gone) {
            throw new UncheckedIOException(gone);
        }
        return new ModelAndView();
    }

    /** Answers with a problem that no exception stands for. */
    public void write(HttpServletRequest request, HttpServletResponse response, HttpStatus status, String wordsCode)
            throws IOException {
        write(request, response, Problem.of(status, words.say(wordsCode)));
    }

    void write(HttpServletRequest request, HttpServletResponse response, Problem problem) throws IOException {
        response.setStatus(problem.status());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
        response.getOutputStream().write(json.writeValueAsBytes(problem.at(request.getRequestURI())));
    }

    Problem of(Exception fault) {
        if (fault instanceof NotFoundException) {
            return Problem.of(HttpStatus.NOT_FOUND, words.say("http.not-found"));
        }
        if (fault instanceof UnreadableException unreadable) {
            return unusable(
                    List.of(new Problem.Trouble(unreadable.field(), words.say(unreadable.code(), unreadable.parts()))));
        }
        if (fault instanceof Refusal refused) {
            return Problem.of(HttpStatus.CONFLICT, words.say(refused.wordsCode(), refused.wordsParts()));
        }
        if (fault instanceof BindException invalid) {
            return unusable(troubles(invalid.getBindingResult()));
        }
        if (fault instanceof HttpMessageNotReadableException unreadable) {
            return unreadable(unreadable);
        }
        if (fault instanceof TypeMismatchException mismatch) {
            String name = mismatch instanceof MethodArgumentTypeMismatchException argument ? argument.getName() : "";
            return Problem.of(
                    HttpStatus.BAD_REQUEST,
                    words.say("http.unusable"),
                    List.of(new Problem.Trouble(name, words.say("http.unreadable-value"))));
        }
        if (fault instanceof AccessDeniedException) {
            return Problem.of(HttpStatus.FORBIDDEN, words.say("http.forbidden"));
        }
        if (fault instanceof PessimisticLockingFailureException || fault instanceof TransientDataAccessException) {
            return Problem.of(HttpStatus.SERVICE_UNAVAILABLE, words.say("http.busy"));
        }
        if (fault instanceof DataIntegrityViolationException) {
            LOG.warn("what was written contradicts what is kept", fault);
            return Problem.of(HttpStatus.CONFLICT, words.say("http.conflict"));
        }
        if (fault instanceof ErrorResponse known) {
            HttpStatus status = HttpStatus.valueOf(known.getStatusCode().value());
            return Problem.of(
                    status,
                    words.sayIfAny(
                            "http.status." + status.value(),
                            Optional.ofNullable(known.getBody().getDetail()).orElse(status.getReasonPhrase())));
        }
        LOG.error("a request of the interface failed", fault);
        return Problem.of(HttpStatus.INTERNAL_SERVER_ERROR, words.say("http.failed"));
    }

    private Problem unusable(List<Problem.Trouble> troubles) {
        return Problem.of(HttpStatus.UNPROCESSABLE_CONTENT, words.say("http.unusable"), troubles);
    }

    private List<Problem.Trouble> troubles(BindingResult bound) {
        return bound.getFieldErrors().stream()
                .map(error -> new Problem.Trouble(error.getField(), words.say(error)))
                .toList();
    }

    /** No JSON, or not what belongs there. */
    private Problem unreadable(HttpMessageNotReadableException fault) {
        List<Problem.Trouble> troubles = fault.getCause() instanceof JacksonException unread
                        && !unread.getPath().isEmpty()
                ? List.of(new Problem.Trouble(path(unread), words.say("http.unreadable-value")))
                : List.of();
        return Problem.of(HttpStatus.BAD_REQUEST, words.say("http.unreadable"), troubles);
    }

    private static String path(JacksonException unread) {
        return unread.getPath().stream()
                .map(part ->
                        part.getPropertyName() == null ? "[" + part.getIndex() + "]" : "." + part.getPropertyName())
                .collect(Collectors.joining())
                .replaceFirst("^\\.", "");
    }
}
