package dev.yarbel.web.account;

import dev.yarbel.web.page.StaticFiles;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.Customizer;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.LoginUrlAuthenticationEntryPoint;

@Configuration
class SecurityConfiguration {

    private static final String CONTENT_POLICY = String.join(
            "; ",
            "default-src 'none'",
            "script-src 'self'",
            "style-src 'self'",
            "img-src 'self' data:",
            "font-src 'self'",
            "connect-src 'self'",
            "form-action 'self'",
            "base-uri 'none'",
            "frame-ancestors 'none'");

    @Bean
    PasswordEncoder passwordEncoder() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }

    /** Scripts, styles and fonts need neither session nor database. */
    @Bean
    @Order(1)
    SecurityFilterChain files(HttpSecurity http) throws Exception {
        return http.securityMatcher(StaticFiles.PATHS)
                .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
                .sessionManagement(sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .requestCache(cache -> cache.disable())
                .securityContext(context -> context.disable())
                .headers(headers -> headers.cacheControl(cache -> cache.disable())
                        .contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY)))
                .build();
    }

    /** Devices bear a key of their own and have no session; what they send is judged where it comes in. */
    @Bean
    @Order(2)
    SecurityFilterChain devices(HttpSecurity http) throws Exception {
        return http.securityMatcher("/api/sensor/**")
                .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
                .csrf(csrf -> csrf.disable())
                .sessionManagement(sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .requestCache(cache -> cache.disable())
                .build();
    }

    @Bean
    @Order(3)
    SecurityFilterChain pages(HttpSecurity http) throws Exception {
        return http.authorizeHttpRequests(requests -> requests.requestMatchers(
                                "/sign-in", "/first-run", "/join/*", "/error")
                        .permitAll()
                        .requestMatchers("/club/**")
                        .hasRole("HEAD_COACH")
                        .requestMatchers(
                                "/calls/**", "/kit/**", "/lifters", "/lifters/*/plan/**", "/plan/**", "/live/**")
                        .hasRole("COACH")
                        .requestMatchers("/lifters/*/floor/review/**", "/lifters/*/floor/side")
                        .hasRole("COACH")
                        .requestMatchers(
                                HttpMethod.POST,
                                "/lifters/*/book/**",
                                "/lifters/*/invite",
                                "/lifters/*/archive",
                                "/lifters/*/bring-back",
                                "/lifters/*/hand-over",
                                "/lifters/*/profile/aches/*/clear",
                                "/lifters/*/profile/health/clear",
                                "/lifters/*/gyms/**")
                        .hasRole("COACH")
                        .anyRequest()
                        .authenticated())
                .formLogin(form -> form.loginPage("/sign-in").defaultSuccessUrl("/", true))
                .logout(logout -> logout.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?out"))
                .exceptionHandling(handling -> handling.authenticationEntryPoint(new FragmentAwareEntryPoint()))
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(Customizer.withDefaults()))
                .build();
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
