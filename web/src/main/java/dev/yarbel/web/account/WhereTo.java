package dev.yarbel.web.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.net.URI;
import org.springframework.security.web.savedrequest.CookieRequestCache;
import org.springframework.security.web.savedrequest.RequestCache;
import org.springframework.security.web.savedrequest.SavedRequest;
import org.springframework.stereotype.Component;

/** Where somebody wanted to go before they were asked to sign in: a path in a cookie of theirs, no row of ours. */
@Component
class WhereTo {

    private static final int LONGEST = 500;

    private final CookieRequestCache cookies = new CookieRequestCache();

    WhereTo() {
        // pages only: no fragment, no stream, nothing that was sent
        cookies.setRequestMatcher(request -> request.getMethod().equals("GET")
                && request.getHeader("HX-Request") == null
                && String.valueOf(request.getHeader("Accept")).contains("text/html")
                && !request.getRequestURI().equals("/")
                && request.getRequestURL().length()
                                + String.valueOf(request.getQueryString()).length()
                        < LONGEST);
    }

    RequestCache cache() {
        return cookies;
    }

    /** The path they wanted, once; the start page where there was none. */
    String path(HttpServletRequest request, HttpServletResponse response) {
        SavedRequest saved = cookies.getRequest(request, response);
        if (saved == null) {
            return "/";
        }
        cookies.removeRequest(request, response);
        try {
            URI wanted = URI.create(saved.getRedirectUrl());
            String path = wanted.getRawPath();
            if (path != null && path.matches("/[^/\\\\].*")) {
                return wanted.getRawQuery() == null ? path : path + "?" + wanted.getRawQuery();
            }
        } catch (IllegalArgumentException noAddress) {
            // somebody else wrote into their own cookie
        }
        return "/";
    }
}
