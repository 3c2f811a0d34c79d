package dev.yarbel.web.page;

import java.net.URI;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * The address that people open, and whose word is taken on where a request came from. Without a setting it is the address
 * served on, and every name of this machine's own loopback.
 */
@Component
public class OwnAddress {

    private static final Set<String> LOOPBACK = Set.of("localhost", "127.0.0.1", "[::1]");
    private static final Set<String> EVERY_ADDRESS = Set.of("0.0.0.0", "::", "[::]");

    private final Optional<URI> url;
    private final String served;
    private final Set<String> proxies;

    /**
     * @throws IllegalArgumentException when {@code yarbel.url} is no address of a site, or none is said though every address
     *     of the machine is served
     */
    OwnAddress(
            @Value("${yarbel.url:}") String url,
            @Value("${server.address:127.0.0.1}") String served,
            @Value("${yarbel.proxies:}") List<String> proxies) {
        this.url = url.isBlank() ? Optional.empty() : Optional.of(read(url.strip()));
        this.served = served;
        this.proxies = Set.copyOf(proxies.stream().map(String::strip).toList());
        if (this.url.isEmpty() && EVERY_ADDRESS.contains(served)) {
            throw new IllegalArgumentException(
                    "whoever serves on every address says which one people open: set YARBEL_URL");
        }
    }

    private static URI read(String text) {
        URI address = URI.create(text);
        boolean site = Set.of("http", "https").contains(String.valueOf(address.getScheme()))
                && address.getHost() != null
                && Set.of("", "/").contains(String.valueOf(address.getPath()))
                && address.getQuery() == null
                && address.getUserInfo() == null;
        if (!site) {
            throw new IllegalArgumentException(
                    "YARBEL_URL is an address such as https://yarbel.example.org, not '" + text + "'");
        }
        return address;
    }

    /** Where people open it, without a path; empty where no setting says so. */
    public Optional<URI> url() {
        return url;
    }

    /** Whether everything goes over TLS: then cookies are sent over nothing else. */
    public boolean isSecure() {
        return url.filter(address -> address.getScheme().equals("https")).isPresent();
    }

    /** The name of a cookie of ours: one that no other site can set, where everything goes over TLS. */
    public String cookie(String name) {
        return isSecure() ? "__Host-" + name : name;
    }

    /** Whether the word of whoever sits at this address is taken on where a request came from. */
    public boolean isProxy(String remoteAddress) {
        return proxies.contains(remoteAddress);
    }

    /** Whether a host, perhaps with a port, is one we are reached by. */
    boolean isOurs(String hostAndPort) {
        String asked = hostAndPort.strip().toLowerCase(Locale.ROOT);
        if (url.isPresent() && asked.equals(authority(url.get()))) {
            return true;
        }
        String host = asked.replaceFirst(":\\d{1,5}$", "");
        // on the machine itself, for whoever looks after it
        return LOOPBACK.contains(host) || url.isEmpty() && host.equals(served);
    }

    private static String authority(URI address) {
        String host = address.getHost().toLowerCase(Locale.ROOT);
        int usual = address.getScheme().equals("https") ? 443 : 80;
        return address.getPort() < 0 || address.getPort() == usual ? host : host + ":" + address.getPort();
    }
}
