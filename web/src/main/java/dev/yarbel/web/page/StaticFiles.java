package dev.yarbel.web.page;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.server.PathContainer;
import org.springframework.session.web.http.SessionRepositoryFilter;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.pattern.PathPattern;
import org.springframework.web.util.pattern.PathPatternParser;

/**
 * Scripts, styles and fonts are sent without a look at the session: they cost no statement, and a page that says that the
 * database is away still has its styles.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 10)
public class StaticFiles extends OncePerRequestFilter {

    /** Where they lie. */
    public static final String[] PATHS = {
        "/css/**",
        "/js/**",
        "/fonts/**",
        "/img/**",
        "/webjars/**",
        "/vendor/**",
        "/favicon.svg",
        "/sw.js",
        "/manifest.webmanifest"
    };

    /** How the session filter marks a request that it has seen; one that bears the mark it leaves alone. */
    private static final String SESSION_SEEN = SessionRepositoryFilter.class.getName() + ".FILTERED";

    private final List<PathPattern> patterns = List.of(PATHS).stream()
            .map(PathPatternParser.defaultInstance::parse)
            .toList();

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        PathContainer path = PathContainer.parsePath(request.getRequestURI());
        if (patterns.stream().anyMatch(pattern -> pattern.matches(path))) {
            request.setAttribute(SESSION_SEEN, true);
        }
        chain.doFilter(request, response);
    }
}
