package dev.yarbel.web.rest;

import dev.yarbel.web.page.DatabaseAway;
import dev.yarbel.web.page.Person;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.codec.binary.Hex;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.ContentCachingResponseWrapper;

/**
 * Makes each write of the interface one transaction, with what is remembered of it: sent again under the same
 * {@code Idempotency-Key} it acts once and gets the answer that it got before, also where the line broke or the server was
 * killed in between. Of two writes to the same lifter, gym or contest the later one waits, so that what it checks is what it
 * changes. Nothing is kept of a write that was refused.
 */
@Component
class WritesOnce extends OncePerRequestFilter {

    static final String KEY = "Idempotency-Key";

    private static final int MOST_BYTES = 1_000_000;
    private static final int LONGEST_KEY = 100;
    private static final Duration REMEMBERED = Duration.ofDays(1);
    private static final String PATIENCE = "set local lock_timeout = '5s'";

    private static final Set<String> READS =
            Set.of(HttpMethod.GET.name(), HttpMethod.HEAD.name(), HttpMethod.OPTIONS.name(), HttpMethod.TRACE.name());

    private final JdbcClient jdbc;
    private final TransactionTemplate transactions;
    private final Problems problems;
    private final Clock clock;

    WritesOnce(JdbcClient jdbc, PlatformTransactionManager transactions, Problems problems, Clock clock) {
        this.jdbc = jdbc;
        this.transactions = new TransactionTemplate(transactions);
        this.problems = problems;
        this.clock = clock;
    }

    /** After the door, which knows who writes. */
    @Configuration
    static class Place {

        @Bean
        FilterRegistrationBean<WritesOnce> writesOnceAfterTheDoor(WritesOnce filter) {
            FilterRegistrationBean<WritesOnce> place = new FilterRegistrationBean<>(filter);
            place.addUrlPatterns(Problems.ROOT + "*");
            place.setOrder(0);
            return place;
        }
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return READS.contains(request.getMethod());
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        byte[] body = request.getInputStream().readNBytes(MOST_BYTES + 1);
        String key = request.getHeader(KEY);
        if (body.length > MOST_BYTES) {
            problems.write(request, response, HttpStatus.CONTENT_TOO_LARGE, "http.too-large");
        } else if (key != null && !key.matches("[\\x21-\\x7e]{1," + LONGEST_KEY + "}")) {
            problems.write(request, response, HttpStatus.BAD_REQUEST, "http.key");
        } else {
            write(new Sent(request, body, Optional.ofNullable(key)), response, chain);
        }
    }

    private void write(Sent sent, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        ContentCachingResponseWrapper answer = new ContentCachingResponseWrapper(response);
        try {
            transactions.executeWithoutResult(within -> act(sent, answer, chain, within));
        } catch (Chained fault) {
            fault.rethrow();
        } catch (RuntimeException fault) {
            // what was written does not stand, whatever was about to be said of it
            if (DatabaseAway.isToBlame(fault)) {
                throw fault;
            }
            answer.reset();
            problems.write(sent, answer, problems.of(fault));
        }
        answer.copyBodyToResponse();
    }

    private void act(Sent sent, ContentCachingResponseWrapper answer, FilterChain chain, TransactionStatus within) {
        try {
            jdbc.sql(PATIENCE).update();
            jdbc.sql("select pg_advisory_xact_lock(hashtextextended(:what, 0))")
                    .param("what", sent.holds())
                    .query((row, at) -> 0)
                    .single();
            if (sent.key().isEmpty() || begins(sent)) {
                chain.doFilter(sent, answer);
                if (answer.getStatus() >= HttpStatus.BAD_REQUEST.value()) {
                    within.setRollbackOnly();
                } else if (sent.key().isPresent()) {
                    remember(sent, answer);
                }
            } else {
                again(sent, answer);
            }
        } catch (IOException | ServletException fault) {
            throw new Chained(fault);
        }
    }

    /** Whether nobody wrote under this key before; whoever does so at this moment is waited for. */
    private boolean begins(Sent sent) {
        return jdbc.sql("""
                                insert into kept_answer (club_id, account_id, key, asked, at)
                                values (:club, :account, :key, :asked, :at) on conflict (account_id, key) do nothing""")
                        .param("club", sent.person().clubId())
                        .param("account", sent.person().accountId())
                        .param("key", sent.key().orElseThrow())
                        .param("asked", sent.hash())
                        .param("at", Timestamp.from(clock.instant()))
                        .update()
                == 1;
    }

