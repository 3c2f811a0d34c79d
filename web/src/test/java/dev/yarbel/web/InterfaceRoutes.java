package dev.yarbel.web;

import static java.util.Map.entry;

import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.account.Scope;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;

/** Every route of the HTTP interface: who may use it, the scope it takes, and a request with which it succeeds in a club of its own. */
final class InterfaceRoutes {

    /** Somebody, beside one lifter of one club. */
    enum Who {
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
    record Route(Set<Who> who, Scope scope, String body) {}

    private static Route route(Set<Who> who, Scope scope, String body) {
        return new Route(who, scope, body == null ? null : body.replace('\'', '"'));
    }

    private static Route read(Set<Who> who) {
        return route(who, Scope.READ, null);
    }

    private static final String CONTEST = "{'name':'Cup','rules':'mock'}";
    private static final String EVENT = "{'lift':'log-press','measure':'REPS','load':{'kg':110}}";
    private static final String PLATE = "{'shelf':'plates','fields':{'mass':'20 kg','count':'4'}}";

    static final Map<String, Route> ROUTES = Map.ofEntries(
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
            entry(
                    "POST /lifters/{id}/measurements/{measurement}/bring-back",
                    route(LIFTER_AND_COACH, Scope.LIFTERS, null)),
            entry("GET /lifters/{id}/maxes", read(LIFTER_AND_COACH)),
            entry(
                    "POST /lifters/{id}/maxes",
                    route(
                            THEIR_COACH,
                            Scope.MAXES,
                            "{'lift':'bench-press','kind':'TESTED','load':{'kg':120},'on':'2026-03-01'}")),
            entry("DELETE /lifters/{id}/maxes/{max}", route(THEIR_COACH, Scope.MAXES, null)),
            entry("POST /lifters/{id}/maxes/{max}/bring-back", route(THEIR_COACH, Scope.MAXES, null)),
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
            entry("POST /lifters/{id}/blocks/{block}/bring-back", route(THEIR_COACH, Scope.PLANS, null)),
            entry("POST /lifters/{id}/blocks/{block}/undo", route(THEIR_COACH, Scope.PLANS, null)),
            entry("GET /gyms", read(ANY_COACH)),
            entry("POST /gyms", route(ANY_COACH, Scope.KIT, "{'name':'Loft','unit':'LB','collars':{'lb':5}}")),
            entry("GET /gyms/{gym}", read(COACHES_OF_THE_CLUB)),
            entry("PUT /gyms/{gym}", route(COACHES_OF_THE_CLUB, Scope.KIT, "{'name':'Loft','unit':'KG'}")),
            entry("DELETE /gyms/{gym}", route(COACHES_OF_THE_CLUB, Scope.KIT, null)),
            entry("POST /gyms/{gym}/bring-back", route(COACHES_OF_THE_CLUB, Scope.KIT, null)),
            entry("POST /gyms/{gym}/pieces/{piece}/bring-back", route(COACHES_OF_THE_CLUB, Scope.KIT, null)),
            entry("POST /gyms/{gym}/pieces", route(COACHES_OF_THE_CLUB, Scope.KIT, PLATE)),
            entry("PUT /gyms/{gym}/pieces/{piece}", route(COACHES_OF_THE_CLUB, Scope.KIT, PLATE)),
            entry("DELETE /gyms/{gym}/pieces/{piece}", route(COACHES_OF_THE_CLUB, Scope.KIT, null)),
            entry("GET /contests", read(ANY_COACH)),
            entry("POST /contests", route(ANY_COACH, Scope.CONTESTS, CONTEST)),
            entry("GET /contests/{contest}", read(COACHES_OF_THE_CLUB)),
            entry("PUT /contests/{contest}", route(COACHES_OF_THE_CLUB, Scope.CONTESTS, CONTEST)),
            entry("DELETE /contests/{contest}", route(COACHES_OF_THE_CLUB, Scope.CONTESTS, null)),
            entry("POST /contests/{contest}/bring-back", route(COACHES_OF_THE_CLUB, Scope.CONTESTS, null)),
            entry("POST /contests/{contest}/entries/{entry}/bring-back", route(THEIR_COACH, Scope.CONTESTS, null)),
            entry(
                    "POST /contests/{contest}/events/{event}/bring-back",
                    route(COACHES_OF_THE_CLUB, Scope.CONTESTS, null)),
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

    private static final Pattern VARIABLE = Pattern.compile("\\{(\\w+)}");

    private final MockMvc mvc;
    private final Clubs4Tests clubs;
    private final JdbcClient jdbc;
    private final TestClub club;
    private final Map<String, Object> variables = new TreeMap<>();

    InterfaceRoutes(MockMvc mvc, Clubs4Tests clubs, JdbcClient jdbc, TestClub club) {
        this.mvc = mvc;
        this.clubs = clubs;
        this.jdbc = jdbc;
        this.club = club;
        fill();
    }

    /** The same routes about something else of a kind. */
    InterfaceRoutes with(String variable, long number) {
        variables.put(variable, number);
        return this;
    }

    /** A block of the club's lifter that was taken away. */
    private long goneBlock(Program coach) {
        String blocks = "/lifters/" + club.lifter.id() + "/blocks";
        long block = coach.post(
                        blocks, filled(ROUTES.get("POST /lifters/{id}/blocks").body()))
                .json()
                .get("id")
                .asLong();
        coach.send("DELETE", blocks + "/" + block, null, Map.of("If-Match", "*"));
        return block;
    }

    /** Something of every kind that an address can name. */
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
        variables.put("gone", goneBlock(coach));
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

    Program.Answer ask(String route, Program program) {
        return ask(route, program, ROUTES.get(route).body());
    }

    /** The same with another body, in which variables are filled in too. */
    Program.Answer ask(String route, Program program, String body) {
        String[] parts = route.split(" ");
        String path = parts[1];
        if (path.contains("/events")) {
            path = path.replace("{contest}", "{games}").replace("{entry}", "{gamer}");
        }
        if (path.endsWith("/blocks/{block}/bring-back")) {
            path = path.replace("{block}", "{gone}");
        }
        return program.send(parts[0], filled(path), filled(body), Map.of("If-Match", "*"));
    }

    String filled(String text) {
        return text == null
                ? null
                : VARIABLE.matcher(text).replaceAll(found -> String.valueOf(variables.get(found.group(1))));
    }
}
