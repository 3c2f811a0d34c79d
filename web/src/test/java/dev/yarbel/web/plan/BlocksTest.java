package dev.yarbel.web.plan;

import static dev.yarbel.web.OnPage.shows;
import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.block.Block;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.YarbelTest;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.awaitility.Awaitility;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** All blocks of a lifter: which is trained when, what is told before two meet, what becomes of one that is taken away. */
@YarbelTest
class BlocksTest extends DeskTesting {

    private static final LocalDate TODAY = TestSettings.TODAY;

    private Document list() throws Exception {
        return Jsoup.parse(mvc.perform(get(club.url("/plan/blocks")).with(club.asCoach()))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    private List<String> states() throws Exception {
        return list().select(".blocks tbody tr").stream()
                .map(row -> row.selectFirst("th > :first-child").text() + ": "
                        + row.selectFirst("td b").text())
                .toList();
    }

    private long begin(String name, LocalDate start, int weeks) {
        return blocks.begin(club.coach, club.lifter, new Block(start, weeks, List.of()).named(name), "");
    }

    private void log(String path, String... fields) throws Exception {
        var request = post(club.url("/floor" + path)).with(club.asLifter()).with(csrf());
        for (int i = 0; i < fields.length; i += 2) {
            request.param(fields[i], fields[i + 1]);
        }
        mvc.perform(request).andExpect(status().is3xxRedirection());
    }

    private void squat(long planned, String task) throws Exception {
        squat(planned, task, "180", "8");
    }

    private void squat(long planned, String task, String load, String effort) throws Exception {
        String[] set = {"planned", "" + planned, "week", "1", "day", "0", "task", task};
        List<String> fields = new ArrayList<>(List.of(set));
        fields.addAll(List.of("load", load, "reps", "1", "effort", effort, "meant", load + " 1 " + effort));
        log("/sets", fields.toArray(String[]::new));
    }

    @Test
    void eachBlockSaysHowItStands() throws Exception {
        begin("Long ago", TODAY.minusWeeks(20), 4);
        begin("Given up", TODAY.minusWeeks(12), 12);
        begin("Next", TODAY.plusWeeks(1), 4);
        assertThat(states())
                .containsExactly("Next: to come", "Block: under way", "Given up: set aside", "Long ago: past");
        assertThat(list().select(".used .watch").text()).contains("when another takes its place");
        assertThat(list().select(".used td").text()).contains("week 2 of 3").contains("0 of 2, 1 missed");
    }

    @Test
    void aBlockThatWouldMeetAnotherIsAskedAboutBeforeItIsKept() throws Exception {
        String today = TODAY.toString();
        String[] form = {"name", "Another", "start", today, "weeks", "4", "template", ""};
        send("/new/template", form)
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(shows("#template-start-says", "Block runs until")));
        assertThat(blocks.of(club.lifter)).hasSize(1);
        List<String> meant = new ArrayList<>(List.of(form));
        meant.addAll(List.of("confirmed", today));
        send("/new/template", meant.toArray(String[]::new)).andExpect(status().is3xxRedirection());
        assertThat(states()).containsExactly("Another: under way", "Block: set aside");
    }

    @Test
    void whatWasConfirmedIsNoWordAboutAnotherDay() throws Exception {
        send(
                        "/new/template",
                        "name",
                        "Another",
                        "start",
                        TODAY.toString(),
                        "weeks",
                        "4",
                        "template",
                        "",
                        "confirmed",
                        TODAY.plusDays(1).toString())
                .andExpect(status().isUnprocessableContent());
    }

    /** The club's block begins a week before today and has three weeks. */
    @ParameterizedTest
    @CsvSource({"-21, 2, ", "-21, 3, cut short", "13, 1, replaced", "14, 1, ", "0, 1, replaced"})
    void blocksMeetWhereTheyShareADay(int from, int weeks, String how) {
        assertThat(blocks.meetings(club.lifter, TODAY.plusDays(from), weeks).stream()
                        .map(meeting -> meeting.replaced() ? "replaced" : "cut short"))
                .isEqualTo(how == null ? List.of() : List.of(how));
    }

    @Test
    void ofAShiftThatMeetsAnotherBlockTheCoachIsToldFirst() throws Exception {
        begin("Next", TODAY.plusWeeks(3), 4);
        String there = TODAY.plusWeeks(2).toString();
        change("BLOCK_SHIFT", "start", there)
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(shows("#change-start-says", "Next begins on")));
        change("BLOCK_SHIFT", "start", there, "confirmed", there).andExpect(status().is3xxRedirection());
    }

