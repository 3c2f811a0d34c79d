package dev.yarbel.web.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.SetUpMeasure;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.book.Book;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What is printed, by the browser and as PDF, which is read again by a library that did not write it. */
@YarbelTest
class PaperTest extends DeskTesting {

    @Autowired
    private Book book;

    /** The text of a document's pages, line by line. */
    private record Printed(List<String> pages, PDRectangle size) {

        private String all() {
            return String.join("\n", pages);
        }
    }

    private Printed pdf(String address) throws Exception {
        byte[] bytes = mvc.perform(get(address).with(club.asCoach()))
                .andExpect(status().isOk())
                .andExpect(header().string("Content-Type", "application/pdf"))
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
        List<String> pages = new ArrayList<>();
        try (PDDocument document = Loader.loadPDF(bytes)) {
            for (int page = 1; page <= document.getNumberOfPages(); page++) {
                PDFTextStripper reader = new PDFTextStripper();
                reader.setSortByPosition(true);
                reader.setStartPage(page);
                reader.setEndPage(page);
                pages.add(reader.getText(document));
            }
            return new Printed(pages, document.getPage(0).getMediaBox());
        }
    }

    private Document page(String address) throws Exception {
        return Jsoup.parse(mvc.perform(get(address).with(club.asCoach()))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    /** How often each word of digits and points stands in a text. */
    private static Map<String, Integer> figures(Iterable<String> words) {
        Map<String, Integer> count = new TreeMap<>();
        words.forEach(word -> count.merge(word, 1, Integer::sum));
        return count;
    }

    @Test
    void sixteenWeeksOfFourDaysStandOnOneLandscapePageWithDatesAndLoads() throws Exception {
        String plan = "/lifters/" + clubs.grow(club, 1, 16, 4).id() + "/plan";
        Printed printed = pdf(plan + "/print/overview.pdf");
        assertThat(printed.pages()).hasSize(1);
        assertThat(printed.size().getWidth()).isGreaterThan(printed.size().getHeight());
        Document whole = page(plan + "/whole");
        List<String> words = List.of(printed.all().replace("~", "").split("\\s+"));
        List<String> loads = whole.select(".whole td b").eachText();
        assertThat(loads).hasSize(16 * 4 * 3);
        Map<String, Integer> onPaper = figures(words);
        figures(loads).forEach((load, times) -> assertThat(onPaper)
                .as("load %s", load)
                .hasEntrySatisfying(load, found -> assertThat(found).isGreaterThanOrEqualTo(times)));
        assertThat(printed.all()).contains("Week 1", "Week 16");
        assertThat(printed.all().split("3x5 70%", -1)).hasSize(16 * 4 * 3 + 1);
        whole.select(".whole .dayrow td span").eachText().forEach(date -> assertThat(printed.all())
                .contains(date));
    }

    @Test
    void seventeenWeeksTakeTwoPagesAndNoWeekIsLost() throws Exception {
        String plan = "/lifters/" + clubs.grow(club, 1, 17, 1).id() + "/plan";
        Printed printed = pdf(plan + "/print/overview.pdf");
        assertThat(printed.pages()).hasSize(2);
        assertThat(printed.pages().get(0)).contains("Week 16").doesNotContain("Week 17");
        assertThat(printed.pages().get(1)).contains("Week 17");
    }

    @Test
    void sessionsStandTwoOrThreeToAPageEachWhole() throws Exception {
        String plan = "/lifters/" + clubs.grow(club, 1, 4, 4).id() + "/plan";
        Printed printed = pdf(plan + "/print/sessions.pdf?week=4");
        assertThat(printed.pages().get(0).split("Notes:", -1)).hasSizeBetween(3, 4);
        assertThat(printed.all().split("Notes:", -1)).hasSize(5);
        printed.pages().forEach(sheet -> assertThat(sheet.split("Notes:", -1))
                .hasSameSizeAs(sheet.split("Pain means stop", -1)));
    }

    @Test
    void aSessionSaysRestTempoSetUpAndWhatMakesASetSpecial() throws Exception {
        type(2, 1, "3x5 75%", "3x5 75% paused rest 240 tempo 3010 cue \"knees out\"");
        book.setUp(
                club.coach,
                club.lifter,
                club.plan().standing().catalogue().of(Lift.SQUAT),
                Map.of(SetUpMeasure.RACK_HEIGHT, "hole 14"));
        for (String text : List.of(
                page(club.url("/plan/print?week=2")).select(".paper").text(),
                pdf(club.url("/plan/print/sessions.pdf?week=2")).all())) {
            assertThat(text.replaceAll("\\s+", " "))
                    .contains("4:00", "3010", "hole 14", "knees out", "Hold it still", "150 kg", "330.7 lb")
                    .contains("Pain means stop")
                    .contains("a side: 25 + 25 + 15")
                    // the writer puts this where the typeface has no such sign
                    .doesNotContain("#");
        }
    }

    @Test
    void theLiftersOwnLoadsStandBelowTheSessions() throws Exception {
        Document page = page(club.url("/plan/print"));
        assertThat(page.select(".loadchart tbody tr").size()).isEqualTo(10);
        // a max of 200 kg: a single with two left is 200 / (1 + 0.0364 · 2) = 186.4 kg, and 187.5 kg is nearest
        assertThat(page.selectFirst(".loadchart tbody tr td:nth-child(4)").text())
                .isEqualTo("187.5");
    }

    @Test
    void aBlindSetShowsItsPlatesOnPaperAndNotItsLoad() throws Exception {
        type(2, 1, "3x5 75%", "3x5 65% blind");
        String text = page(club.url("/plan/print?week=2")).select(".session").text();
        assertThat(text).doesNotContain("130 kg").contains("a side: 25 + 25 + 5");
    }

    @Test
    void aWeekThatTheBlockHasNotIsNotFound() throws Exception {
        mvc.perform(get(club.url("/plan/print?week=9")).with(club.asCoach())).andExpect(status().isNotFound());
        mvc.perform(get(club.url("/plan/print/sessions.pdf?week=0")).with(club.asCoach()))
                .andExpect(status().isNotFound());
    }
}
