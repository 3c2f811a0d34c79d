package dev.yarbel.lab.sensor;

import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintStream;
import java.net.ConnectException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The sensor's program: pairs by a code, then sends a reading for each repetition of the sets it is told, {@code 150 3} a
 * line for three repetitions of 150 kg, until the input ends.
 */
public final class SimulatedSensor {

    private static final Pattern KEY = Pattern.compile("\"key\"\\s*:\\s*\"([^\"]+)\"");
    private static final Pattern SET = Pattern.compile("(\\S+)\\s+(\\d{1,2})(?:\\s+(\\S+))?");

    private final HttpClient client =
            HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(5)).build();
    private final URI url;
    private final LoadSpeedLine line;
    private final RandomGenerator random;
    private final Duration pace;
    private final PrintStream out;
    private String key;
    private long number;

    SimulatedSensor(URI url, LoadSpeedLine line, long seed, Duration pace, PrintStream out) {
        this.url = url;
        this.line = line;
        this.random = RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
        this.pace = pace;
        this.out = out;
    }

    /** Starts the program: {@code --code CODE}, and what differs from the usual. */
    public static void main(String[] args) throws IOException, InterruptedException {
        Map<String, String> options = options(args);
        if (!options.containsKey("code")) {
            System.err.println(
                    "usage: ./yarbel sensor --code CODE [--url http://127.0.0.1:8080] [--max 180] [--at-limit 0.25]"
                            + " [--unloaded 1.3] [--noise 0.02] [--seed 1] [--pace 1500] [--fault dropouts|doubles|nonsense|late]"
                            + "\nthen a line a set: LOAD REPS [FAULT]");
            System.exit(2);
        }
        URI url = URI.create(options.getOrDefault("url", "http://127.0.0.1:8080"));
        SimulatedSensor sensor = new SimulatedSensor(
                url,
                new LoadSpeedLine(
                        Mass.parse(options.getOrDefault("max", "180"), MassUnit.KG),
                        Double.parseDouble(options.getOrDefault("at-limit", "0.25")),
                        Double.parseDouble(options.getOrDefault("unloaded", "1.3")),
                        Double.parseDouble(options.getOrDefault("noise", "0.02")),
                        RepCurve.DEFAULT),
                Long.parseLong(options.getOrDefault("seed", "1")),
                Duration.ofMillis(Long.parseLong(options.getOrDefault("pace", "1500"))),
                System.out);
        try {
            if (!sensor.pair(options.get("code"))) {
                System.exit(1);
            }
        } catch (ConnectException nobody) {
            System.err.println("nothing answers at " + url + ": is ./yarbel running?");
            System.exit(1);
        }
        Fault usual = Fault.parse(options.getOrDefault("fault", "none"));
        BufferedReader in = new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8));
        for (String text = in.readLine(); text != null; text = in.readLine()) {
            sensor.set(text.strip(), usual);
        }
    }

    private static Map<String, String> options(String[] args) {
        Map<String, String> options = new HashMap<>();
        for (int i = 0; i + 1 < args.length; i += 2) {
            options.put(args[i].replaceFirst("^--", ""), args[i + 1]);
        }
        return options;
    }

    /** Pairs with the session of a code. */
    boolean pair(String code) throws IOException, InterruptedException {
        HttpResponse<String> answer = post("/api/sensor/pair", "{\"code\":\"" + code + "\"}");
        Matcher found = KEY.matcher(answer.body());
        if (answer.statusCode() != 200 || !found.find()) {
            out.println("not paired: " + answer.statusCode() + " " + answer.body());
            return false;
        }
        key = found.group(1);
        out.println("paired");
        return true;
    }

    /** Sends the readings of a set; what is not a set is said so. */
    void set(String text, Fault usual) throws IOException, InterruptedException {
        Matcher set = SET.matcher(text);
        if (!set.matches()) {
            out.println("a set is LOAD REPS [FAULT], not '" + text + "'");
            return;
        }
        Mass load;
        Fault fault;
        try {
            load = Mass.parse(set.group(1), MassUnit.KG);
            fault = set.group(3) == null ? usual : Fault.parse(set.group(3));
        } catch (IllegalArgumentException unreadable) {
            out.println("a set is LOAD REPS [FAULT], not '" + text + "'");
            return;
        }
        for (int rep = 1; rep <= Integer.parseInt(set.group(2)); rep++) {
            double speed = line.measured(load, rep, random);
            if (speed == 0) {
                out.println("rep " + rep + ": does not go up");
                return;
            }
            number++;
            Fault.Reading reading = new Fault.Reading(number, String.format(Locale.ROOT, "%.3f", speed), 0);
            for (Fault.Reading sent : fault.of(reading)) {
                HttpResponse<String> answer = post("/api/sensor/readings", sent.json());
                out.println("rep " + rep + ": " + sent.speed() + " m/s: "
                        + (answer.statusCode() == 204 ? "taken" : answer.statusCode() + " " + answer.body()));
            }
            Thread.sleep(pace.toMillis());
        }
    }

    private HttpResponse<String> post(String path, String body) throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(url.resolve(path))
                .timeout(Duration.ofSeconds(10))
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(body));
        if (key != null) {
            request.header("Authorization", "Bearer " + key);
        }
        return client.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }
}
