package dev.yarbel.web.account;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.web.YarbelTest;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

@YarbelTest
class ProxyTest {

    @LocalServerPort
    private int port;

    private HttpResponse<String> get(String path) throws Exception {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                                .header("X-Forwarded-Proto", "https")
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
    }

    @Test
    void behindATlsProxyAddressesAndCookiesAreThoseOfHttps() throws Exception {
        assertThat(get("/lifters").headers().firstValue("Location").orElseThrow())
                .startsWith("https://");
        assertThat(get("/sign-in").headers().allValues("Set-Cookie"))
                .anySatisfy(cookie -> assertThat(cookie).startsWith("yarbel=").contains("Secure", "HttpOnly"));
    }
}
