package dev.yarbel.web.page;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Arrays;
import java.util.Collections;
import java.util.Enumeration;
import java.util.List;
import java.util.Optional;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Refuses requests for another site than ours, and settles what a request says of where it came from and where it was sent
 * to: our own address where a setting names it, and a proxy's word only where that proxy is named.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 5)
class AddressFilter extends OncePerRequestFilter {

    private static final String FORWARDED_HOST = "X-Forwarded-Host";
    private static final String FORWARDED_FOR = "X-Forwarded-For";
    private static final String FORWARDED_PROTO = "X-Forwarded-Proto";

    private static final String ERROR_PAGE = "/error";

    private final OwnAddress own;

    AddressFilter(OwnAddress own) {
        this.own = own;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (request.getRequestURI().equals(ERROR_PAGE)) {
            // shown when something failed, and by nobody who asks for it
            ContentPolicy.on(response);
            response.sendError(HttpStatus.NOT_FOUND.value());
            return;
        }
        boolean proxied = own.isProxy(request.getRemoteAddr());
        List<String> hosts = hosts(request);
        boolean foreign = hosts.stream().anyMatch(host -> !own.isOurs(host));
        if (foreign && !(proxied && own.url().isEmpty())) {
            ContentPolicy.on(response);
            response.sendError(HttpStatus.BAD_REQUEST.value());
            return;
        }
        chain.doFilter(new Settled(request, own.url(), proxied), response);
    }

    private static List<String> hosts(HttpServletRequest request) {
        List<String> hosts = new java.util.ArrayList<>(list(request, FORWARDED_HOST));
        String host = request.getHeader("Host");
        hosts.add(host == null ? request.getServerName() : host);
        return hosts;
    }

    private static List<String> list(HttpServletRequest request, String header) {
        return Collections.list(request.getHeaders(header)).stream()
                .flatMap(value -> Arrays.stream(value.split(",")))
                .map(String::strip)
                .filter(value -> !value.isEmpty())
                .toList();
    }

    /** A request as the rest of the application sees it: nobody else reads what a proxy said. */
    private final class Settled extends HttpServletRequestWrapper {

        private final String scheme;
        private final String server;
        private final int port;
        private final String remote;

        Settled(HttpServletRequest request, Optional<URI> url, boolean proxied) {
            super(request);
            String said =
                    proxied ? first(list(request, FORWARDED_PROTO)).orElse(request.getScheme()) : request.getScheme();
            String host = proxied ? first(list(request, FORWARDED_HOST)).orElse(null) : null;
            this.scheme = url.map(URI::getScheme).orElse(said.equals("https") ? "https" : "http");
            int usual = scheme.equals("https") ? 443 : 80;
            this.server = url.map(URI::getHost)
                    .orElse(host == null ? request.getServerName() : host.replaceFirst(":\\d{1,5}$", ""));
            this.port = url.map(address -> address.getPort() < 0 ? usual : address.getPort())
                    .orElseGet(() -> host == null
                            ? (scheme.equals(request.getScheme()) ? request.getServerPort() : usual)
                            : host.matches(".*:\\d{1,5}") ? Integer.parseInt(host.replaceFirst("^.*:", "")) : usual);
            this.remote = proxied ? sender(request) : request.getRemoteAddr();
        }

        /** The nearest sender that is no proxy of ours; what stands further away, anybody could have written. */
        private String sender(HttpServletRequest request) {
            List<String> way = list(request, FORWARDED_FOR);
            for (int at = way.size() - 1; at >= 0; at--) {
                if (!own.isProxy(way.get(at))) {
                    return way.get(at);
                }
            }
            return request.getRemoteAddr();
        }

        private static Optional<String> first(List<String> values) {
            return values.stream().findFirst();
        }

        @Override
        public String getScheme() {
            return scheme;
        }

        @Override
        public boolean isSecure() {
            return scheme.equals("https");
        }

        @Override
        public String getServerName() {
            return server;
        }

        @Override
        public int getServerPort() {
            return port;
        }

        @Override
        public String getRemoteAddr() {
            return remote;
        }

        @Override
        public StringBuffer getRequestURL() {
            boolean usual = port == (isSecure() ? 443 : 80);
            return new StringBuffer(scheme + "://" + server + (usual ? "" : ":" + port)).append(getRequestURI());
        }

        private static boolean isForwarded(String header) {
            return header.regionMatches(true, 0, "X-Forwarded-", 0, 12) || header.equalsIgnoreCase("Forwarded");
        }

        @Override
        public String getHeader(String name) {
            return isForwarded(name) ? null : super.getHeader(name);
        }

        @Override
        public Enumeration<String> getHeaders(String name) {
            return isForwarded(name) ? Collections.emptyEnumeration() : super.getHeaders(name);
        }

        @Override
        public Enumeration<String> getHeaderNames() {
            return Collections.enumeration(Collections.list(super.getHeaderNames()).stream()
                    .filter(name -> !isForwarded(name))
                    .toList());
        }
    }
}
