package dev.yarbel.web.account;

import dev.yarbel.web.page.ContentPolicy;
import dev.yarbel.web.page.FloorNotifier;
import dev.yarbel.web.page.OwnAddress;
import dev.yarbel.web.page.StaticFiles;
import dev.yarbel.web.rest.Problems;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.authentication.InternalAuthenticationServiceException;
import org.springframework.security.config.Customizer;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.HeadersConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.AccessDeniedHandler;
import org.springframework.security.web.access.AccessDeniedHandlerImpl;
import org.springframework.security.web.authentication.AnonymousAuthenticationFilter;
import org.springframework.security.web.authentication.LoginUrlAuthenticationEntryPoint;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfException;
import org.springframework.security.web.firewall.RequestRejectedHandler;
import org.springframework.security.web.header.writers.CrossOriginOpenerPolicyHeaderWriter.CrossOriginOpenerPolicy;
import org.springframework.security.web.header.writers.CrossOriginResourcePolicyHeaderWriter.CrossOriginResourcePolicy;
import org.springframework.session.jdbc.PostgreSqlJdbcIndexedSessionRepositoryCustomizer;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.session.web.http.DefaultCookieSerializer;

@Configuration
class SecurityConfiguration {

    private static final String PERMISSIONS = "camera=(), microphone=(), geolocation=(), payment=(), usb=()";

    /** A browser forgets the cookie after this; the server forgets the session sooner or later by its own clock. */
    private static final int COOKIE_SECONDS = 30 * 24 * 60 * 60;

