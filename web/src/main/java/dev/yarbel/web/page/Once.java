package dev.yarbel.web.page;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import org.apache.commons.codec.binary.Hex;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.multipart.MultipartHttpServletRequest;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.support.RequestDataValueProcessor;
import org.springframework.web.util.WebUtils;

/**
 * The same form sent twice acts once: by a double click, a line that broke before the answer came, or a page gone back to.
 * Each form bears a number of its own; what is sent under the same number with the same contents gets the first one's
 * answer. What was refused, or failed, may be sent again.
 *
 * <p>Sets have tokens that last, and are left to {@code Sessions}; a theme may be chosen as often as one likes.
 */
@Configuration
class Once implements WebMvcConfigurer, HandlerInterceptor {

    /** The field that bears a form's number. */
    static final String FIELD = "once";

    /** What differs from one try to the next though the same is meant. */
    private static final Set<String> NOT_OF_THE_FORM = Set.of("_csrf", "at");

    private static final String MARK = Once.class.getName();
    /** A first try that has given no answer for so long never will. */
    private static final Duration GIVEN_UP = Duration.ofSeconds(30);

    private static final Duration PATIENCE = Duration.ofSeconds(5);
    private static final Duration REMEMBERED = Duration.ofDays(2);
    private static final long LOOK_AGAIN_MILLIS = 50;

    private final JdbcClient jdbc;
    private final Clock clock;

    Once(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** Gives each form that sends something its number, beside the token that says it is ours. */
    @Bean
    static BeanPostProcessor numberedForms() {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return bean instanceof RequestDataValueProcessor other ? new Numbered(other) : bean;
            }
        };
    }

    private record Numbered(RequestDataValueProcessor other) implements RequestDataValueProcessor {

        @Override
        public String processAction(HttpServletRequest request, String action, String method) {
            return other.processAction(request, action, method);
        }

        @Override
        public String processFormFieldValue(HttpServletRequest request, String name, String value, String type) {
            return other.processFormFieldValue(request, name, value, type);
        }

        @Override
        public Map<String, String> getExtraHiddenFields(HttpServletRequest request) {
            Map<String, String> fields = other.getExtraHiddenFields(request);
            if (fields == null || fields.isEmpty()) {
                return fields;
            }
            Map<String, String> all = new TreeMap<>(fields);
            all.put(FIELD, UUID.randomUUID().toString());
            return all;
        }

        @Override
        public String processUrl(HttpServletRequest request, String url) {
            return other.processUrl(request, url);
        }
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).excludePathPatterns("/lifters/*/floor/sets", "/theme");
    }

    private record Form(long account, String hash) {}

    private record Sent(Instant answeredAt, String location) {}

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws IOException {
        Optional<Form> form = form(request);
        if (form.isEmpty()) {
            return true;
        }
        // whoever comes while the first is being done waits for its answer; where that was refused, it is their turn
        long end = System.nanoTime() + PATIENCE.toNanos();
        while (!begins(form.get())) {
            Optional<Sent> first = first(form.get());
            if (first.filter(sent -> sent.answeredAt() != null).isPresent()) {
                answerAsBefore(first.get(), request, response);
                return false;
            }
            if (System.nanoTime() > end) {
                response.setHeader(HttpHeaders.RETRY_AFTER, "1");
                response.sendError(HttpStatus.TOO_MANY_REQUESTS.value());
                return false;
            }
            pause();
        }
        request.setAttribute(MARK, form.get());
        return true;
    }

    private static Optional<Form> form(HttpServletRequest request) {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        String number = request.getMethod().equals("POST") ? request.getParameter(FIELD) : null;
        return number != null && who != null && who.getPrincipal() instanceof Person person
                ? Optional.of(new Form(person.accountId(), hash(request)))
                : Optional.empty();
    }

    /** Whether nobody sent this before, or whoever did came to no end. */
    private boolean begins(Form form) {
        Instant now = clock.instant();
        return jdbc.sql("""
                                insert into sent_form (account_id, hash, sent_at) values (:account, :hash, :now)
                                on conflict (account_id, hash) do update set sent_at = excluded.sent_at
                                where sent_form.answered_at is null and sent_form.sent_at < :given_up""")
                        .param("account", form.account())
                        .param("hash", form.hash())
                        .param("now", Timestamp.from(now))
                        .param("given_up", Timestamp.from(now.minus(GIVEN_UP)))
                        .update()
                == 1;
    }

    private static void answerAsBefore(Sent first, HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        if (request.getHeader("HX-Request") != null) {
            response.setHeader("HX-Refresh", "true");
            response.setStatus(HttpStatus.OK.value());
        } else {
            response.sendRedirect(first.location() == null ? "/" : first.location());
        }
    }

    private Optional<Sent> first(Form form) {
        return jdbc.sql("select answered_at, location from sent_form where account_id = ? and hash = ?")
                .params(form.account(), form.hash())
                .query(Sent.class)
                .optional();
    }

    private static void pause() {
        try {
            Thread.sleep(LOOK_AGAIN_MILLIS);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, Exception fault) {
        if (!(request.getAttribute(MARK) instanceof Form form)) {
            return;
        }
        if (fault == null && response.getStatus() < HttpStatus.BAD_REQUEST.value()) {
            jdbc.sql("update sent_form set answered_at = ?, location = ? where account_id = ? and hash = ?")
                    .params(
                            Timestamp.from(clock.instant()),
                            response.getHeader(HttpHeaders.LOCATION),
                            form.account(),
                            form.hash())
                    .update();
        } else {
            jdbc.sql("delete from sent_form where account_id = ? and hash = ?")
                    .params(form.account(), form.hash())
                    .update();
        }
    }

    @Scheduled(fixedDelayString = "PT6H")
    void forget() {
        jdbc.sql("delete from sent_form where sent_at < ?")
                .param(Timestamp.from(clock.instant().minus(REMEMBERED)))
                .update();
    }

    private static String hash(HttpServletRequest request) {
        MessageDigest digest = DigestUtils.getSha256Digest();
        add(digest, request.getRequestURI());
        new TreeMap<>(request.getParameterMap()).forEach((name, values) -> {
            if (!NOT_OF_THE_FORM.contains(name)) {
                add(digest, name);
                for (String value : values) {
                    add(digest, value);
                }
            }
        });
        MultipartHttpServletRequest sent = WebUtils.getNativeRequest(request, MultipartHttpServletRequest.class);
        if (sent != null) {
            new TreeMap<>(sent.getFileMap()).values().forEach(file -> add(digest, file));
        }
        return Hex.encodeHexString(digest.digest());
    }

    /** Another file is another form, whatever else is the same. */
    private static void add(MessageDigest digest, MultipartFile file) {
        add(digest, file.getName());
        try (InputStream contents = file.getInputStream()) {
            DigestUtils.updateDigest(digest, contents);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private static void add(MessageDigest digest, String text) {
        byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
        digest.update((bytes.length + ":").getBytes(StandardCharsets.UTF_8));
        digest.update(bytes);
    }
}
