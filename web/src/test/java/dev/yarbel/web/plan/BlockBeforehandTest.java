package dev.yarbel.web.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.block.Blocks;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** A block judged and rehearsed before anybody lifts it. */
@YarbelTest
class BlockBeforehandTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Blocks blocks;

    private TestClub club;

    @BeforeEach
    void newClub() {
        club = clubs.club();
    }

    /** A block on one day a week, far enough ahead to meet no other. */
    private long block(String name, int weeksAhead, Lift lift, String... doses) {
        List<Optional<Dose>> weeks = new ArrayList<>();
        for (String dose : doses) {
            weeks.add(Optional.of(Dose.parse(dose)));
        }
        return blocks.begin(
                club.coach,
                club.lifter,
                new Block(
                                TestSettings.TODAY.plusWeeks(weeksAhead).plusDays(6),
                                weeks.size(),
                                List.of(new TrainingDay("Day", 0, List.of(new Slot("A", lift, weeks)))))
                        .named(name),
                "");
    }

    private Document page(String path) throws Exception {
        return Jsoup.parse(mvc.perform(get(club.url("/plan" + path)).with(club.asCoach()))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    @Test
    void aRehearsalShowsWhereItIsDoubtfulAndWhatItMayComeTo() throws Exception {
        long climbs = block("Climb", 1, Lift.SQUAT, "3x5 75%", "3x5 82.5%", "3x5 90%", "3x5 95%");
        Document page = page("/rehearsal?block=" + climbs);
        assertThat(page.select("svg.chances rect.chance")).hasSize(4);
        assertThat(page.select("svg.chances rect.over")).isNotEmpty();
        assertThat(page.select("svg.fan .area")).hasSize(1);
        String last = page.select("section[aria-labelledby=doubt-title] tbody tr")
                .last()
                .text();
        assertThat(last).contains("Week 4").contains("Squat").contains("95").contains("%");
        assertThat(page.select("section[aria-labelledby=weeks-title] p").first().text())
                .contains("of 12 sets may be expected to be missed")
                .contains("With calls taken");
        // each doubtful part leads to its cell
        assertThat(page.select("section[aria-labelledby=doubt-title] a").last().attr("href"))
                .endsWith("day=0#week-4");
    }

    /** The quiet band over the sheet: only where a miss is to be reckoned with. */
    @Test
    void theOddsOfDoubtfulCellsAreAskedForByTheSheet() throws Exception {
        long climbs = block("Climb", 1, Lift.SQUAT, "3x5 70%", "3x5 75%", "3x5 90%", "3x5 95%");
        Document sheet = page("?block=" + climbs);
        String from = sheet.select("#grid").attr("data-odds");
        assertThat(from).isEqualTo(club.url("/plan/rehearsal/odds?block=" + climbs));
        String odds = mvc.perform(get(from).with(club.asCoach()))
                .andReturn()
                .getResponse()
                .getContentAsString();
        String slot = sheet.select("#grid tbody tr").attr("data-slot");
        assertThat(odds).contains(slot + "-3").contains("left after the last").doesNotContain(slot + "-0");
    }

    @Test
    void whatNothingIsKnownOfIsSaidAndNothingMadeUp() throws Exception {
        long rows = block("Rows", 1, new Lift("barbell-row"), "3x8 @8", "3x8 @8");
        Document page = page("/rehearsal?block=" + rows);
        assertThat(page.select(".note").text()).contains("Too little is known").contains("row");
        assertThat(page.select(".empty").text()).contains("Nothing of this block");
        assertThat(page.select("svg.chances")).isEmpty();
    }

    @Test
    void aBlockIsJudgedByTheCoachsChecklist() throws Exception {
        long flat = block("Flat", 1, Lift.SQUAT, "3x5 75%", "3x5 75%", "3x5 75%", "3x5 75%");
        Document page = page("/checklist?block=" + flat);
        assertThat(page.select(".checklist tbody tr")).hasSize(11);
        assertThat(page.select(".checklist").text())
                .contains("60 of 60 repetitions")
                .contains("Squat is asked no more of at the end")
                .contains("The day has a say in 0 of 12 sets");
        assertThat(page.select(".answer.weak")).isNotEmpty();
    }

    @Test
    void twoBlocksLieSideBySide() throws Exception {
        long flat = block("Flat", 1, Lift.SQUAT, "3x5 75%", "3x5 75%", "3x5 75%", "3x5 75%");
        long climbs = block("Climb", 6, Lift.SQUAT, "3x5 75%", "3x5 80%", "3x5 82.5%", "3x3 87.5%");
        Document page = page("/checklist?block=" + flat + "&with=" + climbs);
        assertThat(page.select(".checklist thead th").eachText()).containsExactly("Question", "Flat", "Climb");
        assertThat(page.select(".checklist tr.differs th").eachText())
                .anySatisfy(question -> assertThat(question).startsWith("Overload"));
        assertThat(page.select("option[selected]").eachText().get(0)).startsWith("Climb");
        // another lifter's block is nobody's to lay beside
        mvc.perform(get(club.url("/plan/checklist?block=" + flat + "&with=999999"))
                        .with(club.asCoach()))
                .andExpect(status().isNotFound());
        mvc.perform(get(club.url("/plan/checklist?block=" + flat + "&with=drivel"))
                        .with(club.asCoach()))
                .andExpect(status().isNotFound());
    }

    /** What was lifted counts as it was lifted, and can be laid beside what was asked. */
    @Test
    void doneLiesBesideWhatWasAsked() throws Exception {
        long grown = clubs.grow(club, 1, 3, 2).id();
        Document page = Jsoup.parse(mvc.perform(
                        get("/lifters/" + grown + "/plan/checklist?with=asked").with(club.asCoach()))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
        assertThat(page.select(".checklist thead th").eachText()).hasSize(3).endsWith("As it was asked");
        assertThat(page.select("option[value=asked][selected]")).hasSize(1);
    }
}
