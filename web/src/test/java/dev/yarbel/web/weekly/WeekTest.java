package dev.yarbel.web.weekly;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.flash;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

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
import dev.yarbel.web.book.Sessions;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.RequestPostProcessor;

/** The week in plain words: drafted from plan and log, edited, kept, shown to the lifter. */
@YarbelTest
class WeekTest {

    /** The Monday before today, a Tuesday: the week that is reviewed. The block's first day is the Tuesday of it. */
    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Sessions sessions;

    private TestClub club;

    @BeforeEach
    void makeClub() {
        club = clubs.club("squat 1 @8", "squat 3x5 140kg");
    }

    private void lifted() {
        sessions.addHistory(
                club.lifter,
                Optional.of(club.plan().planned(0, 0)),
                "A\tsquat\t1 @8\t180kg\nB\tsquat\t3x5 140kg\t140kg\n",
                MONDAY.plusDays(1),
                TestSettings.NOW,
                List.of(set("A", 1, 182, 1, "8"), set("B", 1, 140, 5, "7"), set("B", 2, 140, 5, "7.5")),
                false);
    }

    private static DoneSet set(String letter, int number, int kg, int reps, String rating) {
        return new DoneSet(
                TaskKey.work(letter, number), new LiftedSet(Lift.SQUAT, Mass.ofKg(kg), reps, Effort.parse(rating)));
    }

    private Document page(RequestPostProcessor who, String rest) throws Exception {
        return Jsoup.parse(mvc.perform(get(club.url("/week" + rest)).with(who))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    private ResultActions write(String words, int edition) throws Exception {
        return mvc.perform(post(club.url("/week?from=" + MONDAY))
                .with(club.asCoach())
                .with(csrf())
                .param("words", words)
                .param("edition", String.valueOf(edition)));
    }

    private static String draft(Document page) {
        return page.select("#week-words").val();
    }

    @Test
    void theDraftTellsWhatWasAskedDoneAndComesNext() throws Exception {
        lifted();
        String draft = draft(page(club.asCoach(), ""));
        assertThat(draft)
                .contains("2 March to 8 March, week 1 of 3 of Block")
                .contains("1 of 1 sessions done. 3 of 4 sets that were asked for.")
                .contains("Squat: best set 182 kg × 1 at 8; top set rated as asked")
                .contains("Next week:")
                .contains("Tuesday 10 March: Squat 1 @8");
        assertThat(draft).doesNotContain("Not done").doesNotContain("hurt").doesNotContain("Decided");
    }

    @Test
    void whatWasNotDoneIsSaidAndNothingIsMadeUp() throws Exception {
        String draft = draft(page(club.asCoach(), ""));
        assertThat(draft).contains("0 of 1 sessions done. Not done: Tuesday 3 March.");
        assertThat(draft).doesNotContain("Squat: best").doesNotContain("estimate");
        // two weeks back no block was there
        assertThat(draft(page(club.asCoach(), "?from=2026-02-18"))).contains("No session was planned or done.");
    }

    @Test
    void whatTheCoachWroteIsKeptAndShownToTheLifter() throws Exception {
        lifted();
        assertThat(Jsoup.parse(mvc.perform(get(club.url("/home")).with(club.asLifter()))
                                .andReturn()
                                .getResponse()
                                .getContentAsString())
                        .select("a[href*=week?from]"))
                .isEmpty();
        // a draft is nobody's but the coach's
        assertThat(page(club.asLifter(), "").select("textarea, .told")).isEmpty();
        write("Strong week.\n\nSleep more.", 0)
                .andExpect(status().is3xxRedirection())
                .andExpect(flash().attribute("notice", containsString("Kept")));
        assertThat(page(club.asLifter(), "?from=" + MONDAY).selectFirst(".told").wholeText())
                .isEqualTo("Strong week.\n\nSleep more.");
        mvc.perform(get(club.url("/home")).with(club.asLifter()))
                .andExpect(org.springframework.test.web.servlet.result.MockMvcResultMatchers.content()
                        .string(containsString("week?from=" + MONDAY)));
        Document kept = page(club.asCoach(), "?from=" + MONDAY);
        assertThat(draft(kept)).isEqualTo("Strong week.\n\nSleep more.");
        assertThat(kept.select("details .told").text()).contains("1 of 1 sessions done");
        assertThat(page(club.asLifter(), "?from=" + MONDAY).select("main details"))
                .isEmpty();
    }

    /** Two windows, or two coaches: nothing that somebody wrote is written over unseen. */
    @Test
    void whatAnotherWroteMeanwhileIsNotWrittenOverUnseen() throws Exception {
        write("First.", 0);
        Document refused = Jsoup.parse(write("Second.", 0)
                .andExpect(status().is4xxClientError())
                .andReturn()
                .getResponse()
                .getContentAsString());
        assertThat(draft(refused)).isEqualTo("Second.");
        assertThat(refused.select(".kept").text()).isEqualTo("First.");
        assertThat(refused.select("#week-week-says, #week-words-says").text()).contains("meanwhile");
        write("Second.", Integer.parseInt(refused.select("input[name=edition]").val()))
                .andExpect(status().is3xxRedirection());
        // a double click keeps it once, in silence
        write("Second.", 1).andExpect(status().is3xxRedirection());
        assertThat(draft(page(club.asCoach(), "?from=" + MONDAY))).isEqualTo("Second.");
    }

    @Test
    void whatCannotBeKeptIsSaidBesideTheField() throws Exception {
        assertThat(Jsoup.parse(write("   ", 0).andReturn().getResponse().getContentAsString())
                        .select("#week-words-says")
                        .text())
                .contains("Write something");
        String long5000 = "x".repeat(5000);
        Document refused =
                Jsoup.parse(write(long5000, 0).andReturn().getResponse().getContentAsString());
        assertThat(draft(refused)).isEqualTo(long5000);
        assertThat(refused.select("#week-words-says")).isNotEmpty();
        mvc.perform(get(club.url("/week?from=2026-03-16")).with(club.asCoach())).andExpect(status().isNotFound());
        mvc.perform(get(club.url("/week?from=tomorrow")).with(club.asCoach())).andExpect(status().is4xxClientError());
        mvc.perform(get(club.url("/week?from=-999999999-01-01")).with(club.asCoach()))
                .andExpect(status().is4xxClientError());
    }

    @Test
    void onPaperItSaysTheSame() throws Exception {
        lifted();
        write("Strong week; the pause holds.", 0);
        byte[] bytes = mvc.perform(
                        get(club.url("/week/week.pdf?from=" + MONDAY)).with(club.asCoach()))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
        try (PDDocument paper = Loader.loadPDF(bytes)) {
            assertThat(paper.getNumberOfPages()).isOne();
            assertThat(new PDFTextStripper().getText(paper))
                    .contains("Strong week; the pause holds.")
                    .contains("182 kg × 1");
        }
    }

    @Test
    void inGermanItsFiguresAreGerman() throws Exception {
        lifted();
        Document page = Jsoup.parse(
                mvc.perform(get(club.url("/week")).with(club.asCoach()).locale(Locale.GERMAN))
                        .andReturn()
                        .getResponse()
                        .getContentAsString());
        assertThat(draft(page)).contains("1 von 1 Einheiten gemacht").doesNotContainPattern("\\d\\.\\d+ kg");
    }
}
