package dev.yarbel.web.page;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.LocaleResolver;
import org.springframework.web.util.WebUtils;
import org.thymeleaf.context.WebContext;
import org.thymeleaf.spring6.SpringTemplateEngine;
import org.thymeleaf.web.servlet.JakartaServletWebApplication;

/**
 * Answers 503 with a page of our own when the database is away. It stands outside every other filter, since sessions, too,
 * are kept in the database.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class DatabaseAwayFilter extends OncePerRequestFilter {

    private static final Logger LOG = LoggerFactory.getLogger(DatabaseAwayFilter.class);
    private static final String SECONDS_TO_WAIT = "10";
    private static final String PROBLEM =
            "{\"type\":\"about:blank\",\"title\":\"Service Unavailable\",\"status\":503,\"detail\":\"The database is away.\"}";

    private final SpringTemplateEngine templates;
    private final LocaleResolver locales;

    DatabaseAwayFilter(SpringTemplateEngine templates, LocaleResolver locales) {
        this.templates = templates;
        this.locales = locales;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (ServletException | IOException | RuntimeException fault) {
            if (!DatabaseAway.isToBlame(fault) || response.isCommitted()) {
                throw fault;
            }
            LOG.warn(
                    "the database is away: {}",
                    NestedExceptionUtils.getMostSpecificCause(fault).getMessage());
            answer(request, response);
        }
    }

    @Override
    protected boolean shouldNotFilterErrorDispatch() {
        return false;
    }

    private void answer(HttpServletRequest request, HttpServletResponse response) throws IOException {
        response.reset();
        response.setStatus(HttpStatus.SERVICE_UNAVAILABLE.value());
        response.setHeader(HttpHeaders.RETRY_AFTER, SECONDS_TO_WAIT);
        response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
        if (request.getHeader("HX-Request") != null) {
            return;
        }
        if (request.getRequestURI().startsWith("/api/")) {
            // a program asked
            response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
            response.getOutputStream().write(PROBLEM.getBytes(StandardCharsets.UTF_8));
            return;
        }
        if (request.getMethod().equals("GET")) {
            // whoever was only looking sees the page when the database is back
            response.setHeader("Refresh", SECONDS_TO_WAIT);
        }
        response.setContentType(MediaType.TEXT_HTML_VALUE);
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        Locale locale = locales.resolveLocale(request);
        var exchange = JakartaServletWebApplication.buildApplication(request.getServletContext())
                .buildExchange(request, response);
        templates.process(
                "error/503", new WebContext(exchange, locale, Map.of("theme", theme(request))), response.getWriter());
    }

    private static Theme theme(HttpServletRequest request) {
        Cookie cookie = WebUtils.getCookie(request, ThemeController.COOKIE);
        return Theme.of(cookie == null ? null : cookie.getValue());
    }
}
