package dev.yarbel.web.floor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.book.Sessions;
import java.util.List;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** A lifter's home: today, the week, own numbers, the coach's words, and the way to somebody when it hurts. */
@YarbelTest
class HomeTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Sessions sessions;

    @Autowired
    private Blocks blocks;

    private TestClub club;

    @BeforeEach
    void makeClub() {
        club = clubs.club();
    }

    private Document home() throws Exception {
        return Jsoup.parse(mvc.perform(get(club.url("/home")).with(club.asLifter()))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    private void lifted() {
        sessions.addHistory(
                club.lifter,
                Optional.of(club.plan().planned(0, 1)),
                TestSettings.TODAY,
                TestSettings.NOW,
                List.of(new DoneSet(
                        TaskKey.work("A", 1), new LiftedSet(Lift.SQUAT, Mass.ofKg(187), 1, Effort.parse("8")))),
                false);
    }

    @Test
    void todaysSessionIsOneTapAwayAndTheWeekIsAList() throws Exception {
        Document home = home();
        assertThat(home.select(".today h2").text()).isEqualTo("Today");
        assertThat(home.select(".today a.act").attr("href")).isEqualTo(club.url("/floor?day=0&week=1"));
        assertThat(home.select("#week .weeklist li.current a").attr("href")).isEqualTo(club.url("/floor?day=0&week=1"));
        assertThat(home.select("#week-3 .weeklist li")).hasSize(1);
        assertThat(home.select("#own-title ~ .weeklist").first().text()).contains("Squat", "200 kg");
    }

    @Test
    void whoeverOpensYarbelToTrainIsAtTheSessionAndAfterItAtHome() throws Exception {
        mvc.perform(get(club.url("/home?now=true")).with(club.asLifter())).andExpect(redirectedUrl(club.url("/floor")));
        lifted();
        mvc.perform(get(club.url("/home?now=true")).with(club.asLifter())).andExpect(status().isOk());
        assertThat(home().select("#week .weeklist .state").first().text()).isNotEmpty();
    }

    @Test
    void whatTheCoachSaidOfASessionStandsAtHome() throws Exception {
        lifted();
        sessions.noteOn(club.lifter, club.plan().planned(0, 1), Optional.of("Best session yet."));
        assertThat(home().select(".coachsaid q").eachText()).containsExactly("Best session yet.");
    }

    @Test
    void somethingThatHurtsIsNotedFromHome() throws Exception {
        Document home = home();
        // where and how much comes first, what it means after it
        assertThat(home.select("#hurts form")
                        .first()
                        .siblingElements()
                        .select(".stop")
                        .text())
                .contains("Pain means");
        mvc.perform(post(club.url("/profile/aches"))
                        .with(club.asLifter())
                        .with(csrf())
                        .param("place", "KNEE")
                        .param("weight", "4")
                        .param("since", home.select("#hurts input[name=since]").val()))
                .andExpect(status().is3xxRedirection());
        assertThat(home().select("#hurts .watch").text()).containsIgnoringCase("knee");
    }

    @Test
    void aBlockThatWasDrawnUpOrGivenIsToldOfBeforeItBegins() throws Exception {
        assertThat(home().text()).doesNotContain("Next block");
        blocks.begin(
                club.coach,
                club.lifter,
                new Block(TestSettings.TODAY.plusWeeks(8), 6, List.of()).named("Flood tide"),
                "");
        assertThat(home().text()).contains("Next block Flood tide from", "6 weeks");
    }

    @Test
    void withoutABlockHomeSaysWhatToDo() throws Exception {
        blocks.remove(club.coach, club.plan());
        Document home = home();
        assertThat(home.select(".today")).isEmpty();
        assertThat(home.text()).contains("No block is under way");
        assertThat(home.select("a[href$='/floor/free']")).isNotEmpty();
    }
}
