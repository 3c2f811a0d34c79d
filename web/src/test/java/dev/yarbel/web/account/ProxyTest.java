package dev.yarbel.web.account;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.web.YarbelTest;
import java.io.IOException;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Whose word is taken on where a request came from and which site it was meant for. */
@YarbelTest
class ProxyTest {

    @LocalServerPort
    private int port;

    private String ask(String... headers) throws IOException {
        try (Socket line = new Socket("127.0.0.1", port)) {
            String request = "GET /lifters HTTP/1.1\r\nAccept: text/html\r\nConnection: close\r\n"
                    + String.join("\r\n", headers) + "\r\n\r\n";
            line.getOutputStream().write(request.getBytes(StandardCharsets.US_ASCII));
            return new String(line.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @ParameterizedTest
    @CsvSource({"localhost", "127.0.0.1:8080", "[::1]"})
    void ourOwnNamesAreAnswered(String host) throws Exception {
        assertThat(ask("Host: " + host)).startsWith("HTTP/1.1 302");
    }

    @ParameterizedTest
    @CsvSource({"evil.example", "localhost.evil.example", "127.0.0.1.evil.example:80"})
    void anothersNameIsRefused(String host) throws Exception {
        assertThat(ask("Host: " + host)).startsWith("HTTP/1.1 400");
        assertThat(ask("Host: localhost", "X-Forwarded-Host: " + host)).startsWith("HTTP/1.1 400");
    }

    @Test
    void whoeverIsNoNamedProxyChangesNoAddressAndNoCookie() throws Exception {
        String answer = ask("Host: localhost", "X-Forwarded-Proto: https", "X-Forwarded-For: 192.0.2.1");
        assertThat(answer).startsWith("HTTP/1.1 302").doesNotContain("https://").doesNotContain("Secure");
    }
}