    @Bean
    static PasswordEncoder passwordEncoder() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }

    /** Names, passwords and how often they are tried. */
    @Bean
    SignInProvider signInProvider(Accounts accounts, PasswordEncoder passwords, Throttle throttle) {
        return new SignInProvider(accounts, passwords, throttle);
    }

    /** A session's cookie: over https it is bound to this very site, and to https. */
    @Bean
    CookieSerializer sessionCookie(OwnAddress own) {
        DefaultCookieSerializer cookie = new DefaultCookieSerializer();
        cookie.setCookieName(own.cookie("yarbel"));
        cookie.setCookiePath("/");
        cookie.setUseHttpOnlyCookie(true);
        cookie.setSameSite("Lax");
        cookie.setCookieMaxAge(COOKIE_SECONDS);
        if (own.isSecure()) {
            cookie.setUseSecureCookie(true);
        }
        return cookie;
    }

    /** Parallel requests of one session may write the same attribute: the later one stands, and none fails. */
    @Bean
    PostgreSqlJdbcIndexedSessionRepositoryCustomizer parallelRequests() {
        return new PostgreSqlJdbcIndexedSessionRepositoryCustomizer();
    }

    /** The token of forms is kept in a cookie, so that a visitor who is nobody makes no row. */
    private static CookieCsrfTokenRepository formTokens(OwnAddress own) {
        CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
        tokens.setCookieName(own.cookie("yarbel-form"));
        tokens.setCookiePath("/");
        tokens.setCookieCustomizer(
                cookie -> cookie.httpOnly(true).sameSite("Lax").secure(own.isSecure()));
        return tokens;
    }

    /** Scripts, styles and fonts need neither session nor database. */
    @Bean
    @Order(1)
    SecurityFilterChain files(HttpSecurity http) throws Exception {
        return files(http, ContentPolicy.TEXT, StaticFiles.PATHS);
    }

    /** The worker that follows a bar through a film: it runs a library that makes code of its own, and reaches neither pages nor the server. */
    @Bean
    @Order(0)
    SecurityFilterChain barWorker(HttpSecurity http) throws Exception {
        return files(http, ContentPolicy.WORKER, "/js/bar-worker.js");
    }

    private static SecurityFilterChain files(HttpSecurity http, String policy, String... paths) throws Exception {
        return http.securityMatcher(paths)
                .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
                // nothing is taken here, and a token to compare would make a session of the server's own
                .csrf(csrf -> csrf.disable())
                .sessionManagement(sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .requestCache(cache -> cache.disable())
                .securityContext(context -> context.disable())
                .headers(headers -> headers.cacheControl(cache -> cache.disable())
                        .contentSecurityPolicy(allowed -> allowed.policyDirectives(policy)))
                .build();
    }

    /** Devices and calendars bear a secret of their own and have no session; it is judged where it comes in. */
    @Bean
    @Order(2)
    SecurityFilterChain devices(HttpSecurity http) throws Exception {
        return http.securityMatcher("/api/sensor/**", "/calendar/*.ics")
                .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
                .csrf(csrf -> csrf.disable())
                .sessionManagement(sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .requestCache(cache -> cache.disable())
                .headers(SecurityConfiguration::headers)
                .build();
    }

    /** Programs bear a token. */
    @Bean
    @Order(3)
    SecurityFilterChain programs(HttpSecurity http, InterfaceDoor door) throws Exception {
        return door.on(http).headers(SecurityConfiguration::headers).build();
    }

    /** An address that is none is refused before anybody looks where it leads: a program is told so as of everything else. */
    @Bean
    RequestRejectedHandler refusedAddresses(Problems problems) {
        return (request, response, why) -> {
            if (Problems.isInterface(request)) {
                problems.write(request, response, HttpStatus.BAD_REQUEST, "http.unusable");
            } else {
                response.sendError(HttpStatus.BAD_REQUEST.value());
            }
        };
    }

    private static void headers(HeadersConfigurer<HttpSecurity> headers) {
        headers.contentSecurityPolicy(policy -> policy.policyDirectives(ContentPolicy.TEXT))
                .referrerPolicy(Customizer.withDefaults())
                .permissionsPolicyHeader(policy -> policy.policy(PERMISSIONS))
                .crossOriginOpenerPolicy(policy -> policy.policy(CrossOriginOpenerPolicy.SAME_ORIGIN))
                .crossOriginResourcePolicy(policy -> policy.policy(CrossOriginResourcePolicy.SAME_ORIGIN));
    }

    @Bean
    @Order(4)
    SecurityFilterChain pages(
            HttpSecurity http,
            OwnAddress own,
            WhereTo whereTo,
            FloorNotifier moved,
            @Value("${yarbel.longest-session}") Duration longest)
            throws Exception {
        return http.csrf(csrf -> csrf.csrfTokenRepository(formTokens(own)))
                .requestCache(cache -> cache.requestCache(whereTo.cache()))
                .addFilterBefore(new LongestSession(longest), AnonymousAuthenticationFilter.class)
                .authorizeHttpRequests(requests -> requests.requestMatchers(
                                "/sign-in", SignInController.REFUSED, "/first-run", "/join/*", "/error")
                        .permitAll()
                        .requestMatchers("/sign-in/code")
                        .hasRole(HalfSignedIn.ROLE)
                        .requestMatchers("/club/**")
                        .hasRole("HEAD_COACH")
                        .requestMatchers(
                                "/calls/**",
                                "/contests/**",
                                "/exchange/kit/**",
                                "/exchange/lifters/**",
                                "/exchange/maxes/**",
                                "/exchange/plans/**",
                                "/exchange/whole/**",
                                "/kit/**",
                                "/lifters",
                                "/lifters/*/plan/**",
                                "/lifters/*/season",
                                "/plan/**",
                                "/live/**")
                        .hasRole("COACH")
                        .requestMatchers(
                                "/lifters/*/floor/review/**",
                                "/lifters/*/floor/side/**",
                                "/lifters/*/clips/*/judged",
                                "/lifters/*/book/maxes",
                                "/lifters/*/readiness")
                        .hasRole("COACH")
                        .requestMatchers(
                                HttpMethod.POST,
                                "/lifters/*/book/**",
                                "/lifters/*/invite",
                                "/lifters/*/week",
                                "/lifters/*/archive",
                                "/lifters/*/bring-back",
                                "/lifters/*/hand-over",
                                "/lifters/*/profile/aches/*/clear",
                                "/lifters/*/profile/health/clear",
                                "/lifters/*/gyms/**")
                        .hasRole("COACH")
                        .requestMatchers(HttpMethod.POST, "/lifters/*/practice", "/lifters/*/clips/*/found")
                        .hasRole("LIFTER")
                        .anyRequest()
                        .hasAnyRole("COACH", "LIFTER"))
                .formLogin(form -> form.loginPage("/sign-in")
                        .successHandler((request, response, who) -> {
                            Access.note(request);
                            response.sendRedirect(
                                    who.getPrincipal() instanceof HalfSignedIn
                                            ? "/sign-in/code"
                                            : whereTo.path(request, response));
                        })
                        .failureHandler((request, response, why) -> {
                            if (why instanceof InternalAuthenticationServiceException fault) {
                                throw fault;
                            }
                            request.setAttribute(SignInController.REFUSED, why);
                            request.getRequestDispatcher(SignInController.REFUSED)
                                    .forward(request, response);
                        }))
                .logout(logout -> logout.logoutUrl("/sign-out")
                        .addLogoutHandler((request, response, who) -> {
                            if (who != null && who.getPrincipal() instanceof Member member) {
                                request.setAttribute(Member.class.getName(), member.clubId());
                            }
                        })
                        .logoutSuccessHandler((request, response, who) -> {
                            // lines that this session opened end with it
                            if (request.getAttribute(Member.class.getName()) instanceof Long club) {
                                moved.tellAccess(club);
                            }
                            response.sendRedirect("/sign-in?out");
                        }))
                .exceptionHandling(handling -> handling.authenticationEntryPoint(new FragmentAwareEntryPoint())
                        .accessDeniedHandler(new StaleSignIn()))
                .headers(SecurityConfiguration::headers)
                .build();
    }

    /** A sign-in whose page had stood too long is shown again, with the name that was typed; all else is refused. */
    private static final class StaleSignIn implements AccessDeniedHandler {

        private final AccessDeniedHandler refused = new AccessDeniedHandlerImpl();

        @Override
        public void handle(HttpServletRequest request, HttpServletResponse response, AccessDeniedException why)
                throws IOException, ServletException {
            if (why instanceof CsrfException && "/sign-in".equals(request.getRequestURI())) {
                request.setAttribute(SignInController.REFUSED, why);
                request.getRequestDispatcher(SignInController.REFUSED).forward(request, response);
            } else {
                refused.handle(request, response, why);
            }
        }
    }

    /** A page goes to the sign-in; a fragment tells the page it was meant for to go there. */
    private static final class FragmentAwareEntryPoint implements AuthenticationEntryPoint {

        private final AuthenticationEntryPoint page = new LoginUrlAuthenticationEntryPoint("/sign-in");

        @Override
        public void commence(
                HttpServletRequest request, HttpServletResponse response, AuthenticationException exception)
                throws IOException, ServletException {
            if (request.getHeader("HX-Request") != null) {
                response.setHeader("HX-Redirect", "/sign-in");
                response.setStatus(HttpStatus.UNAUTHORIZED.value());
            } else {
                page.commence(request, response, exception);
            }
        }
    }
}
