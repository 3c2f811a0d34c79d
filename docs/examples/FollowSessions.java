import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Prints sessions that were finished since the last run: {@code java FollowSessions.java ADDRESS TOKEN FILE}. */
class FollowSessions {

    private static final HttpClient CLIENT = HttpClient.newHttpClient();
    private static final Pattern ITEM = Pattern.compile("\"lifter\":(\\d+),\"session\":(\\d+)");
    private static final Pattern NEXT = Pattern.compile("\"next\":\"([^\"]+)\"");

    public static void main(String[] args) throws Exception {
        Path kept = Path.of(args[2]);
        String after = Files.exists(kept) ? Files.readString(kept) : "";
        boolean any = true;
        while (any) {
            String page = ask(args, "/finished-sessions" + (after.isEmpty() ? "" : "?after=" + after));
            any = false;
            for (Matcher item = ITEM.matcher(page); item.find(); any = true) {
                System.out.println(ask(args, "/lifters/" + item.group(1) + "/sessions/" + item.group(2)));
            }
            Matcher next = NEXT.matcher(page);
            after = next.find() ? next.group(1) : after;
            Files.writeString(kept, after);
        }
    }

    private static String ask(String[] args, String path) throws Exception {
        var request = HttpRequest.newBuilder(URI.create(args[0] + "/api/v1" + path))
                .header("Authorization", "Bearer " + args[1]).build();
        var answer = CLIENT.send(request, BodyHandlers.ofString());
        if (answer.statusCode() != 200) {
            throw new IllegalStateException(answer.statusCode() + " " + answer.body());
        }
        return answer.body();
    }
}
