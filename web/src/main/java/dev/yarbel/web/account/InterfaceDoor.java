package dev.yarbel.web.account;

import dev.yarbel.web.rest.Problems;
import java.util.function.Supplier;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.authorization.AuthorizationManager;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AuthorizeHttpRequestsConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.access.intercept.RequestAuthorizationContext;
import org.springframework.security.web.authentication.AnonymousAuthenticationFilter;
import org.springframework.stereotype.Component;

/** Who may do what at the HTTP interface: by the role of whoever comes, as on pages, and by the scopes of the token they come with. */
@Component
class InterfaceDoor {

    private final TokenFilter tokens;
    private final Problems problems;

    InterfaceDoor(AccessTokens tokens, Throttle throttle, Problems problems) {
        this.tokens = new TokenFilter(tokens, throttle, problems);
        this.problems = problems;
    }

    /** A program has no session and no form: what it bears is its token. */
    HttpSecurity on(HttpSecurity http) throws Exception {
        return http.securityMatcher(Problems.ROOT + "**")
                .csrf(csrf -> csrf.disable())
                .sessionManagement(sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .requestCache(cache -> cache.disable())
                .addFilterBefore(tokens, AnonymousAuthenticationFilter.class)
                .authorizeHttpRequests(InterfaceDoor::rules)
                .exceptionHandling(handling -> handling.authenticationEntryPoint((request, response, why) -> {
                            response.setHeader(HttpHeaders.WWW_AUTHENTICATE, "Bearer");
                            problems.write(request, response, HttpStatus.UNAUTHORIZED, "http.no-token");
                        })
                        .accessDeniedHandler((request, response, why) ->
                                problems.write(request, response, HttpStatus.FORBIDDEN, "http.forbidden")));
    }

    private static void rules(
            AuthorizeHttpRequestsConfigurer<HttpSecurity>.AuthorizationManagerRequestMatcherRegistry requests) {
        requests.requestMatchers(HttpMethod.GET, "/api/v1/openapi", "/api/v1/openapi.yaml", "/api/v1/openapi/**")
                .permitAll()
                .requestMatchers("/api/v1/gyms/**")
                .access(coachs(Scope.KIT))
                .requestMatchers("/api/v1/contests/**")
                .access(coachs(Scope.CONTESTS))
                .requestMatchers("/api/v1/lifters/*/blocks/**")
                .access(coachs(Scope.PLANS))
                .requestMatchers("/api/v1/lifters/*/maxes/**", "/api/v1/lifters/*/lifts/**")
                .access(coachWrites(Scope.MAXES))
                .requestMatchers("/api/v1/lifters/*/sessions/**", "/api/v1/lifters/*/days/**")
                .access(either(Scope.LOG))
                .requestMatchers("/api/v1/lifters/*/archive", "/api/v1/lifters/*/bring-back")
                .access(coachs(Scope.LIFTERS))
                .requestMatchers(HttpMethod.POST, "/api/v1/lifters")
                .access(coachs(Scope.LIFTERS))
                .requestMatchers("/api/v1/lifters/**")
                .access(either(Scope.LIFTERS))
                .requestMatchers(HttpMethod.GET, "/api/v1/**")
                .access(either(Scope.READ))
                .anyRequest()
                .denyAll();
    }

    /** Whoever may on pages: reading takes one scope, writing another. */
    private static AuthorizationManager<RequestAuthorizationContext> either(Scope writes) {
        return (who, asked) -> decision(has(who, needed(asked, writes).authority()));
    }

    private static AuthorizationManager<RequestAuthorizationContext> coachs(Scope writes) {
        return (who, asked) -> decision(
                has(who, "ROLE_COACH") && has(who, needed(asked, writes).authority()));
    }

    private static AuthorizationManager<RequestAuthorizationContext> coachWrites(Scope writes) {
        return (who, asked) -> decision(has(who, needed(asked, writes).authority())
                && (needed(asked, writes) == Scope.READ || has(who, "ROLE_COACH")));
    }

    private static Scope needed(RequestAuthorizationContext asked, Scope writes) {
        String method = asked.getRequest().getMethod();
        return method.equals("GET") || method.equals("HEAD") ? Scope.READ : writes;
    }

    private static boolean has(Supplier<? extends Authentication> who, String authority) {
        Authentication known = who.get();
        return known != null && known.getAuthorities().stream().anyMatch(one -> authority.equals(one.getAuthority()));
    }

    private static AuthorizationDecision decision(boolean granted) {
        return new AuthorizationDecision(granted);
    }
}
