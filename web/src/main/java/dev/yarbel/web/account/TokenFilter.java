package dev.yarbel.web.account;

import dev.yarbel.web.rest.Problems;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/** Lets a program in by the token that it bears (RFC 6750), as often in a minute as is sensible. */
final class TokenFilter extends OncePerRequestFilter {

    private static final String BEARER = "Bearer ";

    private final AccessTokens tokens;
    private final Throttle throttle;
    private final Problems problems;

    TokenFilter(AccessTokens tokens, Throttle throttle, Problems problems) {
        this.tokens = tokens;
        this.throttle = throttle;
        this.problems = problems;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String said = request.getHeader(HttpHeaders.AUTHORIZATION);
        if (said == null || !said.regionMatches(true, 0, BEARER, 0, BEARER.length())) {
            chain.doFilter(request, response);
            return;
        }
        Optional<AccessTokens.Opened> opened =
                tokens.open(said.substring(BEARER.length()).strip());
        if (opened.isEmpty()) {
            response.setHeader(HttpHeaders.WWW_AUTHENTICATE, "Bearer error=\"invalid_token\"");
            problems.write(request, response, HttpStatus.UNAUTHORIZED, "http.token");
        } else if (opened.get().member().owesSecondFactor()) {
            problems.write(request, response, HttpStatus.FORBIDDEN, "http.owes-second-factor");
        } else {
            Optional<Duration> pause = throttle.tries(
                    Throttle.Door.TOKEN, String.valueOf(opened.get().token()));
            if (pause.isPresent()) {
                response.setHeader(
                        HttpHeaders.RETRY_AFTER, String.valueOf(pause.get().toSeconds()));
                problems.write(request, response, HttpStatus.TOO_MANY_REQUESTS, "http.too-fast");
            } else {
                enter(opened.get());
                chain.doFilter(request, response);
            }
        }
    }

    private static void enter(AccessTokens.Opened opened) {
        List<GrantedAuthority> authorities = new ArrayList<>(opened.member().getAuthorities());
        opened.scopes().forEach(scope -> authorities.add(new SimpleGrantedAuthority(scope.authority())));
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(
                UsernamePasswordAuthenticationToken.authenticated(opened.member(), null, authorities));
        SecurityContextHolder.setContext(context);
    }
}
