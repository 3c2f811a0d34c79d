package dev.yarbel.web.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockFilterChain;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

/** Addresses as the settings name them. */
class AddressFilterTest {

    private static final String URL = "https://yarbel.example.org";
    private static final String PROXY = "10.0.0.7";

    private static MockHttpServletRequest from(String remote, String host) {
        MockHttpServletRequest request = new MockHttpServletRequest("GET", "/lifters");
        request.setRemoteAddr(remote);
        request.addHeader("Host", host);
        return request;
    }

    private static HttpServletRequest seen(OwnAddress own, MockHttpServletRequest request) throws Exception {
        MockFilterChain chain = new MockFilterChain();
        MockHttpServletResponse response = new MockHttpServletResponse();
        new AddressFilter(own).doFilter(request, response, chain);
        return response.getStatus() == 400 ? null : (HttpServletRequest) chain.getRequest();
    }

    private static OwnAddress own(String url, String... proxies) {
        return new OwnAddress(url, "127.0.0.1", List.of(proxies));
    }

    @Test
    void whatIsSaidOfTheSiteIsTheAddressOfTheSettings() throws Exception {
        HttpServletRequest seen = seen(own(URL), from("192.0.2.1", "yarbel.example.org"));
        assertThat(seen.getRequestURL()).hasToString(URL + "/lifters");
        assertThat(seen.isSecure()).isTrue();
        assertThat(seen(own(URL), from("192.0.2.1", "other.example.org"))).isNull();
        assertThat(seen(own(URL), from("192.0.2.1", "yarbel.example.org:8443"))).isNull();
    }

    @Test
    void cookiesAreBoundToTheSiteWhereEverythingIsEncrypted() {
        assertThat(own(URL).cookie("yarbel")).isEqualTo("__Host-yarbel");
        assertThat(own("http://club.lan:8080").cookie("yarbel")).isEqualTo("yarbel");
    }

    @Test
    void aNamedProxyIsBelievedAndOnlyItsOwnEndOfTheWay() throws Exception {
        MockHttpServletRequest request = from(PROXY, "127.0.0.1:8080");
        request.addHeader("X-Forwarded-Host", "club.example.org");
        request.addHeader("X-Forwarded-Proto", "https");
        request.addHeader("X-Forwarded-For", "203.0.113.9, 198.51.100.4, " + PROXY);
        HttpServletRequest seen = seen(own("", PROXY), request);
        assertThat(seen.getRequestURL()).hasToString("https://club.example.org/lifters");
        assertThat(seen.getRemoteAddr())
                .as("the nearest that is no proxy of ours")
                .isEqualTo("198.51.100.4");
        assertThat(seen.getHeader("X-Forwarded-Host")).isNull();
    }

    @Test
    void anotherThanTheNamedProxyIsNot() throws Exception {
        MockHttpServletRequest request = from("192.0.2.1", "yarbel.example.org");
        request.addHeader("X-Forwarded-For", "203.0.113.9");
        assertThat(seen(own(URL, PROXY), request).getRemoteAddr()).isEqualTo("192.0.2.1");
        request.addHeader("X-Forwarded-Host", "evil.example");
        assertThat(seen(own(URL, PROXY), request)).isNull();
        MockHttpServletRequest proxied = from(PROXY, "yarbel.example.org");
        proxied.addHeader("X-Forwarded-Host", "evil.example");
        assertThat(seen(own(URL, PROXY), proxied))
                .as("the settings name another")
                .isNull();
    }

    @Test
    void anAddressThatIsNoneIsSaidAtTheStart() {
        for (String wrong : List.of("yarbel.example.org", "ftp://x.example", "https://x.example/path", "https://")) {
            assertThatThrownBy(() -> own(wrong)).isInstanceOf(IllegalArgumentException.class);
        }
        assertThatThrownBy(() -> new OwnAddress("", "0.0.0.0", List.of())).hasMessageContaining("YARBEL_URL");
    }
}
