package dev.yarbel.web.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.block.Templates;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
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

    @Autowired
    private Templates templates;

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

    /** The same with a week, from 0, as a deload. */
    private long deloaded(String name, int week, String... doses) {
        List<Optional<Dose>> weeks =
                Stream.of(doses).map(dose -> Optional.of(Dose.parse(dose))).toList();
        List<BlockWeek> shape = new ArrayList<>(Collections.nCopies(doses.length, BlockWeek.PLAIN));
        shape.set(week, BlockWeek.PLAIN.asDeload());
        List<TrainingDay> days = List.of(new TrainingDay("Day", 0, List.of(new Slot("A", Lift.SQUAT, weeks))));
        return blocks.begin(
                club.coach,
                club.lifter,
                new Block(TestSettings.TODAY.plusDays(13), days, shape, Optional.empty()).named(name),
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
        // three sets for the knees each week; those of the first are not hard and count half
        assertThat(page.select("table.bearing tr:contains(Knee) td").eachText())
                .containsExactly("0", "1.5", "3", "3", "3");
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
        // the fan of the squat over its lane of the strip
        assertThat(odds).contains("Squat: after the block between").contains("\"area\":\"M");
        // what is being typed is rehearsed as if it were kept; what cannot be read, as it is kept
        String typed = mvc.perform(get(from)
                        .param("dose." + slot + ".0", "3x5 95%")
                        .param("dose." + slot + ".3", "3x5 70%")
                        .with(club.asCoach()))
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertThat(typed).contains(slot + "-0").doesNotContain(slot + "-3");
        assertThat(mvc.perform(get(from)
                                .param("dose." + slot + ".0", "3x5 heavy")
                                .param("dose." + slot + ".77", "3x5 95%")
                                .param("dose.99999.0", "3x5 95%")
                                .with(club.asCoach()))
                        .andReturn()
                        .getResponse()
                        .getContentAsString())
                .isEqualTo(odds);
        assertThat(page("?block=" + climbs).select("#grid textarea").first().text())
                .isEqualTo("3x5 70%");
    }

    /** All that the page offers to hold a plan beside can be, on the rehearsal and on the checklist; nothing of it is kept. */
    @Test
    void everyOtherPlanThatIsOfferedCanBeHeldBeside() throws Exception {
        long climbs = deloaded(
                "Climb",
                3,
                "3x5 75%",
                "3x5 80%",
                "3x5 82.5%",
                "2x3 65%",
                "3x5 82.5%",
                "3x4 85%",
                "3x3 87.5%",
                "3x2 90%");
        block("Flat", 12, Lift.SQUAT, "3x5 75%", "3x5 75%", "3x5 75%");
        LifterBlock plan =
                blocks.open(club.lifter, club.coach.zone(), Optional.of(climbs)).orElseThrow();
        templates.keep(
                club.coach,
                "From the shelf",
                plan.block().withSlots(slot -> slot.with(0, Optional.of(Dose.parse("5x5 70%")))));
        List<String> offered =
                page("/rehearsal?block=" + climbs).select("select[name=with] option").eachAttr("value").stream()
                        .filter(value -> !value.isEmpty())
                        .toList();
        assertThat(offered)
                .contains("without-deloads", "deload-5", "contest-8", "contest-12", "school.squat.phases")
                .anyMatch(value -> value.startsWith("template-"))
                .anyMatch(value -> value.matches("[0-9]+"));
        for (String with : offered) {
            Document page = page("/rehearsal?block=" + climbs + "&with=" + with);
            assertThat(page.select(".besides thead th").size()).as(with).isEqualTo(2);
            assertThat(page.select(".besides tr.differs").size()).as(with).isPositive();
            assertThat(page.select(".besides tbody").text()).as(with).contains("Squat: what its last day may find");
            assertThat(page.select("section[aria-labelledby=beside-title] li").eachText())
                    .as(with)
                    .hasSize(2);
            assertThat(page("/checklist?block=" + climbs + "&with=" + with).select(".checklist thead th"))
                    .as(with)
                    .hasSize(3);
        }
        assertThat(page("?block=" + climbs).select("#grid tbody tr")).hasSize(1);
    }

    /** Four hard sets of squats weigh six, as wherever hard sets are counted. */
    @Test
    void hardSetsAreCountedAsEverywhere() throws Exception {
        long hard = block("Hard", 1, Lift.SQUAT, "4x3 @9", "4x3 @9");
        Document page = page("/rehearsal?block=" + hard + "&with=contest-4");
        assertThat(page.select(".besides tr:contains(Hard sets a week) td")
                        .first()
                        .text())
                .isEqualTo("6");
        assertThat(page("?block=" + hard).text()).contains("Hard sets 12");
    }

    /** What can be read but not be made is said; what is no plan at all is not found. */
    @Test
    void whatCannotBeMadeOfABlockIsSaid() throws Exception {
        long climbs = block("Climb", 1, Lift.SQUAT, "3x5 75%", "3x5 80%", "3x5 82.5%");
        for (String page : List.of("/rehearsal", "/checklist")) {
            for (String with : List.of("without-deloads", "deload-40", "school.squat.phases", "contest-60")) {
                assertThat(page(page + "?block=" + climbs + "&with=" + with)
                                .select("[role=alert]")
                                .text())
                        .as(with)
                        .contains("cannot be made of this block");
            }
            for (String with :
                    List.of("drivel", "school.squat.drivel", "school.drivel.phases", "template-999999", "contest-0")) {
                mvc.perform(get(club.url("/plan" + page + "?block=" + climbs + "&with=" + with))
                                .with(club.asCoach()))
                        .andExpect(status().isNotFound());
            }
        }
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
