package dev.yarbel.web;

import static java.util.Map.entry;
import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.anonymous;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;

import dev.yarbel.web.Clubs4Tests.TestClub;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.http.HttpMethod;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.RequestPostProcessor;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** Every route, asked for by everybody: whoever may, in their own club, and whoever may not, in it and in another. */
@YarbelTest
class AccessTest {

    /** Somebody, beside one lifter of one club. */
    private enum Who {
        NOBODY,
        LIFTER,
        OTHER_LIFTER,
        COACH,
        COLLEAGUE,
        HEAD_COACH,
        FOREIGN_LIFTER,
        FOREIGN_COACH,
        FOREIGN_HEAD_COACH
    }

    /** Who may use a route. */
    private enum May {
        ANYBODY(Who.values()),
        /** Leads to whatever is theirs. */
        WHOEVER_SIGNED_IN(
                Who.LIFTER,
                Who.OTHER_LIFTER,
                Who.COACH,
                Who.COLLEAGUE,
                Who.HEAD_COACH,
                Who.FOREIGN_LIFTER,
                Who.FOREIGN_COACH,
                Who.FOREIGN_HEAD_COACH),
        /** Leads to what is theirs as a lifter. */
        ANY_LIFTER(Who.LIFTER, Who.OTHER_LIFTER, Who.FOREIGN_LIFTER),
        /** Leads to what their own club has. */
        ANY_COACH(Who.COACH, Who.COLLEAGUE, Who.HEAD_COACH, Who.FOREIGN_COACH, Who.FOREIGN_HEAD_COACH),
        COACHES_OF_THE_CLUB(Who.COACH, Who.COLLEAGUE, Who.HEAD_COACH),
        ANY_HEAD_COACH(Who.HEAD_COACH, Who.FOREIGN_HEAD_COACH),
        HEAD_COACH_OF_THE_CLUB(Who.HEAD_COACH),
        LIFTER_AND_COACH(Who.LIFTER, Who.COACH),
        THE_LIFTER(Who.LIFTER),
        THEIR_COACH(Who.COACH),
        THEIR_COACH_OR_THE_HEAD(Who.COACH, Who.HEAD_COACH);

        private final Set<Who> people;

        May(Who... people) {
            this.people = EnumSet.of(people[0], people);
        }
    }

