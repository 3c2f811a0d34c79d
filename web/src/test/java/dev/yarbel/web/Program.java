package dev.yarbel.web;

import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;

import dev.yarbel.web.account.Scope;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Secrets;
import java.io.UnsupportedEncodingException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A program that bears a token of somebody's, or none. */
public final class Program {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final MockMvc mvc;
    private final String secret;

    private Program(MockMvc mvc, String secret) {
        this.mvc = mvc;
        this.secret = secret;
    }

    /** One that may do whatever its owner may. */
    public static Program of(MockMvc mvc, JdbcClient jdbc, Person owner) {
        return of(mvc, jdbc, owner, Scope.values());
    }

    public static Program of(MockMvc mvc, JdbcClient jdbc, Person owner, Scope... scopes) {
        return new Program(mvc, token(jdbc, owner, scopes));
    }

    public static Program bearing(MockMvc mvc, String secret) {
        return new Program(mvc, secret);
    }

    /** A token of somebody's, which lasts a day of the tests' clock. */
    public static String token(JdbcClient jdbc, Person owner, Scope... scopes) {
        String secret = "yarbel_test-" + UUID.randomUUID();
        jdbc.sql("""
                        insert into access_token (club_id, account_id, name, secret_hash, scopes, made_at, ends_at)
                        values (:club, :account, 'test', :hash, :scopes, :now, :ends)""")
                .param("club", owner.clubId())
                .param("account", owner.accountId())
                .param("hash", Secrets.hash(secret))
                .param("scopes", Arrays.stream(scopes).map(Scope::name).toArray(String[]::new))
                .param("now", java.sql.Timestamp.from(TestSettings.NOW))
                .param("ends", java.sql.Timestamp.from(TestSettings.NOW.plusSeconds(86_400)))
                .update();
        return secret;
    }

    /** What was answered. */
    public record Answer(int status, MockHttpServletResponse response) {

        public String text() {
            try {
                return response.getContentAsString(StandardCharsets.UTF_8);
            } catch (UnsupportedEncodingException impossible) {
                throw new IllegalStateException(impossible);
            }
        }

        public JsonNode json() {
            return JSON.readTree(text());
        }

        public String tag() {
            return response.getHeader(HttpHeaders.ETAG);
        }

        /** The field that is in trouble, and why. */
        public Map<String, String> errors() {
            Map<String, String> errors = new HashMap<>();
            json().path("errors")
                    .forEach(error -> errors.put(
                            error.get("field").asString(), error.get("message").asString()));
            return errors;
        }
    }

    public Answer get(String path) {
        return send("GET", path, null, Map.of());
    }

    public Answer post(String path, String body) {
        return send("POST", path, body, Map.of());
    }

    /** A change of what was seen. */
    public Answer put(String path, String tag, String body) {
        return send("PUT", path, body, Map.of(HttpHeaders.IF_MATCH, tag));
    }

    public Answer send(String method, String path, String body, Map<String, String> headers) {
        MockHttpServletRequestBuilder request =
                request(HttpMethod.valueOf(method), java.net.URI.create("/api/v1" + path));
        if (secret != null) {
            request.header(HttpHeaders.AUTHORIZATION, "Bearer " + secret);
        }
        headers.forEach(request::header);
        if (body != null) {
            request.content(body);
            if (!headers.containsKey(HttpHeaders.CONTENT_TYPE)) {
                request.contentType(MediaType.APPLICATION_JSON);
            }
        }
        try {
            MockHttpServletResponse response = mvc.perform(request).andReturn().getResponse();
            return new Answer(response.getStatus(), response);
        } catch (Exception fault) {
            throw new IllegalStateException(method + " " + path, fault);
        }
    }
}