    @Test
    void weekdaysStayUnlessTheyAreToMoveAlong() throws Exception {
        DayOfWeek before = weekday();
        change("BLOCK_SHIFT", "start", TODAY.minusDays(5).toString());
        assertThat(weekday()).isEqualTo(before);
        change("BLOCK_SHIFT", "start", TODAY.minusDays(3).toString(), "weekdays", "true");
        assertThat(weekday()).isNotEqualTo(before);
    }

    private DayOfWeek weekday() {
        return club.plan().block().date(0, 0).getDayOfWeek();
    }

    @Test
    void aBlockIsTakenAwayAndBroughtBackWithAllThatWasInIt() throws Exception {
        lifted(0);
        Block before = club.plan().block();
        long number = club.plan().blockId();
        send("/blocks/remove", "block", "" + number).andExpect(status().is3xxRedirection());
        assertThat(blocks.current(club.lifter, TestSettings.ZONE)).isEmpty();
        assertThat(states()).containsExactly("Block: deleted");
        // what was lifted is in the log whatever becomes of the block
        assertThat(jdbc.sql("select count(*) from logged_set l join training_session s on s.id = l.session_id"
                                + " where s.lifter_id = ?")
                        .param(club.lifter.id())
                        .query(Integer.class)
                        .single())
                .isOne();
        assertThat(ledger.latest(club.lifter, 1).get(0).subject()).startsWith("removed", "Block");
        send("/blocks/" + number + "/bring-back").andExpect(status().is3xxRedirection());
        assertThat(club.plan().block()).isEqualTo(before);
        assertThat(club.plan().isFinished(0, 0)).isTrue();
        // twice is once too often
        send("/blocks/" + number + "/bring-back").andExpect(status().isNotFound());
    }

    /** Decisions that wait for a lifter who has no block any more can still be looked at and left. */
    @Test
    void theQueueOfCallsOutlivesTheBlockThatRaisedThem() throws Exception {
        squat(club.plan().planned(0, 1).day(), "A.1", "220", "10");
        log("/finish", "day", "0", "week", "1", "left", "99");
        Awaitility.await().until(() -> slips() > 0);
        send("/blocks/remove", "block", "" + club.plan().blockId());
        assertThat(states()).containsExactly("Block: deleted");
        String queue = mvc.perform(get("/calls").with(club.asCoach()))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertThat(queue).contains(club.lifter.name());
        long slip = jdbc.sql("select max(id) from slip where lifter_id = ?")
                .param(club.lifter.id())
                .query(Long.class)
                .single();
        mvc.perform(post("/calls/" + slip + "/leave").with(club.asCoach()).with(csrf()))
                .andExpect(status().is3xxRedirection());
        assertThat(slips()).isZero();
    }

    private int slips() {
        return jdbc.sql("select count(*) from slip where lifter_id = ? and status = 'OPEN'")
                .param(club.lifter.id())
                .query(Integer.class)
                .single();
    }

    @Test
    void aBlockIsNotTakenAwayFromUnderALifterWhoTrainsByIt() throws Exception {
        squat(club.plan().planned(0, 1).day(), "A.1");
        send("/blocks/remove", "block", "" + club.plan().blockId()).andExpect(status().is3xxRedirection());
        assertThat(states()).containsExactly("Block: under way");
        log("/finish", "day", "0", "week", "1", "left", "99");
        send("/blocks/remove", "block", "" + club.plan().blockId());
        assertThat(states()).containsExactly("Block: deleted");
    }

    @Test
    void aSessionThatWasBegunStaysOnTheFloorWhenTheCoachBeginsAnotherBlock() throws Exception {
        long planned = club.plan().planned(0, 1).day();
        squat(planned, "A.1");
        begin("Another", TODAY, 4);
        mvc.perform(get(club.url("/floor")).with(club.asLifter()))
                .andExpect(content().string(shows("h1, h2", "Squat day")));
        // a set that names its day is logged there, and so is one that does not
        squat(planned, "B.1");
        log("/sets", "week", "1", "day", "0", "task", "B.2", "load", "150", "reps", "5", "effort", "8");
        assertThat(blocks.holding(club.lifter, TestSettings.ZONE, planned)
                        .flatMap(plan -> plan.session(0, 1))
                        .map(session -> session.sets().size()))
                .isEqualTo(Optional.of(3));
    }

    /** A phone without a line may send what it logged when the block has long been replaced. */
    @Test
    void aSetThatComesLateIsLoggedOnTheDayItNamesInABlockThatWasReplaced() throws Exception {
        long planned = club.plan().planned(0, 1).day();
        begin("Another", TODAY, 4);
        squat(planned, "A.1");
        assertThat(blocks.holding(club.lifter, TestSettings.ZONE, planned).flatMap(plan -> plan.session(0, 1)))
                .isPresent();
    }
}