    private static final Map<String, May> ROUTES = Map.ofEntries(
            entry("GET /sign-in", May.ANYBODY),
            entry("GET /join/{token}", May.ANYBODY),
            entry("POST /join/{token}", May.ANYBODY),
            entry("GET /", May.WHOEVER_SIGNED_IN),
            entry("POST /theme", May.WHOEVER_SIGNED_IN),
            entry("GET /live", May.ANY_COACH),
            entry("GET /live/events", May.ANY_COACH),
            entry("GET /lifters/{id}/floor/events", May.LIFTER_AND_COACH),
            entry("GET /lifters/{id}/floor/side", May.THEIR_COACH),
            entry("POST /lifters/{id}/floor/side", May.THEIR_COACH),
            entry("GET /lifters/{id}/floor/review", May.THEIR_COACH),
            entry("GET /lifters/{id}/floor/review/last", May.THEIR_COACH),
            entry("POST /lifters/{id}/floor/review/sets", May.THEIR_COACH),
            entry("POST /lifters/{id}/floor/review/note", May.THEIR_COACH),
            entry("GET /lifters/{id}/clips", May.LIFTER_AND_COACH),
            entry("GET /lifters/{id}/clips/of", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/clips", May.LIFTER_AND_COACH),
            entry("GET /lifters/{id}/clips/{clip}/film", May.LIFTER_AND_COACH),
            entry("GET /lifters/{id}/clips/{clip}", May.LIFTER_AND_COACH),
            entry("GET /lifters/{id}/clips/{clip}/preview", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/clips/{clip}/judged", May.THEIR_COACH),
            entry("POST /lifters/{id}/clips/{clip}/found", May.THE_LIFTER),
            entry("POST /lifters/{id}/clips/{clip}/bar", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/clips/{clip}/remove", May.LIFTER_AND_COACH),
            entry("GET /lifters/{id}/clips/pair", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/clips/{clip}/bar-start", May.LIFTER_AND_COACH),
            entry("GET /pass", May.WHOEVER_SIGNED_IN),
            entry("GET /me", May.WHOEVER_SIGNED_IN),
            entry("GET /me/tokens", May.WHOEVER_SIGNED_IN),
            entry("POST /me/tokens", May.WHOEVER_SIGNED_IN),
            entry("POST /me/tokens/{id}/end", May.WHOEVER_SIGNED_IN),
            entry("POST /me/password", May.WHOEVER_SIGNED_IN),
            entry("POST /me/sessions/{key}/end", May.WHOEVER_SIGNED_IN),
            entry("POST /me/sessions/end", May.WHOEVER_SIGNED_IN),
            entry("GET /me/second-factor", May.WHOEVER_SIGNED_IN),
            entry("POST /me/second-factor", May.WHOEVER_SIGNED_IN),
            entry("POST /me/second-factor/end", May.WHOEVER_SIGNED_IN),
            entry("GET /club", May.ANY_HEAD_COACH),
            entry("POST /club/second-factor", May.ANY_HEAD_COACH),
            entry("POST /club/clips", May.ANY_HEAD_COACH),
            entry("POST /club/coaches/{id}/remove", May.HEAD_COACH_OF_THE_CLUB),
            entry("POST /club/coaches/{id}/bring-back", May.HEAD_COACH_OF_THE_CLUB),
            entry("POST /club/invites", May.ANY_HEAD_COACH),
            entry("POST /club/coaches/{id}/invite", May.HEAD_COACH_OF_THE_CLUB),
            entry("GET /lifters", May.ANY_COACH),
            entry("POST /lifters", May.ANY_COACH),
            entry("POST /lifters/{id}/invite", May.THEIR_COACH),
            entry("POST /lifters/{id}/archive", May.THEIR_COACH_OR_THE_HEAD),
            entry("POST /lifters/{id}/bring-back", May.THEIR_COACH_OR_THE_HEAD),
            entry("POST /lifters/{id}/hand-over", May.THEIR_COACH_OR_THE_HEAD),
            entry("GET /lifters/{id}/profile", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/profile/fields/{code}", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/profile/measurements", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/profile/measurements/{measurement}/remove", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/profile/measurements/{measurement}/restore", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/profile/notes", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/profile/notes/{note}/remove", May.THEIR_COACH),
            entry("POST /lifters/{id}/profile/notes/{note}/restore", May.THEIR_COACH),
            entry("POST /lifters/{id}/profile/aches", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/profile/aches/{ache}/clear", May.THEIR_COACH),
            entry("POST /lifters/{id}/profile/aches/{ache}/reopen", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/profile/health", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/profile/health/clear", May.THEIR_COACH),
            entry("GET /lifters/{id}/gyms", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/gyms", May.THEIR_COACH),
            entry("POST /lifters/{id}/gyms/{gym}/bar", May.THEIR_COACH),
            entry("POST /lifters/{id}/gym-of-the-day", May.LIFTER_AND_COACH),
            entry("GET /lifters/{id}/season", May.THEIR_COACH),
            entry("GET /calendar", May.WHOEVER_SIGNED_IN),
            entry("GET /calendar.ics", May.WHOEVER_SIGNED_IN),
            entry("GET /calendar/{secret}.ics", May.ANYBODY),
            entry("POST /calendar/address", May.WHOEVER_SIGNED_IN),
            entry("POST /calendar/address/end", May.WHOEVER_SIGNED_IN),
            entry("GET /exchange", May.WHOEVER_SIGNED_IN),
            entry("GET /exchange/all.xlsx", May.WHOEVER_SIGNED_IN),
            entry("GET /exchange/lifter.json", May.LIFTER_AND_COACH),
            entry("GET /exchange/lifter.zip", May.LIFTER_AND_COACH),
            entry("GET /exchange/club.json", May.ANY_HEAD_COACH),
            entry("GET /exchange/club.zip", May.ANY_HEAD_COACH),
            entry("GET /exchange/workbook", May.WHOEVER_SIGNED_IN),
            entry("GET /exchange/workbook/progress", May.WHOEVER_SIGNED_IN),
            entry("GET /exchange/whole", May.ANY_COACH),
            entry("POST /exchange/whole", May.ANY_COACH),
            entry("GET /exchange/whole/{whole}", May.THEIR_COACH),
            entry("POST /exchange/whole/{whole}/take", May.THEIR_COACH),
            entry("POST /exchange/whole/{whole}/take-back", May.THEIR_COACH),
            entry("POST /exchange/whole/{whole}/again", May.THEIR_COACH),
            entry("POST /exchange/whole/{whole}/remove", May.THEIR_COACH),
            entry("GET /exchange/{table}.csv", May.WHOEVER_SIGNED_IN),
            entry("GET /exchange/{table}.xlsx", May.WHOEVER_SIGNED_IN),
            entry("POST /exchange", May.WHOEVER_SIGNED_IN),
            entry("GET /exchange/lifters", May.ANY_COACH),
            entry("POST /exchange/lifters", May.ANY_COACH),
            entry("POST /exchange/lifters/take", May.ANY_COACH),
            entry("POST /exchange/lifters/{brought}/take-back", May.ANY_COACH),
            entry("GET /exchange/kit", May.ANY_COACH),
            entry("POST /exchange/kit", May.COACHES_OF_THE_CLUB),
            entry("POST /exchange/kit/take", May.COACHES_OF_THE_CLUB),
            entry("POST /exchange/kit/{brought}/take-back", May.ANY_COACH),
            entry("GET /exchange/plans", May.ANY_COACH),
            entry("POST /exchange/plans", May.THEIR_COACH),
            entry("POST /exchange/plans/take", May.THEIR_COACH),
            entry("GET /exchange/maxes", May.ANY_COACH),
            entry("POST /exchange/maxes", May.ANY_COACH),
            entry("POST /exchange/maxes/take", May.ANY_COACH),
            entry("POST /exchange/maxes/{brought}/take-back", May.ANY_COACH),
            entry("POST /exchange/leave", May.ANY_LIFTER),
            entry("POST /exchange/stay", May.ANY_LIFTER),
            entry("GET /exchange/{file}", May.THEIR_COACH),
            entry("POST /exchange/{file}", May.THEIR_COACH),
            entry("POST /exchange/{file}/take", May.THEIR_COACH),
            entry("POST /exchange/{file}/take-back", May.THEIR_COACH),
            entry("POST /exchange/{file}/again", May.THEIR_COACH),
            entry("POST /exchange/{file}/remove", May.THEIR_COACH),
            entry("GET /contests", May.ANY_COACH),
            entry("POST /contests", May.ANY_COACH),
            entry("GET /contests/{contest}", May.COACHES_OF_THE_CLUB),
            entry("POST /contests/{contest}", May.COACHES_OF_THE_CLUB),
            entry("POST /contests/{contest}/move", May.COACHES_OF_THE_CLUB),
            entry("POST /contests/{contest}/remove", May.COACHES_OF_THE_CLUB),
            entry("POST /contests/{contest}/restore", May.COACHES_OF_THE_CLUB),
            entry("POST /contests/{contest}/entries", May.THEIR_COACH),
            entry("GET /contests/{contest}/entries/{entry}", May.THEIR_COACH),
            entry("POST /contests/{contest}/entries/{entry}", May.THEIR_COACH),
            entry("POST /contests/{contest}/entries/{entry}/log", May.THEIR_COACH),
            entry("POST /contests/{contest}/entries/{entry}/remove", May.THEIR_COACH),
            entry("POST /contests/{contest}/entries/{entry}/restore", May.THEIR_COACH),
            entry("GET /contests/{contest}/day", May.COACHES_OF_THE_CLUB),
            entry("POST /contests/{contest}/day", May.COACHES_OF_THE_CLUB),
            entry("GET /contests/{contest}/results.csv", May.COACHES_OF_THE_CLUB),
            entry("GET /contests/{contest}/results.pdf", May.COACHES_OF_THE_CLUB),
            entry("GET /contests/{contest}/events", May.COACHES_OF_THE_CLUB),
            entry("POST /contests/{contest}/events", May.COACHES_OF_THE_CLUB),
            entry("POST /contests/{contest}/events/{event}", May.COACHES_OF_THE_CLUB),
            entry("POST /contests/{contest}/events/{event}/earlier", May.COACHES_OF_THE_CLUB),
            entry("POST /contests/{contest}/events/{event}/remove", May.COACHES_OF_THE_CLUB),
            entry("POST /contests/{contest}/events/{event}/restore", May.COACHES_OF_THE_CLUB),
            entry("POST /contests/{contest}/events/{event}/announce", May.COACHES_OF_THE_CLUB),
            entry("POST /contests/{contest}/events/results", May.COACHES_OF_THE_CLUB),
            entry("GET /contests/{contest}/warm-up", May.COACHES_OF_THE_CLUB),
            entry("POST /contests/{contest}/warm-up", May.COACHES_OF_THE_CLUB),
            entry("GET /kit", May.ANY_COACH),
            entry("POST /kit", May.ANY_COACH),
            entry("GET /kit/ledger", May.ANY_COACH),
            entry("GET /kit/{gym}", May.COACHES_OF_THE_CLUB),
            entry("POST /kit/{gym}", May.COACHES_OF_THE_CLUB),
            entry("POST /kit/{gym}/close", May.COACHES_OF_THE_CLUB),
            entry("POST /kit/{gym}/open", May.COACHES_OF_THE_CLUB),
            entry("POST /kit/{gym}/{shelf}", May.COACHES_OF_THE_CLUB),
            entry("POST /kit/pieces/{piece}", May.COACHES_OF_THE_CLUB),
            entry("POST /kit/pieces/{piece}/remove", May.COACHES_OF_THE_CLUB),
            entry("POST /kit/pieces/{piece}/restore", May.COACHES_OF_THE_CLUB),
            entry("GET /lifters/{id}/book", May.LIFTER_AND_COACH),
            entry("GET /lifters/{id}/book/decisions", May.LIFTER_AND_COACH),
            entry("GET /lifters/{id}/book/maxes", May.THEIR_COACH),
            entry("POST /lifters/{id}/book/maxes", May.THEIR_COACH),
            entry("GET /lifters/{id}/practice", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/practice", May.THE_LIFTER),
            entry("GET /lifters/{id}/book/curves", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/book/curves", May.THEIR_COACH),
            entry("GET /lifters/{id}/book/lifts", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/book/lifts", May.THEIR_COACH),
            entry("GET /lifters/{id}/book/lifts/{lift}", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/book/lifts/{lift}/event-load", May.THEIR_COACH),
            entry("POST /lifters/{id}/book/lifts/{lift}/mastery", May.THEIR_COACH),
            entry("POST /lifters/{id}/book/lifts/{lift}/max", May.THEIR_COACH),
            entry("POST /lifters/{id}/book/lifts/{lift}/ratings", May.THEIR_COACH),
            entry("POST /lifters/{id}/book/lifts/{lift}/ratio", May.THEIR_COACH),
            entry("POST /lifters/{id}/book/lifts/{lift}/set-up", May.THEIR_COACH),
            entry("POST /lifters/{id}/book/lifts/{lift}/working-max", May.THEIR_COACH),
            entry("POST /lifters/{id}/book/lifts/maxes/{max}/remove", May.THEIR_COACH),
            entry("POST /lifters/{id}/book/lifts/maxes/{max}/restore", May.THEIR_COACH),
            entry("GET /lifters/{id}/book/lifts/{lift}/start", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/book/lifts/{lift}/start/sets", May.THEIR_COACH),
            entry("POST /lifters/{id}/book/lifts/{lift}/start/back", May.THEIR_COACH),
            entry("POST /lifters/{id}/book/lifts/{lift}/start/end", May.THEIR_COACH),
            entry("POST /lifters/{id}/book/lifts/{lift}/start/good-for", May.THEIR_COACH),
            entry("GET /lifters/{id}/plan", May.THEIR_COACH),
            entry("GET /lifters/{id}/plan/days/{day}/preview", May.THEIR_COACH),
            entry("POST /lifters/{id}/plan/days/{day}", May.THEIR_COACH),
            entry("POST /lifters/{id}/plan/days/{day}/fill", May.THEIR_COACH),
            entry("POST /lifters/{id}/plan/change", May.THEIR_COACH),
            entry("POST /lifters/{id}/plan/use", May.THEIR_COACH),
            entry("GET /lifters/{id}/plan/templates", May.THEIR_COACH),
            entry("POST /lifters/{id}/plan/templates", May.THEIR_COACH),
            entry("POST /lifters/{id}/plan/undo", May.THEIR_COACH),
            entry("POST /lifters/{id}/plan/gates", May.THEIR_COACH),
            entry("GET /lifters/{id}/plan/new/preview", May.THEIR_COACH),
            entry("GET /lifters/{id}/plan/whole", May.THEIR_COACH),
            entry("GET /lifters/{id}/plan/blocks", May.THEIR_COACH),
            entry("POST /lifters/{id}/plan/weeks/{week}", May.THEIR_COACH),
            entry("POST /lifters/{id}/plan/blocks/remove", May.THEIR_COACH),
            entry("POST /lifters/{id}/plan/blocks/{block}/bring-back", May.THEIR_COACH),
            entry("GET /lifters/{id}/plan/new", May.THEIR_COACH),
            entry("POST /lifters/{id}/plan/new", May.THEIR_COACH),
            entry("POST /lifters/{id}/plan/new/template", May.THEIR_COACH),
            entry("GET /lifters/{id}/plan/give", May.THEIR_COACH),
            entry("POST /lifters/{id}/plan/give", May.THEIR_COACH),
            entry("GET /lifters/{id}/plan/print", May.THEIR_COACH),
            entry("GET /lifters/{id}/plan/print/sessions.pdf", May.THEIR_COACH),
            entry("GET /lifters/{id}/plan/print/overview.pdf", May.THEIR_COACH),
            entry("GET /lifters/{id}/plan/print/plan.xlsx", May.THEIR_COACH),
            entry("GET /plan/templates", May.ANY_COACH),
            entry("GET /plan/doses", May.ANY_COACH),
            entry("GET /how", May.WHOEVER_SIGNED_IN),
            entry("POST /plan/templates/{template}/remove", May.COACHES_OF_THE_CLUB),
            entry("POST /plan/templates/{template}/restore", May.COACHES_OF_THE_CLUB),
            entry("GET /lifters/{id}/floor", May.LIFTER_AND_COACH),
            entry("GET /lifters/{id}/home", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/floor/aches", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/floor/words", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/floor/side/words", May.THEIR_COACH),
            entry("POST /lifters/{id}/floor/before", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/floor/why", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/floor/slots/{letter}", May.LIFTER_AND_COACH),
            entry("GET /lifters/{id}/floor/fallbacks", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/floor/fallbacks", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/floor/changes", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/floor/changes/{change}/back", May.THEIR_COACH),
            entry("POST /lifters/{id}/floor/sensor", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/floor/retask", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/floor/sets", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/floor/finish", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/floor/reopen", May.LIFTER_AND_COACH),
            entry("GET /lifters/{id}/floor/free", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/floor/free/sets", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/floor/free/finish", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/floor/free/{session}/reopen", May.LIFTER_AND_COACH),
            entry("GET /calls", May.ANY_COACH),
            entry("GET /calls/answered", May.ANY_COACH),
            entry("GET /calls/judged", May.ANY_COACH),
            entry("POST /lifters/{id}/home/questions/{question}", May.LIFTER_AND_COACH),
            entry("GET /lifters/{id}/readiness", May.THEIR_COACH),
            entry("GET /lifters/{id}/plan/wake", May.THEIR_COACH),
            entry("GET /lifters/{id}/plan/rehearsal", May.THEIR_COACH),
            entry("GET /lifters/{id}/plan/rehearsal/odds", May.THEIR_COACH),
            entry("GET /lifters/{id}/plan/checklist", May.THEIR_COACH),
            entry("POST /lifters/{id}/plan/wake", May.THEIR_COACH),
            entry("GET /lifters/{id}/plan/recovery", May.THEIR_COACH),
            entry("POST /lifters/{id}/plan/recovery", May.THEIR_COACH),
            entry("GET /lifters/{id}/week", May.LIFTER_AND_COACH),
            entry("GET /lifters/{id}/report", May.LIFTER_AND_COACH),
            entry("GET /lifters/{id}/report/report.pdf", May.LIFTER_AND_COACH),
            entry("GET /lifters/{id}/week/week.pdf", May.LIFTER_AND_COACH),
            entry("POST /lifters/{id}/week", May.THEIR_COACH),
            entry("GET /calls/rules", May.ANY_COACH),
            entry("POST /calls/rules/{rule}", May.ANY_COACH),
            entry("POST /calls/rules/{rule}/reset", May.ANY_COACH),
            entry("POST /calls/{id}/take-back", May.THEIR_COACH),
            entry("GET /calls/{id}", May.THEIR_COACH),
            entry("POST /calls/{id}/put-off", May.THEIR_COACH),
            entry("POST /calls/{id}/take", May.THEIR_COACH),
            entry("POST /calls/{id}/change", May.THEIR_COACH),
            entry("POST /calls/{id}/leave", May.THEIR_COACH));

    /** Sets up the club once and answers with not-found ever after; {@code FirstRunTest} looks at it. Sensors are no people; {@code SensorTest}
     * does. The second factor is for who is half signed in; {@code SecondFactorTest} looks at it. */
    private static final Set<String> ELSEWHERE = Set.of(
            "GET /first-run",
            "POST /first-run",
            "GET /sign-in/code",
            "POST /sign-in/code",
            "POST /api/sensor/pair",
            "POST /api/sensor/readings",
            // an upload belongs to whoever began it: ClipUploadsTest
            "POST /lifters/{id}/clips/parts",
            "HEAD /lifters/{id}/clips/parts/{upload}",
            "PATCH /lifters/{id}/clips/parts/{upload}",
            "DELETE /lifters/{id}/clips/parts/{upload}",
            "POST /lifters/{id}/clips/parts/{upload}/keep");

    /** Routes whose own success takes what no one request can say; each has a test that shows it. */
    private static final Set<String> NEEDS_MORE = Set.of(
            "GET /join/{token}",
            "POST /join/{token}",
            "POST /calls/{id}/change",
            "POST /contests/{contest}/entries/{entry}/log",
            "POST /club/coaches/{id}/remove",
            "POST /exchange/leave",
            "POST /exchange/whole",
            "POST /lifters/{id}/clips",
            "POST /kit/{gym}/close",
            "POST /kit/pieces/{piece}",
            "POST /kit/{gym}/{shelf}",
            "POST /lifters/{id}/book/lifts",
            "POST /lifters/{id}/book/lifts/{lift}/start/good-for",
            "POST /lifters/{id}/book/lifts/{lift}/start/sets",
            "POST /lifters/{id}/plan/change",
            "POST /lifters/{id}/plan/days/{day}/fill",
            "POST /lifters/{id}/plan/gates",
            "POST /lifters/{id}/plan/give",
            "POST /lifters/{id}/plan/new",
            "POST /lifters/{id}/plan/wake",
            "POST /me/second-factor",
            "POST /me/second-factor/end",
            "POST /me/tokens");

    /** What a route is told besides what all are. */
    private static final Map<String, Map<String, String>> SAYS = Map.ofEntries(
            entry("GET /lifters/{id}/clips/of", Map.of("session", "{filmed}")),
            entry("POST /lifters/{id}/clips", Map.of("session", "{filmed}")),
            entry("GET /lifters/{id}/clips/pair", Map.of("one", "{clip}", "other", "{clip}")),
            entry("POST /lifters/{id}/clips/{clip}/bar-start", Map.of("millis", "1200")),
            entry("POST /lifters/{id}/clips/{clip}/judged", Map.of("marks", "1200 clean", "rating", "9")),
            entry("POST /lifters/{id}/clips/{clip}/found", Map.of("marks", "1200 broken", "video", "HARDER")),
            entry(
                    "POST /lifters/{id}/clips/{clip}/bar",
                    Map.of("rimX", "160", "rimY", "300", "rimWidth", "90", "pictures", "0 160 300 1")),
            entry("POST /calls/rules/{rule}", Map.of("on", "true")),
            entry("POST /lifters/{id}/plan/recovery", Map.of("lift", "squat", "own", "96")),
            entry("POST /calls/{id}/put-off", Map.of("until", "2026-03-20")),
            entry("POST /lifters/{id}/home/questions/{question}", Map.of("answer", "GRIP")),
            entry("POST /lifters/{id}/week", Map.of("words", "A good week.", "edition", "0")),
            entry("POST /club/invites", Map.of("name", "New")),
            entry("POST /club/clips", Map.of("days", "90")),
            entry("POST /contests", Map.of("name", "Cup", "rules", "mock")),
            entry("POST /contests/{contest}", Map.of("name", "Cup", "rules", "mock")),
            entry("POST /contests/{contest}/move", Map.of("on", "2026-06-06")),
            entry("POST /contests/{contest}/entries", Map.of("lifter", "{id}")),
            entry("POST /contests/{contest}/events", Map.of("lift", "log-press", "measure", "REPS", "load", "100")),
            entry(
                    "POST /contests/{contest}/events/{event}",
                    Map.of("lift", "log-press", "measure", "REPS", "load", "110")),
            entry("POST /contests/{contest}/warm-up", Map.of("lift", "squat", "by", "5", "entry", "")),
            entry("POST /contests/{contest}/day", Map.of("lift", "squat", "number", "1", "act", "NAME", "load", "100")),
            entry("POST /contests/{contest}/entries/{entry}", Map.of("flight", "2")),
            entry("POST /kit", Map.of("name", "Loft", "unit", "KG")),
            entry("POST /kit/{gym}", Map.of("name", "Gym", "unit", "KG", "collars", "0")),
            entry("POST /me/tokens", Map.of("name", "New", "scopes", "READ", "days", "7")),
            entry("POST /lifters", Map.of("name", "New", "unit", "KG")),
            entry(
                    "POST /lifters/{id}/book/lifts/{lift}/max",
                    Map.of("kind", "CONTEST", "load", "150", "on", "2026-03-01")),
            entry("POST /lifters/{id}/book/lifts/{lift}/working-max", Map.of("load", "140")),
            entry("GET /exchange/lifter.json", Map.of("lifter", "{id}")),
            entry("GET /exchange/lifter.zip", Map.of("lifter", "{id}")),
            entry("POST /exchange", Map.of("text", "Date,Exercise,Weight,Reps\n2024-03-12,Squat,140,5")),
            entry("POST /exchange/lifters", Map.of("text", "Name,Sex\nAda Low,f", "unit", "KG", "on", "")),
            entry("POST /exchange/lifters/take", Map.of("text", "Name,Sex\nAda Low,f", "unit", "KG", "on", "")),
            entry(
                    "POST /exchange/plans",
                    Map.of(
                            "text",
                            "Day,Exercise,Week 1\nMonday,Squat,5x5 75%",
                            "lifter",
                            "{id}",
                            "name",
                            "Spring",
                            "start",
                            "2030-03-04")),
            entry(
                    "POST /exchange/plans/take",
                    Map.of(
                            "text",
                            "Day,Exercise,Week 1\nMonday,Squat,5x5 75%",
                            "lifter",
                            "{id}",
                            "name",
                            "Spring",
                            "start",
                            "2030-03-04")),
            entry("POST /exchange/kit", Map.of("text", "Item,kg,Count\nPlate,0.5,4")),
            entry("POST /exchange/kit/take", Map.of("text", "Item,kg,Count\nPlate,0.5,4")),
            entry("POST /exchange/maxes", Map.of("text", "Name,Squat\nAda,120", "kind", "TESTED")),
            entry("POST /exchange/maxes/take", Map.of("text", "Name,Squat\nAda,120", "kind", "TESTED")),
            entry("POST /lifters/{id}/practice", Map.of("lift", "squat", "drawn", "7", "left", "2")),
            entry("POST /lifters/{id}/floor/aches", Map.of("place", "KNEE", "weight", "3")),
            entry(
                    "POST /lifters/{id}/floor/fallbacks",
                    Map.of("kind", "TIRED", "once", "11111111-2222-3333-4444-555555555555")),
            entry(
                    "POST /lifters/{id}/floor/before",
                    Map.of("sleep", "4", "fatigue", "4", "stress", "4", "soreness", "4", "joints", "4")),
            entry("POST /lifters/{id}/floor/finish", Map.of("left", "99")),
            entry(
                    "POST /lifters/{id}/floor/free/sets",
                    Map.of("task", "", "lift", "squat", "load", "100", "reps", "5", "effort", "8")),
            entry("POST /lifters/{id}/floor/sets", Map.of("load", "150", "reps", "5", "effort", "8", "task", "C.1")),
            entry("POST /lifters/{id}/floor/side", Map.of("load", "150")),
            entry("POST /lifters/{id}/floor/side/words", Map.of("words", "Rest longer")),
            entry("POST /lifters/{id}/floor/words", Map.of("words", "Belt off?")),
            entry("POST /lifters/{id}/plan/change", Map.of("kind", "WEEK_INSERT", "week", "2")),
            entry(
                    "GET /lifters/{id}/plan/new/preview",
                    Map.of(
                            "start",
                            "2028-01-03",
                            "weeks",
                            "4",
                            "every",
                            "0",
                            "deload",
                            "OFF",
                            "days",
                            "0",
                            "lifts[0].lift",
                            "squat",
                            "lifts[0].school",
                            "rpe-led")),
            entry("POST /lifters/{id}/plan/new/template", Map.of("start", "2028-03-13", "weeks", "3", "name", "Free")),
            entry("POST /lifters/{id}/plan/templates", Map.of("kind", "BLOCK", "name", "another")),
            entry("POST /lifters/{id}/profile/aches", Map.of("place", "KNEE", "since", "2026-03-01")),
            entry("POST /lifters/{id}/profile/aches/{ache}/clear", Map.of("by", "Dr Low")),
            entry("POST /lifters/{id}/profile/health/clear", Map.of("by", "Dr Low")),
            entry("POST /lifters/{id}/profile/measurements", Map.of("kind", "WAIST", "figure", "80")),
            entry("POST /lifters/{id}/profile/notes", Map.of("kind", "NOTE", "text", "n")));

    private static final Pattern VARIABLE = Pattern.compile("\\{(\\w+)}");

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    private RequestMappingHandlerMapping mappings;

    private final Map<Who, RequestPostProcessor> people = new EnumMap<>(Who.class);
    private final Map<String, Object> variables = new TreeMap<>();
    private TestClub club;

    @BeforeEach
    void gather() throws Exception {
        club = clubs.club();
        TestClub other = clubs.club();
        people.put(Who.NOBODY, anonymous());
        people.put(Who.LIFTER, club.asLifter());
        people.put(Who.OTHER_LIFTER, club.asOtherLifter());
        people.put(Who.COACH, club.asCoach());
        people.put(Who.COLLEAGUE, club.asColleague());
        people.put(Who.HEAD_COACH, club.asHeadCoach());
        people.put(Who.FOREIGN_LIFTER, other.asLifter());
        people.put(Who.FOREIGN_COACH, other.asCoach());
        people.put(Who.FOREIGN_HEAD_COACH, other.asHeadCoach());
        fill();
    }

    /** Something of every kind that an address can name, made by the coach. */
    private void fill() throws Exception {
        long id = club.lifter.id();
        variables.put("file", clubs.brought(club, "TAKEN"));
        variables.put("whole", clubs.whole(club, "TAKEN"));
        Clubs4Tests.TestClip clip = clubs.clip(club);
        variables.put("clip", clip.clip());
        variables.put("filmed", clip.session());
        asCoach("/profile/measurements", Map.of("kind", "WAIST", "figure", "80", "on", "2026-03-01"));
        asCoach("/profile/notes", Map.of("kind", "NOTE", "text", "n"));
        asCoach("/profile/aches", Map.of("place", "KNEE", "since", "2026-03-01"));
        asCoach(
                "/floor/sets",
                Map.of("day", "0", "week", "1", "task", "A.w1", "load", "20", "reps", "5", "effort", "easy"));
        asCoach(
                "/floor/sets",
                Map.of("day", "0", "week", "1", "task", "A.1", "load", "180", "reps", "0", "effort", "missed"));
        asCoach("/floor/slots/C", Map.of("day", "0", "week", "1", "what", "shorten", "sets", "2"));
        asCoach("/plan/templates", Map.of("kind", "BLOCK", "name", "t"));
        variables.put("template", one("select max(id) from plan_template where club_id = ?", club.lifter.clubId()));
        variables.put("block", clubs.takenAway(club));
        Clubs4Tests.TestContest held = clubs.contest(club);
        variables.put("contest", held.contest());
        variables.put("entry", held.entry());
        Clubs4Tests.TestContest games = clubs.games(club);
        variables.put("games", games.contest());
        variables.put("event", games.entry());
        variables.put("gym", club.gym);
        variables.put("shelf", "plates");
        variables.put("code", "sleep");
        variables.put("lift", "front-squat");
        variables.put("rule", "hard-once");
        variables.put("question", clubs.question(club));
        variables.put("day", 0);
        variables.put("week", 1);
        as(Who.LIFTER, "/floor/free/sets", Map.of("lift", "barbell-row", "load", "30", "reps", "10", "effort", "easy"));
        as(Who.LIFTER, "/floor/free/finish", Map.of());
        variables.put(
                "session", one("select max(id) from training_session where lifter_id = ? and plan_day is null", id));
        Object address = mvc.perform(request(HttpMethod.POST, "/calendar/address")
                        .with(people.get(Who.LIFTER))
                        .with(csrf()))
                .andReturn()
                .getFlashMap()
                .get("made");
        variables.put("secret", address.toString().replaceAll(".*/|\\.ics$", ""));
        variables.put("table", "maxes");
        variables.put("brought", "1");
        variables.put("token", "none");
        variables.put("key", "none");
        variables.put("letter", "A");
        variables.put(
                "change",
                jdbc.sql("select max(token::text) from amendment where club_id = ?")
                        .param(club.lifter.clubId())
                        .query(String.class)
                        .single());
        variables.put("measurement", one("select max(id) from measurement where lifter_id = ?", id));
        variables.put("note", one("select max(id) from lifter_note where lifter_id = ?", id));
        variables.put("ache", one("select max(id) from ache where lifter_id = ?", id));
        variables.put("max", one("select max(id) from recorded_max where lifter_id = ?", id));
        variables.put("piece", one("select min(id) from piece where gym_id = ? and shelf = 'PLATES'", club.gym));
        clubs.grow(club, 1, 3, 1);
        await().untilAsserted(() -> assertThat(one("select count(*) from slip where club_id = ?", club.lifter.clubId()))
                .isOne());
        variables.put("slip", one("select id from slip where club_id = ?", club.lifter.clubId()));
    }

    private void asCoach(String path, Map<String, String> fields) throws Exception {
        as(Who.COACH, path, fields);
    }

    private void as(Who who, String path, Map<String, String> fields) throws Exception {
        MockHttpServletRequestBuilder request =
                request(HttpMethod.POST, club.url(path)).with(people.get(who)).with(csrf());
        fields.forEach(request::param);
        assertThat(mvc.perform(request).andReturn().getResponse().getStatus()).isEqualTo(302);
    }

    private long one(String sql, long param) {
        return jdbc.sql(sql).param(param).query(Long.class).single();
    }

    /** Each route of the application, as {@code GET /lifters/{id}}. */
    private Set<String> routes() {
        Set<String> routes = new TreeSet<>();
        mappings.getHandlerMethods().forEach((mapping, handler) -> {
            String of = handler.getBeanType().getName();
            if (of.startsWith("dev.yarbel.web.") && !of.contains("TestSettings")) {
                for (RequestMethod method : mapping.getMethodsCondition().getMethods()) {
                    mapping.getPatternValues().stream()
                            // programs come with tokens: InterfaceAccessTest
                            .filter(pattern -> !pattern.startsWith("/api/v1/"))
                            .forEach(pattern -> routes.add(method + " " + pattern));
                }
            }
        });
        return routes;
    }

    @Test
    void everyRouteSaysWhoMayUseIt() {
        Set<String> said = new TreeSet<>(ROUTES.keySet());
        said.addAll(ELSEWHERE);
        assertThat(routes()).isEqualTo(said);
    }

    @Test
    void whoMayDoesAndNobodyElse() throws Exception {
        Map<String, Map<Who, Integer>> wrong = new LinkedHashMap<>();
        Set<String> withoutSuccess = new TreeSet<>();
        for (Map.Entry<String, May> route : new TreeMap<>(ROUTES).entrySet()) {
            for (Who who : Who.values()) {
                boolean may = route.getValue().people.contains(who);
                MockHttpServletResponse answer = ask(route.getKey(), who);
                if (may && answer.getStatus() < 400) {
                    withoutSuccess.remove(route.getKey());
                } else if (may && who == firstOf(route.getValue())) {
                    withoutSuccess.add(route.getKey());
                }
                if (may != isAllowed(answer)) {
                    wrong.computeIfAbsent(route.getKey(), key -> new EnumMap<>(Who.class))
                            .put(who, answer.getStatus());
                }
            }
        }
        assertThat(wrong).isEmpty();
        assertThat(withoutSuccess)
                .as("a refusal proves something where whoever may succeeds with the very same request")
                .isEqualTo(NEEDS_MORE);
    }

    /** Striking is checked as writing is: what a lifter wrote is theirs to strike, what the coach wrote is not. */
    @Test
    void aLifterStrikesTheirOwnAndNotTheCoachs() throws Exception {
        long id = club.lifter.id();
        assertThat(strike(Who.LIFTER, "/profile/notes/" + variables.get("note") + "/remove"))
                .isEqualTo(403);
        assertThat(strike(Who.LIFTER, "/profile/notes/" + variables.get("note") + "/restore"))
                .isEqualTo(403);
        assertThat(strike(Who.LIFTER, "/floor/changes/" + variables.get("change") + "/back?day=0&week=1"))
                .isEqualTo(403);
        assertThat(one("select count(*) from lifter_note where removed_at is null and lifter_id = ?", id))
                .isOne();
        as(Who.LIFTER, "/profile/notes", Map.of("kind", "NOTE", "text", "mine"));
        as(Who.LIFTER, "/floor/slots/B", Map.of("day", "0", "week", "1", "what", "shorten", "sets", "1"));
        long own = one("select max(id) from lifter_note where lifter_id = ?", id);
        String change = jdbc.sql("select token::text from amendment where club_id = ? order by id desc limit 1")
                .param(club.lifter.clubId())
                .query(String.class)
                .single();
        assertThat(strike(Who.LIFTER, "/profile/notes/" + own + "/remove")).isEqualTo(302);
        assertThat(strike(Who.LIFTER, "/profile/notes/" + own + "/restore")).isEqualTo(302);
        assertThat(strike(Who.LIFTER, "/floor/changes/" + change + "/back?day=0&week=1"))
                .isEqualTo(302);
        assertThat(strike(Who.COACH, "/profile/notes/" + own + "/remove")).isEqualTo(302);
        assertThat(strike(Who.COACH, "/profile/notes/" + variables.get("note") + "/remove"))
                .isEqualTo(302);
        String page = mvc.perform(request(HttpMethod.GET, club.url("/profile")).with(people.get(Who.LIFTER)))
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertThat(page).doesNotContain("/notes/" + variables.get("note") + "/remove\" ");
    }

    private int strike(Who who, String path) throws Exception {
        return mvc.perform(request(HttpMethod.POST, java.net.URI.create(club.url(path)))
                        .with(people.get(who))
                        .with(csrf()))
                .andReturn()
                .getResponse()
                .getStatus();
    }

    private static Who firstOf(May may) {
        return may.people.iterator().next();
    }

    private MockHttpServletResponse ask(String route, Who who) throws Exception {
        String[] parts = route.split(" ");
        Matcher matcher = VARIABLE.matcher(parts[1]);
        variables.put("id", number(parts[1]));
        if (parts[1].contains("/events")) {
            matcher = VARIABLE.matcher(
                    parts[1].replace("{contest}", variables.get("games").toString()));
        }
        String address =
                matcher.replaceAll(variable -> variables.get(variable.group(1)).toString());
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("theme", "chalk");
        fields.put("of", "NOBODY");
        fields.put("coach", String.valueOf(club.coach.accountId()));
        fields.put("gym", String.valueOf(club.gym));
        fields.put("how", "ALSO");
        fields.put("on", "2026-03-10");
        fields.put("week", "1");
        fields.put("task", "A.1");
        fields.put("session", variables.get("session").toString());
        fields.put("shown", "100 kg");
        fields.put("dose." + club.cell(0, 2), "1 @7");
        fields.put("slot", club.cell(0, 0).split("\\.")[0]);
        fields.put("gate", "LIMIT_PULLS");
        fields.put("curve", "epley");
        fields.put("what", "skip");
        fields.put("why", "GRIP");
        fields.put("change", "A checked");
        fields.put("warm-up", "A.w1");
        fields.put("top", "A.w9");
        fields.put("was." + club.cell(0, 2), "1 @8");
        fields.put("template", variables.get("template").toString());
        fields.put("current", club.password());
        fields.put("password", "three loose boats adrift");
        fields.put("entry", variables.get("entry").toString());
        fields.putAll(SAYS.getOrDefault(route, Map.of()));
        fields.replaceAll(
                (field, text) -> text.replace("{id}", variables.get("id").toString())
                        .replace("{clip}", variables.get("clip").toString())
                        .replace("{filmed}", variables.get("filmed").toString()));
        MockHttpServletRequestBuilder request = request(HttpMethod.valueOf(parts[0]), address)
                .with(people.get(who))
                .with(csrf());
        fields.forEach(request::param);
        if (!parts[1].contains("{day}")) {
            request.param("day", "0");
        }
        return mvc.perform(request).andReturn().getResponse();
    }

    private long number(String pattern) {
        return pattern.startsWith("/calls")
                ? (long) variables.get("slip")
                : pattern.startsWith("/club") ? club.coach.accountId() : club.lifter.id();
    }

    /** Whatever is not refused, be it that something in the request was wrong. */
    private static boolean isAllowed(MockHttpServletResponse answer) {
        int status = answer.getStatus();
        boolean toSignIn =
                status == 302 && String.valueOf(answer.getRedirectedUrl()).contains("/sign-in");
        return status < 500 && status != 401 && status != 403 && status != 404 && !toSignIn;
    }
}
