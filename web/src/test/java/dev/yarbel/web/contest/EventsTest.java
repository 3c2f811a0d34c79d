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
        assertThat(lines.get(0)).startsWith("Sack").contains("ahead by 1 m");
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

        List<String> lines = mvc.perform(get(contest + "/results.csv").with(club.asCoach()))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString()
                .lines()
                .toList();
        assertThat(lines).anySatisfy(line -> assertThat(line).contains("Ash,10,3"));
        assertThat(lines).anySatisfy(line -> assertThat(line).contains("Birch,,,"));
        assertThat(ledger.latestOfClub(club.lifter.clubId(), 1)).singleElement().satisfies(change -> {
            assertThat(change.subject()).containsExactly("result", "Games, Ash, Log");
            assertThat(change.before()).isEqualTo("9");
            assertThat(change.after()).isEqualTo("10");
        });
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
