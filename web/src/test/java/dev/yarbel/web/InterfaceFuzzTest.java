package dev.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.InterfaceRoutes.Route;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.databind.util.RawValue;

/** Every body of every write of the HTTP interface, each of its values in turn what nobody should send: no answer is a fault of ours. */
@YarbelTest
class InterfaceFuzzTest {

    private static final JsonMapper JSON = JsonMapper.shared();

    private static final List<String> NASTY = List.of(
            "null",
            "true",
            "-1",
            "0",
            "1e999999999",
            "1e-999999999",
            "99999999999999999999",
            "\"\"",
            "\"a\\u0000b\"",
            "\"\\ud800\"",
            "\"' or 1=1; --\"",
            "\"{0}\"",
            "\"" + "x".repeat(5000) + "\"",
            "[]",
            "{}",
            "[[[[]]]]",
            "[null]");

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    @Test
    void nothingThatIsSentIsAFaultOfOurs() {
        TestClub club = clubs.club();
        InterfaceRoutes routes = new InterfaceRoutes(mvc, clubs, jdbc, club);
        List<String> faults = new ArrayList<>();
        int tried = 0;
        for (Map.Entry<String, Route> route : new TreeMap<>(InterfaceRoutes.ROUTES).entrySet()) {
            if (route.getValue().body() == null) {
                continue;
            }
            // a token lasts for so many requests a minute
            Program coach = Program.of(mvc, jdbc, club.coach);
            for (String body : spoilt(routes.filled(route.getValue().body()))) {
                Program.Answer answer = routes.ask(route.getKey(), coach, body);
                tried++;
                if (answer.status() >= 500 || answer.status() == 429) {
                    faults.add(answer.status() + " " + route.getKey() + " " + shortened(body));
                } else if (answer.status() >= 400) {
                    assertThat(answer.json().get("detail").asString()).isNotBlank();
                }
            }
        }
        assertThat(faults).isEmpty();
        assertThat(tried).isGreaterThan(1500);
    }

    private static String shortened(String body) {
        return body.length() > 300 ? body.substring(0, 300) : body;
    }

    /** The body with each of its values in turn replaced by each nasty one, and the body itself replaced. */
    private static List<String> spoilt(String body) {
        List<String> spoilt = new ArrayList<>(NASTY);
        JsonNode whole = JSON.readTree(body);
        walk(whole, whole, spoilt);
        return spoilt;
    }

    /** Each part is put back before the next one is spoilt. */
    private static void walk(JsonNode whole, JsonNode at, List<String> spoilt) {
        if (at instanceof ObjectNode object) {
            for (String name : List.copyOf(object.propertyNames())) {
                JsonNode value = object.get(name);
                for (String nasty : NASTY) {
                    object.putRawValue(name, new RawValue(nasty));
                    spoilt.add(JSON.writeValueAsString(whole));
                }
                object.remove(name);
                spoilt.add(JSON.writeValueAsString(whole));
                object.set(name, value);
                walk(whole, value, spoilt);
            }
        } else if (at instanceof ArrayNode array) {
            for (int i = 0; i < array.size(); i++) {
                JsonNode value = array.get(i);
                for (String nasty : NASTY) {
                    array.set(i, array.rawValueNode(new RawValue(nasty)));
                    spoilt.add(JSON.writeValueAsString(whole));
                }
                array.set(i, value);
                walk(whole, value, spoilt);
            }
        }
    }
}
