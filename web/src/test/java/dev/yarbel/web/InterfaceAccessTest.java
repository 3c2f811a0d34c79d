package dev.yarbel.web;

import static java.util.Map.entry;
import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.web.Clubs4Tests.TestClub;
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
import java.util.regex.Pattern;
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

    private enum Who {
        NOBODY,
        LIFTER,
        OTHER_LIFTER,
        COACH,
        COLLEAGUE,
        FOREIGN_LIFTER,
        FOREIGN_COACH
    }

    private static final Set<Who> ANYBODY_SIGNED_IN = EnumSet.complementOf(EnumSet.of(Who.NOBODY));
    private static final Set<Who> ANY_COACH = EnumSet.of(Who.COACH, Who.COLLEAGUE, Who.FOREIGN_COACH);
    private static final Set<Who> COACHES_OF_THE_CLUB = EnumSet.of(Who.COACH, Who.COLLEAGUE);
    private static final Set<Who> LIFTER_AND_COACH = EnumSet.of(Who.LIFTER, Who.COACH);
    private static final Set<Who> THEIR_COACH = EnumSet.of(Who.COACH);

    /**
     * A route.
     *
     * @param who may use it
     * @param scope that it takes
     * @param body with which it succeeds; null for none
     */
    private record Route(Set<Who> who, Scope scope, String body) {}

    private static Route route(Set<Who> who, Scope scope, String body) {
        return new Route(who, scope, body == null ? null : body.replace('\'', '"'));
    }

    private static Route read(Set<Who> who) {
        return route(who, Scope.READ, null);
    }

    private static final String CONTEST = "{'name':'Cup','rules':'mock'}";
    private static final String EVENT = "{'lift':'log-press','measure':'REPS','load':{'kg':110}}";
    private static final String PLATE = "{'shelf':'plates','fields':{'mass':'20 kg','count':'4'}}";

    private static final Map<String, Route> ROUTES = Map.ofEntries(
            entry("GET /lifters", read(ANYBODY_SIGNED_IN)),
            entry("POST /lifters", route(ANY_COACH, Scope.LIFTERS, "{'name':'New','unit':'KG'}")),
            entry("GET /lifters/{id}", read(LIFTER_AND_COACH)),
            entry("PATCH /lifters/{id}", route(LIFTER_AND_COACH, Scope.LIFTERS, "{'days':'4'}")),
            entry("POST /lifters/{id}/archive", route(THEIR_COACH, Scope.LIFTERS, null)),
            entry("POST /lifters/{id}/bring-back", route(THEIR_COACH, Scope.LIFTERS, null)),
            entry("GET /lifters/{id}/measurements", read(LIFTER_AND_COACH)),
            entry(
                    "POST /lifters/{id}/measurements",
                    route(LIFTER_AND_COACH, Scope.LIFTERS, "{'kind':'WAIST','on':'2026-03-01','figure':80}")),
            entry("DELETE /lifters/{id}/measurements/{measurement}", route(LIFTER_AND_COACH, Scope.LIFTERS, null)),
            entry("GET /lifters/{id}/maxes", read(LIFTER_AND_COACH)),
            entry(
                    "POST /lifters/{id}/maxes",
                    route(
                            THEIR_COACH,
                            Scope.MAXES,
                            "{'lift':'bench-press','kind':'TESTED','load':{'kg':120},'on':'2026-03-01'}")),
            entry("DELETE /lifters/{id}/maxes/{max}", route(THEIR_COACH, Scope.MAXES, null)),
            entry("GET /lifters/{id}/lifts", read(LIFTER_AND_COACH)),
            entry("GET /lifters/{id}/lifts/{lift}", read(LIFTER_AND_COACH)),
            entry("PUT /lifters/{id}/lifts/{lift}/working-max", route(THEIR_COACH, Scope.MAXES, "{'load':{'kg':195}}")),
            entry("GET /lifters/{id}/sessions", read(LIFTER_AND_COACH)),
            entry(
                    "POST /lifters/{id}/sessions",
                    route(
                            LIFTER_AND_COACH,
                            Scope.LOG,
                            "{'on':'2026-03-09','sets':[{'lift':'squat','load':{'kg':150},'reps':5,'effort':'8'}]}")),
            entry("GET /lifters/{id}/sessions/{session}", read(LIFTER_AND_COACH)),
            entry(
                    "PUT /lifters/{id}/sessions/{session}/sets/{task}",
                    route(LIFTER_AND_COACH, Scope.LOG, "{'lift':'squat','load':{'kg':150},'reps':4,'effort':'9'}")),
            entry("POST /lifters/{id}/sessions/{session}/finish", route(LIFTER_AND_COACH, Scope.LOG, "{}")),
            entry("POST /lifters/{id}/sessions/{session}/reopen", route(LIFTER_AND_COACH, Scope.LOG, null)),
            entry("GET /finished-sessions", read(ANYBODY_SIGNED_IN)),
            entry("GET /lifters/{id}/days/current", read(LIFTER_AND_COACH)),
            entry("GET /lifters/{id}/days/{day}/{week}", read(LIFTER_AND_COACH)),
            entry(
                    "POST /lifters/{id}/days/{day}/{week}/sets",
                    route(
                            LIFTER_AND_COACH,
                            Scope.LOG,
                            "{'task':'A.w1','load':{'kg':20},'reps':5,'effort':'easy','confirmed':true}")),
            entry(
                    "POST /lifters/{id}/days/{day}/{week}/finish",
                    route(LIFTER_AND_COACH, Scope.LOG, "{'confirmed':true}")),
            entry("GET /lifters/{id}/blocks", read(THEIR_COACH)),
            entry(
                    "POST /lifters/{id}/blocks",
                    route(
                            THEIR_COACH,
                            Scope.PLANS,
                            "{'name':'Next','start':'2026-06-01','weeks':[{},{'phase':'STRENGTH','deload':true}],'days':[{'name':'One',"
                                    + "'offset':0,'slots':[{'letter':'A','lift':'squat','doses':['5x5 75%','']}]}]}")),
            entry("GET /lifters/{id}/blocks/{block}", read(THEIR_COACH)),
            entry("GET /lifters/{id}/blocks/{block}/loads", read(THEIR_COACH)),
            entry(
                    "PUT /lifters/{id}/blocks/{block}/doses",
                    route(THEIR_COACH, Scope.PLANS, "{'doses':[{'slot':{slot},'week':3,'dose':'1 @7'}]}")),
            entry(
                    "POST /lifters/{id}/blocks/{block}/changes",
                    route(THEIR_COACH, Scope.PLANS, "{'kind':'WEEK_COPY','week':3}")),
            entry("DELETE /lifters/{id}/blocks/{block}", route(THEIR_COACH, Scope.PLANS, null)),
            entry("GET /gyms", read(ANY_COACH)),
            entry("POST /gyms", route(ANY_COACH, Scope.KIT, "{'name':'Loft','unit':'LB','collars':{'lb':5}}")),
            entry("GET /gyms/{gym}", read(COACHES_OF_THE_CLUB)),
            entry("PUT /gyms/{gym}", route(COACHES_OF_THE_CLUB, Scope.KIT, "{'name':'Loft','unit':'KG'}")),
            entry("DELETE /gyms/{gym}", route(COACHES_OF_THE_CLUB, Scope.KIT, null)),
            entry("POST /gyms/{gym}/pieces", route(COACHES_OF_THE_CLUB, Scope.KIT, PLATE)),
            entry("PUT /gyms/{gym}/pieces/{piece}", route(COACHES_OF_THE_CLUB, Scope.KIT, PLATE)),
            entry("DELETE /gyms/{gym}/pieces/{piece}", route(COACHES_OF_THE_CLUB, Scope.KIT, null)),
            entry("GET /contests", read(ANY_COACH)),
            entry("POST /contests", route(ANY_COACH, Scope.CONTESTS, CONTEST)),
            entry("GET /contests/{contest}", read(COACHES_OF_THE_CLUB)),
            entry("PUT /contests/{contest}", route(COACHES_OF_THE_CLUB, Scope.CONTESTS, CONTEST)),
            entry("DELETE /contests/{contest}", route(COACHES_OF_THE_CLUB, Scope.CONTESTS, null)),
            entry(
                    "POST /contests/{contest}/entries",
                    route(COACHES_OF_THE_CLUB, Scope.CONTESTS, "{'name':'A guest','body':{'kg':80},'lot':4}")),
            entry("PUT /contests/{contest}/entries/{entry}", route(THEIR_COACH, Scope.CONTESTS, "{'flight':2}")),
            entry("DELETE /contests/{contest}/entries/{entry}", route(THEIR_COACH, Scope.CONTESTS, null)),
            entry(
                    "PUT /contests/{contest}/entries/{entry}/attempts/{lift}/{number}",
                    route(COACHES_OF_THE_CLUB, Scope.CONTESTS, "{'load':{'kg':150},'outcome':'MADE'}")),
            entry("POST /contests/{contest}/events", route(COACHES_OF_THE_CLUB, Scope.CONTESTS, EVENT)),
            entry("PUT /contests/{contest}/events/{event}", route(COACHES_OF_THE_CLUB, Scope.CONTESTS, EVENT)),
            entry("DELETE /contests/{contest}/events/{event}", route(COACHES_OF_THE_CLUB, Scope.CONTESTS, null)),
            entry(
                    "PUT /contests/{contest}/events/{event}/results/{entry}",
                    route(COACHES_OF_THE_CLUB, Scope.CONTESTS, "{'written':'7'}")));

    /** These do not go as the club of the tests stands, whoever asks: each has a test of its own in which they do. */
    private static final Set<String> NEEDS_MORE = Set.of("DELETE /gyms/{gym}", "DELETE /lifters/{id}/blocks/{block}");

    private static final Pattern VARIABLE = Pattern.compile("\\{(\\w+)}");

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
    private final Map<String, Object> variables = new TreeMap<>();
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
        fill();
    }

    private void fill() {
        Program coach = Program.of(mvc, jdbc, club.coach);
        variables.put("id", club.lifter.id());
        variables.put("gym", club.gym);
        variables.put("lift", "squat");
        variables.put("number", 1);
        variables.put("week", 2);
        variables.put("task", "A.1");
        variables.put("block", club.plan().blockId());
        variables.put("day", club.plan().block().days().get(0).id());
        variables.put("slot", club.plan().block().days().get(0).slots().get(0).id());
        variables.put(
                "measurement",
                coach.post(
                                "/lifters/" + club.lifter.id() + "/measurements",
                                "{\"kind\":\"WAIST\",\"on\":\"2026-03-01\",\"figure\":81.5}")
                        .json()
                        .get("id")
                        .asLong());
        variables.put(
                "session",
                coach.post(
                                "/lifters/" + club.lifter.id() + "/sessions",
                                "{\"on\":\"2026-03-10\",\"sets\":[{\"lift\":\"squat\",\"load\":{\"kg\":150},\"reps\":5,\"effort\":\"8\"}]}")
                        .json()
                        .get("id")
                        .asLong());
        coach.post(
                "/lifters/" + club.lifter.id() + "/days/" + variables.get("day") + "/2/sets",
                "{\"task\":\"A.w1\",\"load\":{\"kg\":20},\"reps\":5,\"effort\":\"easy\",\"confirmed\":true}");
        variables.put("max", one("select max(id) from recorded_max where lifter_id = ?", club.lifter.id()));
        variables.put("piece", one("select min(id) from piece where gym_id = ? and shelf = 'PLATES'", club.gym));
        Clubs4Tests.TestContest held = clubs.contest(club);
        variables.put("contest", held.contest());
        variables.put("entry", held.entry());
        Clubs4Tests.TestContest games = clubs.games(club);
        variables.put("games", games.contest());
        variables.put("event", games.entry());
        variables.put("gamer", one("select max(id) from contest_entry where contest_id = ?", games.contest()));
    }

    private long one(String sql, long param) {
        return jdbc.sql(sql).param(param).query(Long.class).single();
    }

    private Set<String> routes() {
        Set<String> routes = new TreeSet<>();
        mappings.getHandlerMethods().forEach((mapping, handler) -> {
            if (handler.getBeanType().getName().startsWith("dev.yarbel.web.")) {
                for (RequestMethod method : mapping.getMethodsCondition().getMethods()) {
                    mapping.getPatternValues().stream()
                            .filter(pattern -> pattern.startsWith("/api/v1/"))
                            .forEach(pattern -> routes.add(method + " " + pattern.substring("/api/v1".length())));
                }
            }
        });
        return routes;
    }

    @Test
    void everyRouteSaysWhoMayUseIt() {
        assertThat(routes()).isEqualTo(ROUTES.keySet());
    }

    private Program.Answer ask(String route, Program program) {
        String[] parts = route.split(" ");
        String path = parts[1];
        if (path.contains("/events")) {
            path = path.replace("{contest}", "{games}").replace("{entry}", "{gamer}");
        }
        return program.send(parts[0], filled(path), filled(ROUTES.get(route).body()), Map.of("If-Match", "*"));
    }

    private String filled(String text) {
        return text == null
                ? null
                : VARIABLE.matcher(text).replaceAll(found -> String.valueOf(variables.get(found.group(1))));
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
                    int status = ask(route.getKey(), program(who)).status();
                    boolean refused = who == Who.NOBODY ? status == 401 : status == 403 || status == 404;
                    note(wrong, route.getKey(), who, status, !refused);
                }
            }
            Who first = route.getValue().who().iterator().next();
            for (Who who : route.getValue().who()) {
                if (who == first) {
                    int status = ask(route.getKey(), program(who)).status();
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
                if (says.scope() != scope && ask(route, program).status() != 403) {
                    wrong.computeIfAbsent(route, key -> EnumSet.noneOf(Scope.class))
                            .add(scope);
                }
            });
        }
        assertThat(wrong).isEmpty();
        assertThat(ask("GET /lifters/{id}", Program.of(mvc, jdbc, club.coach, Scope.READ))
                        .status())
                .isEqualTo(200);
        assertThat(ask("PATCH /lifters/{id}", Program.of(mvc, jdbc, club.coach, Scope.LIFTERS))
                        .status())
                .isEqualTo(200);
    }
}
