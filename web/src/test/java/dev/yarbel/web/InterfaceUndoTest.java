package dev.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.web.Clubs4Tests.TestClub;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;

/** What a program strikes it can bring back, as a page can. */
@YarbelTest
class InterfaceUndoTest {

    /** Where one sees whether something is there. */
    private static final Map<String, String> SEEN_IN = Map.of(
            "DELETE /lifters/{id}/measurements/{measurement}", "GET /lifters/{id}/measurements",
            "DELETE /lifters/{id}/maxes/{max}", "GET /lifters/{id}/maxes",
            "DELETE /lifters/{id}/blocks/{block}", "GET /lifters/{id}/blocks",
            "DELETE /gyms/{gym}", "GET /gyms",
            "DELETE /gyms/{gym}/pieces/{piece}", "GET /gyms/{gym}",
            "DELETE /contests/{contest}", "GET /contests",
            "DELETE /contests/{contest}/entries/{entry}", "GET /contests/{contest}",
            "DELETE /contests/{contest}/events/{event}", "GET /contests/{contest}");

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;
    private Program coach;

    @BeforeEach
    void gather() {
        club = clubs.club();
        coach = Program.of(mvc, jdbc, club.coach);
    }

    static Stream<String> strikes() {
        return InterfaceRoutes.ROUTES.keySet().stream()
                .filter(route -> route.startsWith("DELETE"))
                .sorted();
    }

    private InterfaceRoutes routes() {
        InterfaceRoutes routes = new InterfaceRoutes(mvc, clubs, jdbc, club);
        // a gym in which nobody trains, and a block that is not gone yet
        routes.with(
                "gym",
                coach.post("/gyms", "{\"name\":\"Loft\",\"unit\":\"KG\"}")
                        .json()
                        .get("id")
                        .asLong());
        routes.with(
                "piece",
                coach.post(
                                routes.filled("/gyms/{gym}/pieces"),
                                InterfaceRoutes.ROUTES
                                        .get("POST /gyms/{gym}/pieces")
                                        .body())
                        .json()
                        .get("pieces")
                        .get(0)
                        .get("id")
                        .asLong());
        assertThat(routes.ask("POST /lifters/{id}/blocks/{block}/bring-back", coach)
                        .status())
                .isEqualTo(200);
        return routes;
    }

    @ParameterizedTest
    @MethodSource("strikes")
    void whatIsStruckComesBackAsItWas(String strike) {
        InterfaceRoutes routes = routes();
        routes.with("block", Long.parseLong(routes.filled("{gone}")));
        boolean event = strike.contains("{event}");
        if (event) {
            routes.with("contest", Long.parseLong(routes.filled("{games}")));
        }
        String before = routes.ask(SEEN_IN.get(strike), coach).text();

        assertThat(routes.ask(strike, coach).status()).isIn(200, 204);
        assertThat(routes.ask(SEEN_IN.get(strike), coach).text()).isNotEqualTo(before);

        String back = strike.replace("DELETE", "POST") + "/bring-back";
        assertThat(routes.ask(back, coach).status()).isIn(200, 204);
        assertThat(routes.ask(SEEN_IN.get(strike), coach).text()).isEqualTo(before);
    }

    @Test
    void theLastChangeOfABlockIsTakenBackOnce() {
        InterfaceRoutes routes = routes();
        String block = "GET /lifters/{id}/blocks/{block}";
        String before = routes.ask(block, coach).json().get("weeks").toString();
        routes.ask("POST /lifters/{id}/blocks/{block}/changes", coach);
        assertThat(routes.ask(block, coach).json().get("weeks").toString()).isNotEqualTo(before);

        String undo = "POST /lifters/{id}/blocks/{block}/undo";
        assertThat(routes.ask(undo, coach).json().get("weeks").toString()).isEqualTo(before);
        assertThat(routes.ask(undo, coach).status())
                .as("nothing is left to take back")
                .isEqualTo(200);
        assertThat(routes.ask(block, coach).json().get("weeks").toString()).isEqualTo(before);
    }
}
