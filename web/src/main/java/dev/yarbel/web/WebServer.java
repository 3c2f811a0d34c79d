package dev.yarbel.web;

import dev.yarbel.web.page.ContentPolicy;
import dev.yarbel.web.rest.Problems;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.Filter;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Pattern;
import org.eclipse.jetty.http.HttpException;
import org.eclipse.jetty.http.HttpHeader;
import org.eclipse.jetty.http.HttpStatus;
import org.eclipse.jetty.http.MimeTypes;
import org.eclipse.jetty.http.MultiPartConfig;
import org.eclipse.jetty.io.Connection;
import org.eclipse.jetty.io.Content;
import org.eclipse.jetty.server.Connector;
import org.eclipse.jetty.server.Handler;
import org.eclipse.jetty.server.Request;
import org.eclipse.jetty.server.Response;
import org.eclipse.jetty.server.Server;
import org.eclipse.jetty.server.handler.EagerContentHandler;
import org.eclipse.jetty.server.handler.QoSHandler;
import org.eclipse.jetty.util.Callback;
import org.eclipse.jetty.util.thread.Scheduler;
import org.springframework.boot.jetty.servlet.JettyServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;

/**
 * What stands between the network and the application. A thread is lent to a request only when the whole of it has come, so
 * that any number of slow senders holds none; what is too large is refused by its length; and of the requests that hash a
 * password few are let in at a time, while the rest wait without a thread.
 */
@Configuration
class WebServer {

    /** The most that is taken of anything but a form, in bytes. */
    static final int MOST = 64 * 1024;

    /** The most that is taken of a form, or of what a program sends, in bytes. */
    static final int MOST_OF_A_FORM = 1024 * 1024;

    /** The most that is taken of a form with a file, in bytes, where files are brought. */
    static final int MOST_OF_A_FILE = 62 * 1024 * 1024;

    /** So many files are on their way at once; who comes then is asked to come again. */
    static final int FILES_AT_ONCE = 8;

    private static final int MOST_FIELDS = 4000;
    /** How long a request may be on its way, and how long a new line may say nothing of use. */
    private static final Duration WHOLE_BODY = Duration.ofSeconds(30);

    /** Where files come in. */
    private static final Set<String> BRINGS = Set.of(
            "/exchange", "/exchange/kit", "/exchange/lifters", "/exchange/maxes", "/exchange/plans", "/exchange/whole");

    /** Where clips of a lifter's sets come in. */
    private static final Pattern CLIPS = Pattern.compile("/lifters/\\d{1,18}/clips");

    /** Where they come in part by part, each of up to a mebibyte. */
    private static final Pattern PARTS = Pattern.compile("/lifters/\\d{1,18}/clips/parts/[0-9a-fA-F-]{36}");

    private static final long MOST_OF_A_PART = 1024 * 1024;

    /** A file of years on a poor line. */
    private static final Duration WHOLE_FILE = Duration.ofMinutes(5);

    private static final Duration FIRST_HEADERS = Duration.ofSeconds(15);
    /** How long somebody at the door waits for their turn, and how many wait. */
    private static final Duration LONGEST_WAIT = Duration.ofSeconds(60);

    private static final int MOST_WAITING = 500;
    private static final int MOST_PARTS = 20;

    /** Says so on our own page, or to a program as a problem, before anything else looks at the request. */
    @Bean
    FilterRegistrationBean<Filter> tooLarge(Problems problems) {
        FilterRegistrationBean<Filter> refusal = new FilterRegistrationBean<>((request, response, chain) -> {
            if (request.getAttribute(TOO_LARGE) == null || request.getDispatcherType() != DispatcherType.REQUEST) {
                chain.doFilter(request, response);
            } else {
                ContentPolicy.on((HttpServletResponse) response);
                if (Problems.isInterface((HttpServletRequest) request)) {
                    problems.write(
                            (HttpServletRequest) request,
                            (HttpServletResponse) response,
                            org.springframework.http.HttpStatus.CONTENT_TOO_LARGE,
                            "http.too-large");
                } else {
                    ((HttpServletResponse) response).sendError(HttpStatus.PAYLOAD_TOO_LARGE_413);
                }
            }
        });
        refusal.setOrder(Ordered.HIGHEST_PRECEDENCE);
        return refusal;
    }

