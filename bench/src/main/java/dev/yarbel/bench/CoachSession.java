package dev.yarbel.bench;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** The made-up coach, signed in to a running Yarbel over one connection. */
final class CoachSession {

    private static final Pattern CSRF = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");

    private final String address;
    private final HttpClient client;
    private String csrf = "";

    private CoachSession(String address) {
        this.address = address;
        this.client = HttpClient.newBuilder()
                .version(HttpClient.Version.HTTP_1_1)
                .cookieHandler(new CookieManager())
                .followRedirects(HttpClient.Redirect.NORMAL)
                .build();
    }

    static CoachSession signIn(String address) throws IOException, InterruptedException {
        return signIn(address, "load", "made-up-for-measuring");
    }

    static CoachSession signIn(String address, String username, String password)
            throws IOException, InterruptedException {
        CoachSession session = new CoachSession(address);
        session.get("/sign-in");
        session.post("/sign-in", Map.of("username", username, "password", password), false);
        return session;
    }

    /** A page's text. */
    String get(String page) throws IOException, InterruptedException {
        HttpResponse<String> response = client.send(
                HttpRequest.newBuilder(URI.create(address + page))
                        .header("Accept", "text/html")
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        if (response.statusCode() != 200 || response.uri().getPath().equals("/sign-in") && !page.equals("/sign-in")) {
            throw new IOException(page + " answered " + response.statusCode() + " at " + response.uri());
        }
        Matcher matcher = CSRF.matcher(response.body());
        if (matcher.find()) {
            csrf = matcher.group(1);
        }
        return response.body();
    }

    /** Sends a form that must be taken; the answer, and where it led. */
    HttpResponse<String> post(String page, Map<String, String> fields, boolean fragment)
            throws IOException, InterruptedException {
        HttpResponse<String> response = send(page, fields, fragment);
        if (response.statusCode() != 200) {
            throw new IOException(page + " answered " + response.statusCode());
        }
        return response;
    }

    /** Sends a form; the answer, whatever it is. */
    HttpResponse<String> send(String page, Map<String, String> fields, boolean fragment)
            throws IOException, InterruptedException {
        String form = fields.entrySet().stream()
                        .map(field -> encoded(field.getKey()) + "=" + encoded(field.getValue()))
                        .collect(Collectors.joining("&"))
                + "&_csrf=" + encoded(csrf);
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + page))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(form));
        if (fragment) {
            request.header("HX-Request", "true");
        }
        return client.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
