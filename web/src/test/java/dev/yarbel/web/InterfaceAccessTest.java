package dev.yarbel.web;

import static dev.yarbel.web.InterfaceRoutes.ROUTES;
import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.InterfaceRoutes.Route;
import dev.yarbel.web.InterfaceRoutes.Who;
import dev.yarbel.web.account.Accounts;
import dev.yarbel.web.account.Scope;
import dev.yarbel.web.page.Person;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** Every route of the HTTP interface, by a token of everybody's and of every scope. */
@YarbelTest
class InterfaceAccessTest {

    /** These do not go as the club of the tests stands, whoever asks: each has a test of its own in which they do. */
    private static final Set<String> NEEDS_MORE = Set.of("DELETE /gyms/{gym}", "DELETE /lifters/{id}/blocks/{block}");

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Accounts accounts;

    @Autowired
    private JdbcClient jdbc;

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    private RequestMappingHandlerMapping mappings;

    private final Map<Who, Person> people = new EnumMap<>(Who.class);
    private InterfaceRoutes routes;
    private TestClub club;

    private void gather() {
        club = clubs.club();
        TestClub other = clubs.club();
        people.put(Who.COACH, club.coach);
        people.put(Who.LIFTER, club.lifterPerson);
        String second = club.coachName() + "-2";
        accounts.addCoach(club.lifter.clubId(), second, "Colleague", "secret");
        people.put(Who.COLLEAGUE, accounts.person(second));
        String third = club.lifterName() + "-2";
        accounts.addLifter(
                club.lifter.clubId(),
                third,
                "Other",
                "secret",
                clubs.grow(club, 1, 3, 1).id());
        people.put(Who.OTHER_LIFTER, accounts.person(third));
        people.put(Who.FOREIGN_COACH, other.coach);
        people.put(Who.FOREIGN_LIFTER, other.lifterPerson);
        routes = new InterfaceRoutes(mvc, clubs, jdbc, club);
    }

    private Set<String> mapped() {
        Set<String> mapped = new TreeSet<>();
        mappings.getHandlerMethods().forEach((mapping, handler) -> {
            if (handler.getBeanType().getName().startsWith("dev.yarbel.web.")) {
                for (RequestMethod method : mapping.getMethodsCondition().getMethods()) {
                    mapping.getPatternValues().stream()
                            .filter(pattern -> pattern.startsWith("/api/v1/"))
                            .forEach(pattern -> mapped.add(method + " " + pattern.substring("/api/v1".length())));
                }
            }
        });
        return mapped;
    }

    @Test
    void everyRouteSaysWhoMayUseIt() {
        assertThat(mapped()).isEqualTo(ROUTES.keySet());
    }

    @Test
    void whoMayDoesAndNobodyElse() {
        Map<String, Map<Who, Integer>> wrong = new LinkedHashMap<>();
        for (Map.Entry<String, Route> route : new TreeMap<>(ROUTES).entrySet()) {
            if (club == null || !route.getKey().startsWith("GET")) {
                gather();
            }
            // those who may come last: what they do may be done once
            for (Who who : Who.values()) {
                if (!route.getValue().who().contains(who)) {
                    int status = routes.ask(route.getKey(), program(who)).status();
                    boolean refused = who == Who.NOBODY ? status == 401 : status == 403 || status == 404;
                    note(wrong, route.getKey(), who, status, !refused);
                }
            }
            Who first = route.getValue().who().iterator().next();
            for (Who who : route.getValue().who()) {
                if (who == first) {
                    int status = routes.ask(route.getKey(), program(who)).status();
                    boolean done =
                            status < 300 || NEEDS_MORE.contains(route.getKey()) && (status == 409 || status == 422);
                    note(wrong, route.getKey(), who, status, !done);
                }
            }
        }
        assertThat(wrong).isEmpty();
    }

    private Program program(Who who) {
        return who == Who.NOBODY ? Program.bearing(mvc, null) : Program.of(mvc, jdbc, people.get(who));
    }

    private static void note(Map<String, Map<Who, Integer>> wrong, String route, Who who, int status, boolean isWrong) {
        if (isWrong) {
            wrong.computeIfAbsent(route, key -> new EnumMap<>(Who.class)).put(who, status);
        }
    }

    @Test
    void aTokenDoesWhatItsScopesSayAndNothingElse() {
        gather();
        Map<String, Set<Scope>> wrong = new TreeMap<>();
        for (Scope scope : Scope.values()) {
            Program program = Program.of(mvc, jdbc, club.coach, scope);
            ROUTES.forEach((route, says) -> {
                if (says.scope() != scope && routes.ask(route, program).status() != 403) {
                    wrong.computeIfAbsent(route, key -> EnumSet.noneOf(Scope.class))
                            .add(scope);
                }
            });
        }
        assertThat(wrong).isEmpty();
        assertThat(routes.ask("GET /lifters/{id}", Program.of(mvc, jdbc, club.coach, Scope.READ))
                        .status())
                .isEqualTo(200);
        assertThat(routes.ask("PATCH /lifters/{id}", Program.of(mvc, jdbc, club.coach, Scope.LIFTERS))
                        .status())
                .isEqualTo(200);
    }
}
