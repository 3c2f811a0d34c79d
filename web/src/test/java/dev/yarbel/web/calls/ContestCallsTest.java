package dev.yarbel.web.calls;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.flash;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Phase;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.book.Ledger;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.roster.Roster;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** A contest whose day becomes another, as a call. */
@YarbelTest
class ContestCallsTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Slips slips;

    @Autowired
    private Roster roster;

    @Autowired
    private Ledger ledger;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;
    /** The last day of the block, where the contest is. */
    private LocalDate day;

    private String contest;

    @BeforeEach
    void enter() throws Exception {
        club = clubs.club();
        day = club.plan().block().end();
        contest = send("/contests", "name", "Test Open", "on", day.toString(), "rules", "ipf-classic")
                .andExpect(status().is3xxRedirection())
                .andReturn()
                .getResponse()
                .getRedirectedUrl();
        send(contest + "/entries", "lifter", String.valueOf(club.lifter.id())).andExpect(status().is3xxRedirection());
        send(club.url("/plan/change"), "stamp", club.plan().stamp(), "kind", "CONTEST_SHAPE", "contest", day.toString())
                .andExpect(status().is3xxRedirection());
        assertThat(block().contest()).contains(day);
    }

    private ResultActions send(String path, String... fields) throws Exception {
        MockHttpServletRequestBuilder request = post(path).with(club.asCoach()).with(csrf());
        for (int i = 0; i < fields.length; i += 2) {
            request.param(fields[i], fields[i + 1]);
        }
        return mvc.perform(request);
    }

    private void moved(String on, String... more) throws Exception {
        String[] fields = new String[6 + more.length];
        System.arraycopy(new String[] {"name", "Test Open", "rules", "ipf-classic", "on", on}, 0, fields, 0, 6);
        System.arraycopy(more, 0, fields, 6, more.length);
        send(contest, fields).andExpect(status().is3xxRedirection());
        heard();
    }

    private void heard() {
        await().untilAsserted(() -> assertThat(
                        jdbc.sql("select count(*) from event_publication where completion_date is null")
                                .query(Integer.class)
                                .single())
                .isZero());
    }

    private Block block() {
        return club.plan().block();
    }

    private List<SlipLine> queue() {
        return slips.queue(club.coach, roster.choices(club.coach));
    }

    private Document page(long id) throws Exception {
        return Jsoup.parse(mvc.perform(get("/calls/" + id).with(club.asCoach()))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    private ResultActions answer(long id, String how, String... fields) throws Exception {
        String[] all = new String[fields.length + 2];
        all[0] = "shown";
        all[1] = page(id).select("[name=shown]").get(0).val();
        System.arraycopy(fields, 0, all, 2, fields.length);
        return send("/calls/" + id + "/" + how, all);
    }

    @Test
    void movedLaterItIsACallWithBothPlansSideBySideTakenAndTakenBackInOneStep() throws Exception {
        Block before = block();
        moved(day.plusWeeks(3).toString());

        assertThat(queue()).extracting(SlipLine::rule).containsExactly("contest-moved");
        long id = queue().get(0).id();
        Document page = page(id);
        assertThat(page.select(".slip .facts").text()).contains("23 Mar 2026", "13 Apr 2026");
        assertThat(page.select("table.bothplans tbody tr")).hasSize(5);
        assertThat(page.select("table.bothplans tbody tr.moved").text())
                .contains("hold")
                .contains("contest");
        assertThat(block()).isEqualTo(before);

        answer(id, "take").andExpect(status().is3xxRedirection());
        assertThat(block().contest()).contains(day.plusWeeks(3));
        assertThat(block().weeks()).isEqualTo(before.weeks() + 3);
        assertThat(block().shape().get(2).phase()).isEqualTo(Phase.HOLD);
        assertThat(ledger.latest(club.lifter, 1).get(0).kind()).isEqualTo(ChangeKind.CALL_TAKEN);
        assertThat(ledger.latest(club.lifter, 1).get(0).before()).isEqualTo("23 Mar 2026");

        send("/calls/" + id + "/take-back").andExpect(status().is3xxRedirection());
        assertThat(block()).isEqualTo(before);
        assertThat(queue()).hasSize(1);
    }

    /** Twice before anybody answered: one call, from the day the plan leads to. Back to that day: none. */
    @Test
    void movedTwiceItIsOneCallAndMovedBackNone() throws Exception {
        moved(day.plusWeeks(3).toString());
        moved(day.plusWeeks(5).toString());
        assertThat(queue()).hasSize(1);
        assertThat(page(queue().get(0).id()).select(".slip .facts").text()).contains("23 Mar 2026", "27 Apr 2026");

        moved(day.toString());
        assertThat(queue()).isEmpty();
    }

    @Test
    void movedTwiceAndTakenEachTimeThePlanFollows() throws Exception {
        moved(day.plusWeeks(4).toString());
        answer(queue().get(0).id(), "take");
        moved(day.plusWeeks(2).toString());
        answer(queue().get(0).id(), "take");
        assertThat(block().contest()).contains(day.plusWeeks(2));
        assertThat(block().end()).isEqualTo(day.plusWeeks(2));
    }

    @Test
    void withoutADayThePlanIsParkedAndWithOneAgainItLeadsThere() throws Exception {
        moved("");
        long parked = queue().get(0).id();
        assertThat(page(parked).select(".slip .facts").text()).contains("no day yet");
        answer(parked, "take");
        assertThat(block().contest()).isEmpty();
        assertThat(block().shape().subList(2, block().weeks())).allMatch(week -> week.phase() == Phase.HOLD);

        moved(day.plusWeeks(9).toString());
        long set = queue().get(0).id();
        assertThat(page(set).select(".slip").text()).contains("has a day now");
        answer(set, "take");
        assertThat(block().contest()).contains(day.plusWeeks(9));
        assertThat(block().end()).isAfterOrEqualTo(day.plusWeeks(9));
        assertThat(block().shape()).anyMatch(week -> week.phase() == Phase.PEAK);
    }

    @Test
    void cancelledItLeadsToTheNextOneTheLifterIsEnteredIn() throws Exception {
        String next = send(
                        "/contests", "name", "Next Cup", "on", day.plusWeeks(6).toString(), "rules", "ipf-classic")
                .andReturn()
                .getResponse()
                .getRedirectedUrl();
        send(next + "/entries", "lifter", String.valueOf(club.lifter.id()));
        moved(day.toString(), "cancelled", "true");
        long id = queue().get(0).id();
        assertThat(page(id).select(".slip").text()).contains("Next Cup");
        answer(id, "take");
        assertThat(block().contest()).contains(day.plusWeeks(6));
    }

    /** Whoever trains through it is not asked to lead a plan there. */
    @Test
    void aContestThatIsTrainedThroughIsNoCall() throws Exception {
        moved("");
        answer(queue().get(0).id(), "take");
        long entry = jdbc.sql("select max(id) from contest_entry where lifter_id = ?")
                .param(club.lifter.id())
                .query(Long.class)
                .single();
        send(contest + "/entries/" + entry, "priority", "THROUGH").andExpect(status().is3xxRedirection());
        moved(day.plusWeeks(9).toString());
        assertThat(queue()).isEmpty();
    }

    /** Coaches differ in what they do with the weeks between. */
    @Test
    void aCoachTakesAnotherWay() throws Exception {
        Block before = block();
        moved(day.plusWeeks(3).toString());
        long id = queue().get(0).id();
        answer(id, "change", "own", "NO_WAY").andExpect(status().isUnprocessableContent());
        answer(id, "change", "own", "DAY_ONLY").andExpect(status().is3xxRedirection());
        assertThat(block()).isEqualTo(before.toward(Optional.of(day.plusWeeks(3))));
    }

    @Test
    void whatIsLeftIsAskedAgainOnlyWhenItMovesAgain() throws Exception {
        moved(day.plusWeeks(3).toString());
        answer(queue().get(0).id(), "leave", "reason", "no").andExpect(flash().attributeExists("notice"));
        assertThat(queue()).isEmpty();
        send(
                contest,
                "name",
                "Test Open renamed",
                "rules",
                "ipf-classic",
                "on",
                day.plusWeeks(3).toString());
        heard();
        assertThat(queue()).isEmpty();
    }

    @Test
    void whoIsWithdrawnIsACallAndWhoseContestIsStruckToo() throws Exception {
        long entry = jdbc.sql("select max(id) from contest_entry where lifter_id = ?")
                .param(club.lifter.id())
                .query(Long.class)
                .single();
        send(contest + "/entries/" + entry + "/remove").andExpect(status().is3xxRedirection());
        heard();
        assertThat(page(queue().get(0).id()).select(".slip").text()).contains("the lifter is in it no more");
        send(contest + "/entries/" + entry + "/restore").andExpect(status().is3xxRedirection());
        heard();
        assertThat(queue()).isEmpty();
        send(contest + "/remove").andExpect(status().is3xxRedirection());
        heard();
        assertThat(queue()).hasSize(1);
    }

    /** Who leads a plan elsewhere on their own has decided. */
    @Test
    void thePlanLedElsewhereAtTheDeskLeavesNothingToDecide() throws Exception {
        moved(day.plusWeeks(3).toString());
        long id = queue().get(0).id();
        send(
                club.url("/plan/change"),
                "stamp",
                club.plan().stamp(),
                "kind",
                "BLOCK_SET",
                "name",
                "Other",
                "contest",
                day.plusWeeks(3).toString());
        assertThat(page(id).select("[name=shown]").val()).isEmpty();
    }
}