    /** What was answered. */
    private record Kept(String asked, Integer status, String contentType, String location, String tag, byte[] body) {}

    private void remember(Sent sent, ContentCachingResponseWrapper answer) {
        jdbc.sql("""
                        update kept_answer set status = :status, content_type = :type, location = :location, tag = :tag, body = :body
                        where account_id = :account and key = :key""")
                .param("status", answer.getStatus())
                .param("type", answer.getContentType())
                .param("location", answer.getHeader(HttpHeaders.LOCATION))
                .param("tag", answer.getHeader(HttpHeaders.ETAG))
                .param("body", answer.getContentAsByteArray())
                .param("account", sent.person().accountId())
                .param("key", sent.key().orElseThrow())
                .update();
    }

    private void again(Sent sent, HttpServletResponse answer) throws IOException {
        Kept kept = jdbc.sql("""
                        select asked, status, content_type, location, tag, body from kept_answer
                        where account_id = :account and key = :key""")
                .param("account", sent.person().accountId())
                .param("key", sent.key().orElseThrow())
                .query(Kept.class)
                .single();
        if (!kept.asked().equals(sent.hash())) {
            problems.write(sent, answer, HttpStatus.UNPROCESSABLE_CONTENT, "http.key-taken");
            return;
        }
        answer.setStatus(kept.status());
        answer.setContentType(kept.contentType());
        header(answer, HttpHeaders.LOCATION, kept.location());
        header(answer, HttpHeaders.ETAG, kept.tag());
        answer.getOutputStream().write(kept.body());
    }

    private static void header(HttpServletResponse answer, String name, String value) {
        if (value != null) {
            answer.setHeader(name, value);
        }
    }

    @Scheduled(fixedDelayString = "PT1H")
    void forget() {
        jdbc.sql("delete from kept_answer where at < ?")
                .param(Timestamp.from(clock.instant().minus(REMEMBERED)))
                .update();
    }

    /** What the chain threw, through the transaction's template. */
    private static final class Chained extends RuntimeException {

        private static final long serialVersionUID = 1;

        Chained(Exception fault) {
            super(fault);
        }

        void rethrow() throws IOException, ServletException {
            if (getCause() instanceof IOException io) {
                throw io;
            }
            throw (ServletException) getCause();
        }
    }

    /** A request whose body was read, to be read once more. */
    private static final class Sent extends HttpServletRequestWrapper {

        private final byte[] body;
        private final Optional<String> key;

        Sent(HttpServletRequest request, byte[] body, Optional<String> key) {
            super(request);
            this.body = body;
            this.key = key;
        }

        Optional<String> key() {
            return key;
        }

        Person person() {
            return (Person) ((Authentication) getUserPrincipal()).getPrincipal();
        }

        /** The lifter, gym or contest that it is about, in its club. */
        String holds() {
            String[] path = getRequestURI().substring(Problems.ROOT.length()).split("/");
            return person().clubId() + "/" + path[0] + (path.length > 1 ? "/" + path[1] : "");
        }

        String hash() {
            MessageDigest digest = DigestUtils.getSha256Digest();
            for (String part :
                    new String[] {getMethod(), getRequestURI(), getQueryString(), getHeader(HttpHeaders.IF_MATCH)}) {
                digest.update((Objects.requireNonNullElse(part, "") + "\n").getBytes(StandardCharsets.UTF_8));
            }
            return Hex.encodeHexString(digest.digest(body));
        }

        @Override
        public int getContentLength() {
            return body.length;
        }

        @Override
        public long getContentLengthLong() {
            return body.length;
        }

        @Override
        public ServletInputStream getInputStream() {
            ByteArrayInputStream in = new ByteArrayInputStream(body);
            return new ServletInputStream() {
                @Override
                public boolean isFinished() {
                    return in.available() == 0;
                }

                @Override
                public boolean isReady() {
                    return true;
                }

                @Override
                public void setReadListener(ReadListener listener) {
                    throw new UnsupportedOperationException("it is read at once");
                }

                @Override
                public int read() {
                    return in.read();
                }

                @Override
                public int read(byte[] bytes, int from, int length) {
                    return in.read(bytes, from, length);
                }
            };
        }
    }
}
