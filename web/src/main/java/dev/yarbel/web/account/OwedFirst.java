package dev.yarbel.web.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Whoever owes their club a second factor sets it up before anything else. */
@Configuration
class OwedFirst implements WebMvcConfigurer, HandlerInterceptor {

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this)
                .excludePathPatterns(
                        "/me/**", "/sign-out", "/theme", "/error", "/pass", "/css/**", "/js/**", "/webjars/**");
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws IOException {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        if (who != null && who.getPrincipal() instanceof Member member && member.owesSecondFactor()) {
            if (request.getHeader("HX-Request") != null) {
                response.setHeader("HX-Redirect", "/me/second-factor");
            } else {
                response.sendRedirect("/me/second-factor");
            }
            return false;
        }
        return true;
    }
}
