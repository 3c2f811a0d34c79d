package dev.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.web.Clubs4Tests.TestClub;
import java.util.Map;
import java.util.TreeMap;
import net.ttddyy.dsproxy.QueryCountHolder;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;

/** What a resource asks of the database, counted as it is told to a program. */
@YarbelTest
class InterfaceCostTest {

    private static final long DOZEN = 12;

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    private Map<String, Long> cost(InterfaceRoutes routes, Program program) {
        Map<String, Long> cost = new TreeMap<>();
        InterfaceRoutes.ROUTES.keySet().stream()
                .filter(route -> route.startsWith("GET"))
                .forEach(route -> {
                    assertThat(routes.ask(route, program).status()).isEqualTo(200);
                    QueryCountHolder.clear();
                    routes.ask(route, program);
                    cost.put(route, QueryCountHolder.getGrandTotal().getTotal());
                });
        return cost;
    }

    @Test
    void noResourceAsksMoreThanADozenTimesAndNoneMoreOftenForMoreOfThem() {
        TestClub club = clubs.club();
        InterfaceRoutes routes = new InterfaceRoutes(mvc, clubs, jdbc, club);
        Program coach = Program.of(mvc, jdbc, club.coach);
        Map<String, Long> few = cost(routes, coach);

        clubs.grow(club, 20, 10, 3);
        for (int day = 1; day <= 9; day++) {
            coach.post(
                    "/lifters/" + club.lifter.id() + "/sessions",
                    ("{'on':'2026-03-0" + day
                                    + "','finished':true,'sets':[{'lift':'squat','load':{'kg':150},'reps':5,'effort':'8'},"
                                    + "{'lift':'bench-press','load':{'kg':80},'reps':8}]}")
                            .replace('\'', '"'));
            coach.post("/gyms", "{\"name\":\"Gym " + day + "\",\"unit\":\"KG\"}");
            coach.post("/contests", "{\"name\":\"Cup " + day + "\",\"rules\":\"mock\"}");
        }

        assertThat(cost(routes, coach)).isEqualTo(few);
        assertThat(few.values()).allSatisfy(statements -> assertThat(statements).isBetween(1L, DOZEN));
    }
}
