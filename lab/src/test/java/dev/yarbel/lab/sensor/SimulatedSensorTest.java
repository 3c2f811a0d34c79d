package dev.yarbel.lab.sensor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.sun.net.httpserver.HttpServer;
import dev.yarbel.core.effort.RepCurve;
import dev.yarbel.core.measure.Mass;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class SimulatedSensorTest {

    private static final LoadSpeedLine LINE = new LoadSpeedLine(Mass.ofKg(180), 0.25, 1.3, 0, RepCurve.DEFAULT);

    private final List<String> received = new ArrayList<>();
    private final ByteArrayOutputStream said = new ByteArrayOutputStream();
    private HttpServer server;
    private SimulatedSensor sensor;

    @BeforeEach
    void serve() throws IOException {
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext("/api/sensor/pair", exchange -> {
            byte[] answer = "{\"key\":\"abc\"}".getBytes(StandardCharsets.UTF_8);
            exchange.sendResponseHeaders(200, answer.length);
            exchange.getResponseBody().write(answer);
            exchange.close();
        });
        server.createContext("/api/sensor/readings", exchange -> {
            received.add(exchange.getRequestHeaders().getFirst("Authorization") + " "
                    + new String(exchange.getRequestBody().readAllBytes(), StandardCharsets.UTF_8));
            exchange.sendResponseHeaders(204, -1);
            exchange.close();
        });
        server.start();
        sensor = new SimulatedSensor(
                URI.create("http://127.0.0.1:" + server.getAddress().getPort()),
                LINE,
                1,
                Duration.ZERO,
                new PrintStream(said, true, StandardCharsets.UTF_8));
    }

    @AfterEach
    void stop() {
        server.stop(0);
    }

    @Test
    void aBarMovesSlowerTheHeavierItIsAndSlowestAtTheLimit() {
        assertThat(LINE.speed(Mass.ofKg(180), 1)).isCloseTo(0.25, within(0.001));
        assertThat(LINE.speed(Mass.ofKg(90), 1)).isCloseTo(0.775, within(0.001));
        assertThat(LINE.speed(Mass.ofKg(150), 3)).isLessThan(LINE.speed(Mass.ofKg(150), 2));
        assertThat(LINE.speed(Mass.ofKg(181), 1)).isZero();
    }

    @Test
    void aReadingIsSentForEachRepetitionWithTheKey() throws Exception {
        sensor.pair("CODE");
        sensor.set("150 3", Fault.NONE);
        assertThat(received).hasSize(3).allMatch(line -> line.startsWith("Bearer abc {"));
        assertThat(received.get(0)).contains("\"number\":1,\"speed\":\"0.425\"");
        assertThat(received.get(2)).contains("\"number\":3");
    }

    @Test
    void faultsComeOnDemand() throws Exception {
        sensor.pair("CODE");
        sensor.set("100 4 dropouts", Fault.NONE);
        assertThat(received).hasSize(2);
        received.clear();
        sensor.set("100 2 doubles", Fault.NONE);
        assertThat(received).hasSize(4);
        assertThat(received.get(0)).isEqualTo(received.get(1));
        received.clear();
        sensor.set("100 1 late", Fault.NONE);
        assertThat(received.get(0)).contains("\"ago\":300000");
        received.clear();
        sensor.set("100 3 nonsense", Fault.NONE);
        assertThat(received).hasSize(3).noneMatch(line -> line.matches(".*\"speed\":\"0\\.\\d{3}\".*0\\.[1-9].*"));
    }

    @Test
    void whatIsNoSetIsSaidSoAndALoadBeyondTheMaxDoesNotGoUp() throws Exception {
        sensor.pair("CODE");
        sensor.set("heavy 3", Fault.NONE);
        sensor.set("100 3 flying", Fault.NONE);
        sensor.set("200 1", Fault.NONE);
        assertThat(received).isEmpty();
        assertThat(said.toString(StandardCharsets.UTF_8)).contains("a set is LOAD REPS", "does not go up");
    }
}
