package dev.yarbel.bench;

import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * Takes the time of a page of a running demo while somebody does it harm, beside its time just before: slow bodies, a crowd
 * at the door, bodies that are too large, visitors without end. Run by {@code bench/hostile}; sends to this machine only,
 * and ends by itself.
 */
public final class Hostile {

    private static final String PAGE = "/lifters/1/plan";
    private static final int VISITS = 61;
    private static final int SLOW = 500;
    private static final int CROWD = 50;
    private static final String FORM = "application/x-www-form-urlencoded";

    private final String address;
    private final URI server;
    private final CoachSession coach;

    private Hostile(String address) throws Exception {
        this.address = address;
        this.server = URI.create(address);
        this.coach = CoachSession.signIn(address, "bryn", "harbour-light");
    }

    public static void main(String[] arguments) throws Exception {
        Hostile hostile = new Hostile(arguments[0]);
        if (!hostile.server.getHost().equals("127.0.0.1")) {
            throw new IllegalArgumentException("only what serves on this machine's own loopback is measured");
        }
        for (int i = 0; i < 300; i++) {
            hostile.coach.get(PAGE);
        }
        System.out.printf("%-44s %10s %10s %7s%n", "page " + PAGE + ", ms", "calm", "meanwhile", "ratio");
        hostile.slowBodies();
        hostile.crowdAtTheDoor();
        hostile.tooLarge();
        hostile.strangers();
    }

    private double median() throws Exception {
        double[] times = new double[VISITS];
        for (int i = 0; i < VISITS; i++) {
            long start = System.nanoTime();
            coach.get(PAGE);
            times[i] = (System.nanoTime() - start) / 1e6;
        }
        Arrays.sort(times);
        return times[VISITS / 2];
    }

    private void say(String what, double calm, double meanwhile) {
        System.out.printf(Locale.ROOT, "%-44s %10.1f %10.1f %7.2f%n", what, calm, meanwhile, meanwhile / calm);
    }

    private Socket open(String head) throws IOException {
        Socket line = new Socket(server.getHost(), server.getPort());
        line.getOutputStream().write(head.getBytes(StandardCharsets.US_ASCII));
        return line;
    }

    private static String head(String path, String type, long length) {
        return "POST " + path + " HTTP/1.1\r\nHost: localhost\r\nContent-Type: " + type + "\r\nContent-Length: "
                + length + "\r\n\r\n";
    }

    /** Five hundred lines, each a byte a second. */
    private void slowBodies() throws Exception {
        double calm = median();
        List<Socket> slow = new ArrayList<>();
        for (int i = 0; i < SLOW; i++) {
            slow.add(open(head("/sign-in", FORM, 1000) + "u"));
        }
        AtomicBoolean over = new AtomicBoolean();
        Thread drip = new Thread(() -> {
            while (!over.get()) {
                for (Socket line : slow) {
                    try {
                        line.getOutputStream().write('x');
                    } catch (IOException closed) {
                        // the server has had enough of it
                    }
                }
                try {
                    TimeUnit.SECONDS.sleep(1);
                } catch (InterruptedException stopped) {
                    return;
                }
            }
        });
        drip.setDaemon(true);
        drip.start();
        double meanwhile = median();
        over.set(true);
        for (Socket line : slow) {
            line.close();
        }
        say(SLOW + " slow bodies", calm, meanwhile);
    }

    /** Fifty at once who know their password, so that each of them is hashed for, again and again. */
    private void crowdAtTheDoor() throws Exception {
        double calm = median();
        ExecutorService crowd = Executors.newFixedThreadPool(CROWD);
        AtomicBoolean over = new AtomicBoolean();
        AtomicInteger in = new AtomicInteger();
        List<Callable<Void>> people = new ArrayList<>();
        for (int i = 0; i < CROWD; i++) {
            people.add(() -> {
                while (!over.get()) {
                    CoachSession.signIn(address, "bryn", "harbour-light");
                    in.incrementAndGet();
                }
                return null;
            });
        }
        List<Future<Void>> knocking = people.stream().map(crowd::submit).toList();
        double meanwhile = median();
        over.set(true);
        for (Future<Void> one : knocking) {
            one.get(2, TimeUnit.MINUTES);
        }
        crowd.shutdown();
        say(CROWD + " signing in at once (" + in.get() + " in all)", calm, meanwhile);
    }

    /** Eight who say that fifty megabytes come, and begin. */
    private void tooLarge() throws Exception {
        double calm = median();
        AtomicInteger refused = new AtomicInteger();
        double meanwhile = during(8, () -> {
            try (Socket line = open(head("/api/sensor/pair", "application/json", 50L << 20) + "x".repeat(8192))) {
                line.setSoTimeout(5000);
                byte[] answer = line.getInputStream().readNBytes(12);
                if (new String(answer, StandardCharsets.US_ASCII).endsWith("413")) {
                    refused.incrementAndGet();
                }
            } catch (IOException reset) {
                refused.incrementAndGet();
            }
        });
        say("bodies of 50 MB (" + refused.get() + " refused)", calm, meanwhile);
    }

    /** Eight who are nobody and ask for pages deep within. */
    private void strangers() throws Exception {
        double calm = median();
        AtomicInteger asked = new AtomicInteger();
        double meanwhile = during(8, () -> {
            try (Socket line = open("GET /lifters/1/plan?x=" + "y".repeat(5000)
                    + " HTTP/1.1\r\nHost: localhost\r\nAccept: text/html\r\nConnection: close\r\n\r\n")) {
                line.getInputStream().readAllBytes();
                asked.incrementAndGet();
            } catch (IOException reset) {
                // counted by what was answered
            }
        });
        say("strangers (" + asked.get() + " asked)", calm, meanwhile);
    }

    private double during(int many, Runnable harm) throws Exception {
        ExecutorService people = Executors.newFixedThreadPool(many);
        AtomicBoolean over = new AtomicBoolean();
        for (int i = 0; i < many; i++) {
            people.submit(() -> {
                while (!over.get()) {
                    harm.run();
                }
            });
        }
        double meanwhile = median();
        over.set(true);
        people.shutdown();
        people.awaitTermination(30, TimeUnit.SECONDS);
        return meanwhile;
    }
}
