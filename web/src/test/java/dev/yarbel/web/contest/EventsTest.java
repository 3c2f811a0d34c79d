package dev.yarbel.web.contest;

import static dev.yarbel.web.OnPage.shows;
import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.flash;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.Ledger;
import dev.yarbel.web.book.LiftRecord;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** A strongman contest: what is announced, what was done, how the points stand. */
@YarbelTest
class EventsTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Book book;

    @Autowired
    private Ledger ledger;

    private TestClub club;
    private String contest;

    @BeforeEach
    void hold() {
        club = clubs.club();
        contest = "/contests/" + clubs.games(club).contest();
    }

    private ResultActions send(String path, Map<String, String> fields) throws Exception {
        MockHttpServletRequestBuilder request =
                post(contest + path).with(club.asCoach()).with(csrf());
        fields.forEach(request::param);
        return mvc.perform(request);
    }

    private Document page() throws Exception {
        return Jsoup.parse(mvc.perform(get(contest + "/events").with(club.asCoach()))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    private void guests(String... names) throws Exception {
        for (String name : names) {
            send("/entries", Map.of("guest", "yes", "name", name)).andExpect(status().is3xxRedirection());
        }
    }

    /** The cells as they stand on the page, with some of them typed over. */
    private static Map<String, String> typed(Document page, Map<String, String> by) {
        Map<String, String> fields = new HashMap<>();
        page.select("table.points input").forEach(cell -> fields.put(cell.attr("name"), cell.val()));
        by.forEach((label, text) ->
                fields.put(page.select("input[aria-label='" + label + "']").attr("name"), text));
        return fields;
    }

    @Test
    void resultsBecomePointsAndPlaces() throws Exception {
        guests("Ash", "Birk");
        String own = club.lifter.name();
        send("/events/results", typed(page(), Map.of(own + ", Log", "8", "Ash, Log", "8", "Birk, Log", "~5")))
                .andExpect(status().is3xxRedirection());

        Document page = page();
        assertThat(page.select("table.points tbody tr").eachText()).hasSize(3);
        assertThat(page.select("tr:has(th:contains(Ash)) td b").text()).isEqualTo("2.5");
        assertThat(page.select("tr:has(th:contains(Birk)) td b").text()).isEqualTo("1");
        assertThat(page.select("tr:has(th:contains(Birk)) input.guessed")).hasSize(1);
    }

    @Test
    void whatIsNoResultStandsBesideItsCellAndNothingIsKept() throws Exception {
        guests("Ash");
        String html = send("/events/results", typed(page(), Map.of("Ash, Log", "many")))
                .andExpect(status().isUnprocessableContent())
                .andReturn()
                .getResponse()
                .getContentAsString();

        assertThat(Jsoup.parse(html).select("table.points .bad").text()).contains("such as 12");
        assertThat(Jsoup.parse(html).select("input[aria-label='Ash, Log']").val())
                .isEqualTo("many");
        assertThat(page().select("input[aria-label='Ash, Log']").val()).isEmpty();
    }

    /** A page that stood open for an hour changes only what was typed on it. */
    @Test
    void anOldPageTakesNothingBackThatAnotherPhoneSaid() throws Exception {
        guests("Ash", "Birk");
        Document old = page();
        send("/events/results", typed(page(), Map.of("Ash, Log", "9")));
        send("/events/results", typed(old, Map.of("Birk, Log", "4")));

        assertThat(page().select("input[aria-label='Ash, Log']").val()).isEqualTo("9");
        assertThat(page().select("input[aria-label='Birk, Log']").val()).isEqualTo("4");
        send("/events/results", typed(page(), Map.of("Ash, Log", "")));
        assertThat(page().select("input[aria-label='Ash, Log']").val()).isEmpty();
    }

    @Test
    void whereTheNextPointIsCheapestStandsFirst() throws Exception {
        guests("Ash", "Birk");
        send("/events", Map.of("name", "Sack", "measure", "DISTANCE")).andExpect(status().is3xxRedirection());
        String own = club.lifter.name();
        send(
                "/events/results",
                typed(
                        page(),
                        Map.of(
                                own + ", Log",
                                "~8",
                                "Ash, Log",
                                "~20",
                                "Birk, Log",
                                "~2",
                                own + ", Sack",
                                "~40",
                                "Ash, Sack",
                                "~41",
                                "Birk, Sack",
                                "~42")));

        List<String> lines = page().select(".cheapest li").eachText();
        assertThat(lines).hasSize(2);
        assertThat(lines.get(0)).startsWith("Sack").contains("1 m ahead");
        assertThat(lines.get(1)).startsWith("Log").contains("saved");
    }

    /** The announced load reaches the plans of the coach's own. */
    @Test
    void anAnnouncedLoadIsWhatPlansHangOn() throws Exception {
        String announce = page().select("form[action$=announce]").attr("action").replace(contest, "");
        send(announce, Map.of()).andExpect(flash().attribute("notice", containsString(club.lifter.name())));

        assertThat(book.standing(club.lifter).of(new Lift("log-press")).flatMap(LiftRecord::eventLoad))
                .contains(Mass.ofKg(100));
    }

    // ---- what more is announced

    private Document announced(String... fields) throws Exception {
        Map<String, String> all = new HashMap<>(Map.of("name", "Stones", "measure", "PIECES"));
        for (int i = 0; i < fields.length; i += 2) {
            all.put(fields[i], fields[i + 1]);
        }
        return Jsoup.parse(send("/events", all).andReturn().getResponse().getContentAsString());
    }

    /** As people write them. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "100, 120, 140",
                "100/120/140",
                "100 120 140 kg",
                "100 kg, 120 kg, 140 kg",
                "100,120,140",
                "100 – 120 – 140",
                " 100;120; 140 "
            })
    void aSeriesIsReadAsPeopleWriteIt(String typed) throws Exception {
        announced("series", typed);

        assertThat(page().select(".eventline").last().text()).contains("100 / 120 / 140 kg");
    }

    @Test
    void whatCannotBeAnnouncedStandsBesideItsFieldAndKeepsWhatWasTyped() throws Exception {
        Map<String, List<String>> wrong = Map.of(
                "series", List.of("heavy", "100, 0", "1 2 3 4 5 6 7 8 9 10 11 12 13", "100, 5000"),
                "course", List.of("far", "0", "20 kg", "5000"),
                "seconds", List.of("a minute", "0", "99999"),
                "minutes", List.of("0", "x"),
                "begins", List.of("noon"));
        for (Map.Entry<String, List<String>> field : wrong.entrySet()) {
            for (String typed : field.getValue()) {
                Document refused = announced(field.getKey(), typed);
                assertThat(refused.select("[id=event-" + field.getKey() + "-says]")
                                .text())
                        .as(field.getKey() + ": " + typed)
                        .isNotEmpty();
                assertThat(refused.select("form[action$=/events] [name=" + field.getKey() + "]")
                                .val())
                        .isEqualTo(typed);
            }
        }
        assertThat(announced("series", "100, 120", "measure", "REPS")
                        .select("[id=event-series-says]")
                        .text())
                .contains("Only most pieces");
        assertThat(page().select(".eventline")).hasSize(1);
    }

    @Test
    void anEventChangesUntilSomethingWasDoneInIt() throws Exception {
        String form = page().select(".eventline details form").attr("action").substring(contest.length());
        Map<String, String> to = new HashMap<>(Map.of(
                "lift",
                "log-press",
                "name",
                "Log",
                "measure",
                "REPS",
                "load",
                "105",
                "seconds",
                "75",
                "begins",
                "10:30"));
        send(form, to).andExpect(status().is3xxRedirection());
        assertThat(page().select(".eventline").text()).contains("105 kg, 75 s, most repetitions from 10:30");

        guests("Ash");
        send("/events/results", typed(page(), Map.of("Ash, Log", "9")));
        to.put("measure", "TIME");
        to.put("load", "120");
        Document refused = Jsoup.parse(send(form, to).andReturn().getResponse().getContentAsString());

        assertThat(refused.select(".eventline details[open] .bad").text()).contains("Something was done in it");
        assertThat(refused.select(".eventline details [name=load]").val()).isEqualTo("120");
        assertThat(page().select(".eventline").text()).contains("105 kg");
        assertThat(ledger.latestOfClub(club.lifter.clubId(), 5).stream()
                        .map(change -> change.subject().get(0)))
                .contains("event-changed");
    }

    /** The leader goes last in the second event, and rests from one to the other. */
    @Test
    void whoGoesWhenAndHowLongTheyRest() throws Exception {
        guests("Ash", "Birk");
        String form = page().select(".eventline details form").attr("action").substring(contest.length());
        send(
                form,
                Map.of(
                        "lift",
                        "log-press",
                        "name",
                        "Log",
                        "measure",
                        "REPS",
                        "load",
                        "100",
                        "begins",
                        "10:00",
                        "minutes",
                        "3"));
        announced("begins", "10:10", "minutes", "3");
        String lifter = club.lifter.name();
        send("/events/results", typed(page(), Map.of(lifter + ", Log", "9", "Ash, Log", "~8", "Birk, Log", "6")));

        List<String> runs = page().select(".runs > li").eachText();

        assertThat(runs.get(0)).startsWith("Log " + lifter + ", Ash, Birk").contains(lifter + " goes 1 of 3");
        assertThat(runs.get(1))
                .startsWith("Stones Birk, Ash, " + lifter)
                .contains("as expected so far")
                .contains(lifter + " goes 3 of 3")
                .contains("about 10:16")
                .contains("13 minutes after the event before");
        assertThat(page().select(".runs .watch")).hasSize(1);

        String earlier = page().select("form[action$=/earlier]").attr("action").substring(contest.length());
        send(earlier, Map.of());
        assertThat(page().select(".eventline > b").eachText()).containsExactly("Stones", "Log");
    }

    @Test
    void thePaceToTheNextPointIsCalled() throws Exception {
        guests("Ash");
        String form = page().select(".eventline details form").attr("action").substring(contest.length());
        send(form, Map.of("lift", "log-press", "name", "Log", "measure", "REPS", "load", "100", "seconds", "60"));
        send("/events/results", typed(page(), Map.of(club.lifter.name() + ", Log", "~10", "Ash, Log", "12")));

        assertThat(page().select(".cheapest").text())
                .contains("Level with that at an even pace: 3 by 15 s, 6 by 30 s, 9 by 45 s.");
    }

    /** Who stood as long is level. */
    @Test
    void theLastOneStandingWins() throws Exception {
        guests("Ash", "Birk");
        announced("name", "Last one standing", "measure", "ROUNDS");
        String lifter = club.lifter.name();
        send(
                "/events/results",
                typed(
                        page(),
                        Map.of(
                                lifter + ", Last one standing",
                                "7",
                                "Ash, Last one standing",
                                "5",
                                "Birk, Last one standing",
                                "5")));

        assertThat(page().select("table.points tbody tr td:last-child").eachText())
                .containsExactly("3", "1.5", "1.5");
    }

    @Test
    void anEventIsStruckAndBroughtBackWithWhatWasDone() throws Exception {
        guests("Ash");
        send("/events/results", typed(page(), Map.of("Ash, Log", "9")));
        String remove = page().select("form[action$=remove]").attr("action").replace(contest, "");
        send(remove, Map.of()).andExpect(status().is3xxRedirection());
        mvc.perform(get(contest + "/events").with(club.asCoach()))
                .andExpect(content().string(containsString("No event is announced")));
        send(remove.replace("remove", "restore"), Map.of());

        assertThat(page().select("input[aria-label='Ash, Log']").val()).isEqualTo("9");
    }

    /** What was done with its points; what is only expected is no result. Each is in the ledger with what stood there before. */
    @Test
    void resultsAreAFileAndInTheLedger() throws Exception {
        guests("Ash", "Birch");
        send("/events/results", typed(page(), Map.of("Ash, Log", "9", "Birch, Log", "~7")));
        send("/events/results", typed(page(), Map.of("Ash, Log", "10")));

        // who is ahead hangs on what Birch will do: no points yet, and no place
        assertThat(file()).anySatisfy(line -> assertThat(line).contains(",Ash,10,,"));
        assertThat(file()).anySatisfy(line -> assertThat(line).contains("Birch,,,"));
        assertThat(ledger.latestOfClub(club.lifter.clubId(), 1)).singleElement().satisfies(change -> {
            assertThat(change.subject()).containsExactly("result", "Games, Ash, Log");
            assertThat(change.before()).isEqualTo("9");
            assertThat(change.after()).isEqualTo("10");
        });
    }

    private List<String> file() throws Exception {
        return mvc.perform(get(contest + "/results.csv").with(club.asCoach()))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString()
                .lines()
                .toList();
    }

    /** Once all have gone, there are points and places. */
    @Test
    void whatIsSettledHasPointsAndPlaces() throws Exception {
        guests("Ash", "Birch");
        send("/events/results", typed(page(), Map.of("Ash, Log", "10", "Birch, Log", "7")));
        assertThat(file()).anySatisfy(line -> assertThat(line).contains(",1,Ash,10,"));
        assertThat(file()).anySatisfy(line -> assertThat(line).contains(",2,Birch,7,"));
    }

    /** What was done in training with the announced load stands with the entry, and what the estimate says. */
    @Test
    void aLifterStandsForAnEventAsTheyTrained() throws Exception {
        String entry = Jsoup.parse(mvc.perform(get(contest).with(club.asCoach()))
                        .andReturn()
                        .getResponse()
                        .getContentAsString())
                .select("table.entries a")
                .attr("href");
        assertThat(standing(entry)).contains("Log", "100 kg", "not yet");

        for (String[] set : new String[][] {{"97.5", "5"}, {"90", "9"}, {"100", "4"}}) {
            mvc.perform(post(club.url("/floor/free/sets"))
                            .with(club.asCoach())
                            .with(csrf())
                            .param("task", "")
                            .param("lift", "log-press")
                            .param("load", set[0])
                            .param("reps", set[1])
                            .param("effort", "9"))
                    .andExpect(status().is3xxRedirection());
        }
        mvc.perform(post(club.url("/floor/free/finish")).with(club.asCoach()).with(csrf()));
        assertThat(standing(entry)).contains("5 rep.", "too few to say", "four of five");
    }

    private String standing(String entry) throws Exception {
        return Jsoup.parse(mvc.perform(get(entry).with(club.asCoach()))
                        .andReturn()
                        .getResponse()
                        .getContentAsString())
                .select("section:has(#standing-title) tbody")
                .text();
    }

    /** Two phones that say otherwise of one result: the second is told, and decides. */
    @Test
    void whatSomebodyElseSaidMeanwhileIsSaidBesideIt() throws Exception {
        guests("Ash");
        Document before = page();
        send("/events/results", typed(before, Map.of("Ash, Log", "9")));

        String again = send("/events/results", typed(before, Map.of("Ash, Log", "8")))
                .andExpect(status().isUnprocessableContent())
                .andReturn()
                .getResponse()
                .getContentAsString();
        Document told = Jsoup.parse(again);
        assertThat(told.select("table.points .bad").text()).contains("said 9 meanwhile");
        assertThat(told.select("input[aria-label='Ash, Log']").val()).isEqualTo("8");

        send("/events/results", typed(told, Map.of())).andExpect(status().is3xxRedirection());
        assertThat(page().select("input[aria-label='Ash, Log']").val()).isEqualTo("8");
    }

    /** Of events there are no attempts, no warm-up room and no day of lifts. */
    @Test
    void pagesOfLiftsAreNotThere() throws Exception {
        mvc.perform(get(contest + "/day").with(club.asCoach())).andExpect(status().isNotFound());
        mvc.perform(get(contest + "/warm-up").with(club.asCoach())).andExpect(status().isNotFound());
        mvc.perform(get(contest).with(club.asCoach()))
                .andExpect(status().isOk())
                .andExpect(content().string(shows(".links", "Events")));
        String entry = Jsoup.parse(mvc.perform(get(contest).with(club.asCoach()))
                        .andReturn()
                        .getResponse()
                        .getContentAsString())
                .select("table.entries a")
                .attr("href");
        mvc.perform(get(entry).with(club.asCoach()))
                .andExpect(status().isOk())
                .andExpect(content().string(shows(".toward", "Toward the day")));
    }
}