    @Bean
    WebServerFactoryCustomizer<JettyServletWebServerFactory> inFrontOfTheApplication() {
        return factory -> factory.addServerCustomizers(WebServer::wrap);
    }

    private static void wrap(Server server) {
        QoSHandler fewHash = new QoSHandler(server.getHandler());
        fewHash.include(WebServer::hashes);
        fewHash.setMaxRequestCount(Math.max(1, Runtime.getRuntime().availableProcessors() / 2));
        fewHash.setMaxSuspendedRequestCount(MOST_WAITING);
        fewHash.setMaxSuspend(LONGEST_WAIT);
        EagerContentHandler whole = new EagerContentHandler(
                new Arrived(fewHash),
                new EagerContentHandler.FormContentLoaderFactory(MOST_FIELDS, MOST_OF_A_FORM),
                new EagerContentHandler.MultiPartContentLoaderFactory(onDisk()),
                new EagerContentHandler.RetainedContentLoaderFactory(-1, -1, false));
        server.setHandler(new OnItsWay(whole));
        for (Connector connector : server.getConnectors()) {
            connector.addEventListener(new SilentLines(connector.getScheduler()));
        }
    }

    /** What comes of a file waits on the disk until all of it is here. */
    private static MultiPartConfig onDisk() {
        return new MultiPartConfig.Builder()
                .location(Path.of(System.getProperty("java.io.tmpdir")))
                .maxParts(MOST_PARTS)
                .maxSize(MOST_OF_A_FILE)
                .maxPartSize(MOST_OF_A_FILE)
                .maxMemoryPartSize(MOST)
                .useFilesForPartsWithoutFileName(true)
                .build();
    }

    /** Whether a request brings a file to where files are brought. */
    private static boolean brings(Request request) {
        return request.getMethod().equals("POST")
                && (BRINGS.contains(Request.getPathInContext(request))
                        || CLIPS.matcher(Request.getPathInContext(request)).matches())
                && isOfType(request, MimeTypes.Type.MULTIPART_FORM_DATA);
    }

    private static boolean isPart(Request request) {
        return request.getMethod().equals("PATCH")
                && PARTS.matcher(Request.getPathInContext(request)).matches();
    }

    private static boolean isOfAProgram(Request request) {
        return Request.getPathInContext(request).startsWith(Problems.ROOT)
                && isOfType(request, MimeTypes.Type.APPLICATION_JSON);
    }

    private static boolean isOfType(Request request, MimeTypes.Type type) {
        String sent = request.getHeaders().get(HttpHeader.CONTENT_TYPE);
        return sent != null && sent.toLowerCase(Locale.ROOT).startsWith(type.asString());
    }

    /** Whether a request may make the application hash a password. */
    private static boolean hashes(Request request) {
        String path = Request.getPathInContext(request);
        return request.getMethod().equals("POST")
                && (path.equals("/sign-in")
                        || path.equals("/first-run")
                        || path.startsWith("/me/")
                        || path.startsWith("/join/"));
    }

    /** Marks a request that was too large to be read. */
    static final String TOO_LARGE = "yarbel.too-large";

    private static final String DEADLINE = WebServer.class.getName() + ".deadline";

    /** Refuses what is too large, and ends what does not come to its end in time. */
    private static final class OnItsWay extends Handler.Wrapper {

        private final AtomicInteger files = new AtomicInteger();

        OnItsWay(Handler next) {
            super(next);
        }

