package dev.yarbel.web.contest;

import static dev.yarbel.web.OnPage.shows;
import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.flash;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.contest.ContestRules;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.book.Change;
import dev.yarbel.web.book.Ledger;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** Contests at the desk, and the attempts of those who lift in them. */
@YarbelTest
class ContestTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Ledger ledger;

    @Autowired
    private ContestRepository contests;

    @Autowired
    private EntryRepository entries;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;

    @BeforeEach
    void makeClub() {
        club = clubs.club();
    }

    private ResultActions send(String path, String... fields) throws Exception {
        MockHttpServletRequestBuilder request = post(path).with(club.asCoach()).with(csrf());
        for (int i = 0; i < fields.length; i += 2) {
            request.param(fields[i], fields[i + 1]);
        }
        return mvc.perform(request);
    }

    private ResultActions look(String path) throws Exception {
        return mvc.perform(get(path).with(club.asCoach()));
    }

    private Document page(String path) throws Exception {
        return Jsoup.parse(look(path).andReturn().getResponse().getContentAsString());
    }

    /** A contest in three weeks, by its address. */
    private String held() throws Exception {
        return send("/contests", "name", "Test Open", "on", "2026-03-31", "rules", "ipf-classic")
                .andExpect(status().is3xxRedirection())
                .andReturn()
                .getResponse()
                .getRedirectedUrl();
    }

    private String entered(String contest) throws Exception {
        send(contest + "/entries", "lifter", String.valueOf(club.lifter.id())).andExpect(status().is3xxRedirection());
        return contest + "/entries/"
                + jdbc.sql("select max(id) from contest_entry where lifter_id = ?")
                        .param(club.lifter.id())
                        .query(Long.class)
                        .single();
    }

    private List<Change> told() {
        return ledger.latest(club.lifter, 20);
    }

    // ---- the contest

    @Test
    void aContestIsAddedAndStandsInTheList() throws Exception {
        look("/contests").andExpect(content().string(containsString("No contest yet")));

        String contest = held();

        look("/contests").andExpect(content().string(shows(".contestlines", "Test Open 31 Mar 2026 in 21 days")));
        look(contest).andExpect(content().string(shows(".facts", "To come 31 Mar 2026 in 21 days")));
    }

    @Test
    void whatCannotBeStandsBesideItsFieldAndKeepsWhatWasTyped() throws Exception {
        for (String[] wrong : new String[][] {
            {"name", ""},
            {"on", "2026-13-40"},
            {"on", "1926-03-31"},
            {"rules", "none"},
            {"step", "heavy"},
            {"seconds", "9000"},
            {"weighIn", "8 o’clock"}
        }) {
            Map<String, String> typed =
                    new TreeMap<>(Map.of("name", "Test Open", "place", "The hall", "rules", "ipf-classic"));
            typed.put(wrong[0], wrong[1]);
            String[] fields = typed.entrySet().stream()
                    .flatMap(field -> Stream.of(field.getKey(), field.getValue()))
                    .toArray(String[]::new);
            String html = send("/contests", fields)
                    .andExpect(status().isUnprocessableContent())
                    .andReturn()
                    .getResponse()
                    .getContentAsString();
            assertThat(Jsoup.parse(html)
                            .select("#new-" + wrong[0] + "-says, .asked:has([name=" + wrong[0] + "]) .bad")
                            .text())
                    .as(wrong[0])
                    .isNotEmpty();
            assertThat(Jsoup.parse(html).select("[name=place]").val()).isEqualTo("The hall");
        }
        assertThat(page("/contests").select(".contestlines")).isEmpty();
    }

    @Test
    void aContestLosesItsDateIsCancelledStruckAndBroughtBack() throws Exception {
        String contest = held();

        send(contest, "name", "Test Open", "rules", "ipf-classic").andExpect(status().is3xxRedirection());
        look(contest).andExpect(content().string(containsString("A peak cannot be held")));

        send(contest, "name", "Test Open", "rules", "ipf-classic", "cancelled", "true");
        look("/contests").andExpect(content().string(shows("h2", "Cancelled")));

        send(contest + "/remove").andExpect(flash().attribute("undo", contest + "/restore"));
        look(contest).andExpect(status().isNotFound());
        send(contest + "/restore");
        look(contest).andExpect(status().isOk());
    }

    // ---- who lifts

    @Test
    void aLifterIsEnteredOnceWithdrawnAndEnteredAgain() throws Exception {
        String contest = held();
        String entry = entered(contest);
        assertThat(entered(contest)).isEqualTo(entry);
        assertThat(page(contest).select("table.entries tbody tr")).hasSize(1);
        assertThat(told().stream().map(change -> change.kind().name())).contains("CONTEST");

        send(entry + "/remove");
        assertThat(page(contest).select("table.entries tbody tr")).isEmpty();
        look(entry).andExpect(status().isNotFound());
        send(entry + "/restore");
        assertThat(page(contest).select("table.entries tbody tr")).hasSize(1);
    }

    /** What somebody typed into the total, in words and in slips. */
    @Test
    void aTotalToReachIsAskedForAndRead() throws Exception {
        String entry = entered(held());

        send(entry, "way", "TOTAL")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(containsString("What total is to be reached?")));
        for (String wrong : List.of("a lot", "-500", "50000", "0")) {
            send(entry, "way", "TOTAL", "asked", wrong)
                    .andExpect(status().isUnprocessableContent())
                    .andExpect(content().string(containsString("value=\"" + wrong + "\"")));
        }
        send(entry, "way", "TOTAL", "asked", "1200 lb").andExpect(status().is3xxRedirection());
        assertThat(jdbc.sql("select asked from contest_entry where lifter_id = ?")
                        .param(club.lifter.id())
                        .query(BigDecimal.class)
                        .single())
                .isEqualByComparingTo("544.310844");
    }

    // ---- attempts

    /** A lifter of whom a lift is not known has no attempts, and it is said which one. */
    @Test
    void whatIsNotKnownIsNotMadeUp() throws Exception {
        String entry = entered(held());

        Document page = page(entry);

        boolean all = Stream.of(Lift.SQUAT, Lift.BENCH_PRESS, Lift.DEADLIFT)
                .allMatch(
                        lift -> club.plan().standing().strength().estimate(lift).isPresent());
        if (all) {
            assertThat(page.select(".ladder")).hasSize(3);
        } else {
            assertThat(page.select(".ladder")).isEmpty();
            assertThat(page.text()).contains("Too little is known");
        }
    }

    @Test
    void everyWayGivesALadderThatTheRulesAllow() throws Exception {
        knowAll();
        String contest = held();
        send(contest + "/entries", "guest", "yes", "name", "A rival", "expected", "560", "body", "80");
        String entry = entered(contest);
        for (String way : List.of("SHARES", "AVERAGE", "TOTAL", "AHEAD")) {
            send(entry, "way", way, "asked", "540").andExpect(status().is3xxRedirection());
            Document page = page(entry);
            assertThat(page.select(".ladder")).as(way).hasSize(3);
            page.select(".ladder").forEach(ladder -> {
                List<Mass> loads = ladder.select(".rungs b").stream()
                        .map(load -> Mass.parse(load.text(), MassUnit.KG))
                        .toList();
                // third, third, third, second, opener
                assertThat(loads.get(0)).isGreaterThanOrEqualTo(loads.get(2));
                assertThat(loads.get(2)).isGreaterThan(loads.get(3));
                assertThat(loads.get(3)).isGreaterThan(loads.get(4));
                assertThat(loads)
                        .allMatch(load -> ContestRules.named("ipf-classic").isOnStep(load));
            });
            assertThat(page.select(".daysays").text()).contains("kg");
        }
    }

    /** With nobody to be ahead of, or an empty club of rivals, the usual shares stand in and it is said. */
    @Test
    void withoutRivalsTheUsualSharesStandInAndItIsSaid() throws Exception {
        knowAll();
        String entry = entered(held());
        send(entry, "way", "AHEAD");

        look(entry).andExpect(content().string(containsString("Nobody is entered with an expected total")));
    }

    private void knowAll() throws Exception {
        for (String lift : List.of("squat", "bench-press", "deadlift")) {
            String load = lift.equals("squat") ? "190" : lift.equals("deadlift") ? "230" : "125";
            send(club.url("/book/lifts/" + lift + "/max"), "kind", "CONTEST", "load", load, "on", "2026-03-01");
        }
    }

    /** What a session tells counts without anybody looking. */
    @Test
    void aFinishedSessionMovesWhatIsBelievedOfTheDay() throws Exception {
        knowAll();
        String contest = held();
        entered(contest);
        String before = believed();

        clubs.grow(club, 0, 3, 1);
        send(club.url("/floor/free/sets"), "task", "", "lift", "squat", "load", "150", "reps", "3", "effort", "6");
        send(club.url("/floor/free/finish"));

        await().untilAsserted(() -> assertThat(believed()).isNotEqualTo(before));
    }

    private String believed() {
        return jdbc.sql("select believed::text from contest_entry where lifter_id = ?")
                .param(club.lifter.id())
                .query(String.class)
                .single();
    }

    @Test
    void anotherCoachSeesWhoLiftsAndNotWhatIsBelievedOfThem() throws Exception {
        knowAll();
        String contest = held();
        String entry = entered(contest);

        mvc.perform(get(contest).with(club.asColleague()))
                .andExpect(status().isOk())
                .andExpect(content().string(containsString(club.lifter.name())))
                .andExpect(content().string(not(containsString("/entries/" + entry.replaceAll(".*/", "") + "\""))));
        mvc.perform(get(contest + "/day").with(club.asColleague()))
                .andExpect(content().string(not(containsString("advised,"))));
    }

    // ---- results

    /** What was lifted, a minus before what was not made; what is only named is no result, and no name is a formula. */
    @Test
    void resultsAreAFileForASpreadsheet() throws Exception {
        String contest = held();
        String entry = entered(contest).replaceAll(".*/", "");
        send(contest + "/entries", "guest", "yes", "name", "=1+1", "sex", "MALE", "body", "82");
        String[][] taps = {
            {"1", "150", "SOLID"},
            {"2", "160", "MISSED"},
            {"3", "160", null}
        };
        for (String[] tap : taps) {
            send(contest + "/day", "entry", entry, "lift", "squat", "number", tap[0], "act", "NAME", "load", tap[1]);
            if (tap[2] != null) {
                send(contest + "/day", "entry", entry, "lift", "squat", "number", tap[0], "act", tap[2]);
            }
        }
        var file = look(contest + "/results.csv")
                .andExpect(status().isOk())
                .andReturn()
                .getResponse();
        assertThat(file.getHeader("Content-Disposition")).contains("attachment", "test-open-2026-03-31.csv");
        assertThat(file.getContentType()).startsWith("text/csv");
        List<String> lines = file.getContentAsString().lines().toList();
        assertThat(lines).hasSize(3);
        assertThat(lines.get(0)).startsWith("Class,").contains("Squat 1,Squat 2,Squat 3,Squat,Bench press 1");
        assertThat(lines)
                .anySatisfy(line -> assertThat(line).contains("150,-160,,150,").contains(club.lifter.name()));
        assertThat(lines).anySatisfy(line -> assertThat(line).contains("'=1+1").contains("82"));
    }

    /** Whom something hurts is not led to heavy singles, and is told why. */
    @Test
    void whereSomethingHurtsNoSinglesAreOnTheWayToTheDay() throws Exception {
        String entry = entered(held());
        assertThat(page(entry).select(".toward .datelist").text()).contains("heavy single");
        mvc.perform(post(club.url("/floor/aches"))
                .with(club.asCoach())
                .with(csrf())
                .param("day", "0")
                .param("week", "1")
                .param("place", "KNEE")
                .param("weight", "3"));

        assertThat(page(entry).select(".toward .datelist").text()).doesNotContain("heavy single");
        assertThat(page(entry).select(".toward .watch").text()).contains("Something hurts");
    }

    // ---- body mass toward a class

    private void weighed(String on, String kg) throws Exception {
        send(club.url("/profile/measurements"), "kind", "BODY_MASS", "figure", kg, "on", on, "meant", "true")
                .andExpect(status().is3xxRedirection());
    }

    @Test
    void bodyMassStandsBesideTheLimitOfTheClassThatIsMeant() throws Exception {
        String entry = entered(held());
        assertThat(page(entry).select("#class-title")).isEmpty();

        send(entry, "limit", "74", "way", "SHARES").andExpect(status().is3xxRedirection());
        assertThat(page(entry).select("section:has(#class-title)").text()).contains("Nobody was weighed");

        weighed("2026-02-10", "76.5");
        weighed("2026-02-24", "75.7");
        weighed("2026-03-09", "75");
        String going = page(entry).select("section:has(#class-title)").text();
        assertThat(going).contains("inside it on the day", "75 kg on 9 Mar", "1 kg, 0.4", "% a week, to 73.8 kg");

        send(entry, "limit", "70", "way", "SHARES");
        assertThat(page(entry).select("section:has(#class-title) .watch").text())
                .contains("More than about one percent");
        send(entry, "limit", "7", "way", "SHARES").andExpect(status().isUnprocessableContent());
    }

    /** A minor is never asked to cut, however little it is. */
    @Test
    void aMinorOverTheLimitStaysInTheirClass() throws Exception {
        String entry = entered(held());
        send(entry, "limit", "74", "way", "SHARES");
        weighed("2026-03-09", "74.2");
        jdbc.sql("update lifter set birth_year = 2010 where id = ?")
                .param(club.lifter.id())
                .update();
        assertThat(page(entry).select("section:has(#class-title) .watch").text())
                .contains("a minor: no cut");
    }

    // ---- the season

    /** What leads where, and the days that no block covers. */
    @Test
    void aSeasonSaysWhatLeadsToEachContest() throws Exception {
        entered(held());
        LocalDate end = club.plan().block().end();
        send("/contests", "name", "Far Cup", "on", end.plusDays(30).toString(), "rules", "ipf-classic");
        String far = "/contests/"
                + jdbc.sql("select max(id) from contest where club_id = ?")
                        .param(club.lifter.clubId())
                        .query(Long.class)
                        .single();
        entered(far);

        Document page = page(club.url("/season"));

        assertThat(page.select(".contestlines li")).hasSize(2);
        assertThat(page.select(".contestlines").text())
                .contains("No plan leads to this day")
                .contains("29 days until then are in no block");
        assertThat(page.select("svg.season .flag")).hasSize(2);
        assertThat(page.select("svg.season .block")).isNotEmpty();
    }

    /** Where only a window is known plans lead to its first day; what to bring stands where it is needed. */
    @Test
    void aWindowAndWhatToBring() throws Exception {
        String contest = held();
        send(
                        contest,
                        "name",
                        "Test Open",
                        "rules",
                        "ipf-classic",
                        "on",
                        "2026-05-02",
                        "until",
                        "2026-05-16",
                        "bring",
                        "belt\n\n deadlift slippers \nfood")
                .andExpect(status().is3xxRedirection());
        Document page = page(contest);
        assertThat(page.select(".facts").text()).contains("2 May 2026 or later, until 16 May 2026");
        assertThat(page.select(".bring li").eachText()).containsExactly("belt", "deadlift slippers", "food");
        assertThat(page(contest + "/day").select(".bring li")).hasSize(3);
        assertThat(page("/contests").select(".contestlines").text()).contains("until 16 May 2026");
        assertThat(page(contest).select("textarea[name=bring]").text()).contains("slippers");

        for (String until : List.of("2026-05-01", "2026-12-01")) {
            send(contest, "name", "Test Open", "rules", "ipf-classic", "on", "2026-05-02", "until", until)
                    .andExpect(status().isUnprocessableContent())
                    .andExpect(content().string(shows("#contest-until-says", "ends after its first day")));
        }
        send(contest, "name", "Test Open", "rules", "ipf-classic", "until", "2026-05-02")
                .andExpect(status().isUnprocessableContent());
        // once the day is set the window is over
        send(contest + "/move", "on", "2026-05-09").andExpect(status().is3xxRedirection());
        assertThat(page(contest).select(".facts").text()).doesNotContain("or later");
    }

    /** A contest that is trained through asks nothing of the plan, and no other one that is given up leads there. */
    @Test
    void aContestIsTrainedThrough() throws Exception {
        String contest = held();
        String entry = entered(contest);
        assertThat(page(entry).select(".toward")).hasSize(1);
        assertThat(page(contest).select("table.entries tbody").text()).contains("leads to no contest");

        send(entry, "priority", "THROUGH").andExpect(status().is3xxRedirection());
        assertThat(page(entry).select(".toward")).isEmpty();
        assertThat(page(contest).select("table.entries tbody").text())
                .contains("trained through")
                .doesNotContain("leads to no contest");
        assertThat(page(club.url("/season")).select(".contestlines").text())
                .contains("trained through")
                .doesNotContain("No plan leads to this day");
        LifterContests told = new LifterContests(contests, entries);
        assertThat(told.seen(
                                club.lifter.clubId(),
                                club.lifter.id(),
                                Long.parseLong(send("/contests", "name", "Other", "rules", "ipf-classic")
                                        .andReturn()
                                        .getResponse()
                                        .getRedirectedUrl()
                                        .replaceAll(".*/", "")),
                                Optional.empty(),
                                club.plan().today())
                        .next())
                .isEmpty();
    }

    /** What would follow of another day is shown beside what stands, and nothing is kept until it is. */
    @Test
    void aContestIsTriedOnAnotherDayBeforeItIsMoved() throws Exception {
        String contest = held();
        String entry = entered(contest);
        LocalDate end = club.plan().block().end();
        send(contest, "name", "Test Open", "rules", "ipf-classic", "on", end.toString());
        String number = contest.replaceAll(".*/", "");
        String tried = club.url("/season") + "?contest=" + number + "&to=" + end.plusWeeks(2);
        assertThat(page(tried).select("#moving").text()).contains("does not lead to this contest");

        Document toward = page(entry);
        send(
                toward.select(".toward form").attr("action"),
                "stamp",
                toward.select(".toward [name=stamp]").val(),
                "contest",
                end.toString(),
                "kind",
                "CONTEST_SHAPE");
        Document moving = page(tried);
        assertThat(moving.select("#moving table.bothplans tbody tr")).hasSize(4);
        assertThat(page(contest).select(".facts").text()).doesNotContain("6 Apr");

        send(contest + "/move", "on", end.plusWeeks(2).toString())
                .andExpect(status().is3xxRedirection())
                .andExpect(flash().attributeExists("notice"));
        assertThat(page(contest).select(".facts").text()).contains("6 Apr 2026");
        send(contest + "/move", "on", "1926-01-01").andExpect(status().isUnprocessableContent());
        assertThat(page(club.url("/season") + "?contest=" + number + "&to=2020-01-01")
                        .select("#moving"))
                .isEmpty();
        look(club.url("/season") + "?contest=" + number + "&to=soon").andExpect(status().isBadRequest());
    }

    /** A contest that moves twice and then has no date: each time it is said whose plan leads elsewhere, and it can be shaped anew. */
    @Test
    void whosePlanLeadsElsewhereIsSaidWhenAContestMoves() throws Exception {
        String contest = held();
        String entry = entered(contest);
        LocalDate end = club.plan().block().end();
        assertThat(page(contest).select("table.entries tbody").text()).contains("leads to no contest");

        send(contest, "name", "Test Open", "rules", "ipf-classic", "on", end.toString());
        Document toward = page(entry);
        send(
                        toward.select(".toward form").attr("action"),
                        "stamp",
                        toward.select(".toward [name=stamp]").val(),
                        "contest",
                        end.toString(),
                        "kind",
                        "CONTEST_SHAPE")
                .andExpect(status().is3xxRedirection());
        assertThat(page(contest).select("table.entries tbody").text()).contains("leads here");
        assertThat(page(entry).select(".toward").text()).contains("leads to this day");

        send(
                contest,
                "name",
                "Test Open",
                "rules",
                "ipf-classic",
                "on",
                end.plusDays(9).toString());
        assertThat(page(contest).select("table.entries tbody").text()).contains("leads to");
        assertThat(page(entry).select(".toward .watch").text()).contains("leads to another day");

        send(contest, "name", "Test Open", "rules", "ipf-classic");
        assertThat(page(contest).select("table.entries tbody").text()).contains("there is no date");
    }
}