        @Override
        public boolean handle(Request request, Response response, Callback callback) throws Exception {
            long most = mostOf(request);
            if (request.getLength() > most) {
                // none of it is read: the application says so on a page of its own
                response.getHeaders().put(HttpHeader.CONNECTION, "close");
                request.setAttribute(TOO_LARGE, true);
                return super.handle(new Unread(request), response, callback);
            }
            if (request.getLength() == 0) {
                return super.handle(request, response, callback);
            }
            boolean brings = brings(request);
            if (brings && files.incrementAndGet() > FILES_AT_ONCE) {
                files.decrementAndGet();
                response.getHeaders().put(HttpHeader.RETRY_AFTER, "30");
                Response.writeError(request, response, callback, HttpStatus.SERVICE_UNAVAILABLE_503);
                return true;
            }
            Scheduler.Task deadline = request.getComponents()
                    .getScheduler()
                    .schedule(
                            () -> request.getConnectionMetaData()
                                    .getConnection()
                                    .getEndPoint()
                                    .close(),
                            (brings ? WHOLE_FILE : WHOLE_BODY).toMillis(),
                            TimeUnit.MILLISECONDS);
            request.setAttribute(DEADLINE, deadline);
            AtomicBoolean over = new AtomicBoolean();
            Runnable end = () -> {
                deadline.cancel();
                if (brings && !over.getAndSet(true)) {
                    files.decrementAndGet();
                }
            };
            try {
                boolean handled = super.handle(new Counted(request, most), response, Callback.from(callback, end));
                if (!handled) {
                    end.run();
                }
                return handled;
            } catch (Throwable fault) {
                end.run();
                throw fault;
            }
        }

        private static long mostOf(Request request) {
            return brings(request)
                    ? MOST_OF_A_FILE
                    : isPart(request)
                            ? MOST_OF_A_PART
                            : isOfType(request, MimeTypes.Type.FORM_ENCODED) || isOfAProgram(request)
                                    ? MOST_OF_A_FORM
                                    : MOST;
        }
    }

    /** A request of which nothing is read. */
    private static final class Unread extends Request.Wrapper {

        Unread(Request request) {
            super(request);
        }

        @Override
        public long getLength() {
            return 0;
        }

        @Override
        public Content.Chunk read() {
            return Content.Chunk.EOF;
        }
    }

    /** Counts what is read of a body whose length nobody said. */
    private static final class Counted extends Request.Wrapper {

        private final long most;
        private long read;

        Counted(Request request, long most) {
            super(request);
            this.most = most;
        }

        @Override
        public Content.Chunk read() {
            Content.Chunk chunk = super.read();
            if (chunk != null) {
                read += chunk.remaining();
                if (read > most) {
                    chunk.release();
                    return Content.Chunk.from(new HttpException.RuntimeException(HttpStatus.PAYLOAD_TOO_LARGE_413));
                }
            }
            return chunk;
        }
    }

    /** The whole request is here: what follows takes as long as it takes. */
    private static final class Arrived extends Handler.Wrapper {

        Arrived(Handler next) {
            super(next);
        }

        @Override
        public boolean handle(Request request, Response response, Callback callback) throws Exception {
            if (request.getAttribute(DEADLINE) instanceof Scheduler.Task deadline) {
                deadline.cancel();
            }
            return super.handle(request, response, callback);
        }
    }

    /** Closes lines on which no request has come in time. */
    private static final class SilentLines implements Connection.Listener {

        private final Scheduler scheduler;

        SilentLines(Scheduler scheduler) {
            this.scheduler = scheduler;
        }

        @Override
        public void onOpened(Connection connection) {
            scheduler.schedule(
                    () -> {
                        if (connection.getMessagesIn() == 0) {
                            connection.getEndPoint().close();
                        }
                    },
                    FIRST_HEADERS.toMillis(),
                    TimeUnit.MILLISECONDS);
        }

        @Override
        public void onClosed(Connection connection) {
            // nothing is kept for it
        }
    }
}
