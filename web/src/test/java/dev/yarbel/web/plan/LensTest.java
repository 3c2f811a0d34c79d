package dev.yarbel.web.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.web.YarbelTest;
import java.util.Map;
import java.util.TreeMap;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.ResultActions;

/** One day across the weeks, one week with all its days, the whole block: the same cells. */
@YarbelTest
class LensTest extends DeskTesting {

    private static final int WEEKS = 4;
    private static final int DAYS = 3;

    private String plan;

    /** A block of three days and four weeks, half of them lifted. */
    @BeforeEach
    void grow() {
        plan = "/lifters/" + clubs.grow(club, 1, WEEKS, DAYS).id() + "/plan";
    }

    private Document page(String query) throws Exception {
        return Jsoup.parse(mvc.perform(get(plan + query).with(club.asCoach()))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    /** What each cell of a page holds and comes to, by its number. */
    private static Map<String, String> cells(Document page) {
        Map<String, String> cells = new TreeMap<>();
        for (Element foot : page.select("#grid .foot")) {
            Element dose = foot.parent().selectFirst(".dose");
            String text = dose.is("textarea") ? dose.val() : dose.text();
            cells.put(foot.id(), text + " = " + foot.text() + " " + dose.attr("aria-label"));
        }
        return cells;
    }

    @Test
    void bothLensesShowTheSameCells() throws Exception {
        Map<String, String> byDay = new TreeMap<>();
        for (int day = 0; day < DAYS; day++) {
            byDay.putAll(cells(page("?day=" + day)));
        }
        Map<String, String> byWeek = new TreeMap<>();
        for (int week = 1; week <= WEEKS; week++) {
            byWeek.putAll(cells(page("?in=" + week)));
        }
        assertThat(byWeek).hasSize(WEEKS * DAYS * 3).isEqualTo(byDay);
    }

    @Test
    void theWholeBlockShowsEveryDoseWithItsLoad() throws Exception {
        Document whole = page("/whole");
        assertThat(whole.select(".whole td[class^=tint] .shortdose").eachText())
                .hasSize(WEEKS * DAYS * 3)
                .containsOnly("3x5 70%");
        // lifted at 180 kg; to come at 70 % of 120 kg, which the gym loads to 85 or 82.5
        assertThat(whole.select(".whole td.lifted b").eachText()).containsOnly("180");
        assertThat(whole.select(".whole td:not(.lifted) b").eachText())
                .allSatisfy(load -> assertThat(Double.parseDouble(load)).isBetween(82.5, 85.0));
        assertThat(whole.select(".whole .dayrow td").eachText())
                .hasSize(WEEKS * DAYS)
                .doesNotHaveDuplicates();
    }

    @Test
    void aDoseIsShortenedByItsRestAndTempoAndStandsWholeInItsTitle() throws Exception {
        type(2, 1, "3x5 75%", "3x5 75% rest 120 tempo 3010");
        Element cell = Jsoup.parse(mvc.perform(get(club.url("/plan/whole")).with(club.asCoach()))
                        .andReturn()
                        .getResponse()
                        .getContentAsString())
                .selectFirst(".whole td[title*=3010]");
        assertThat(cell.selectFirst(".shortdose").text()).isEqualTo("3x5 75% …");
    }

    private ResultActions keepWeek(int week, String... fields) throws Exception {
        var request = post(club.url("/plan/weeks/" + week)).with(club.asCoach()).with(csrf());
        for (int i = 0; i < fields.length; i += 2) {
            request.param(fields[i], fields[i + 1]);
        }
        return mvc.perform(request);
    }

    @Test
    void aDoseTypedIntoAWeekIsKeptAndOneOfAnotherLifterIsNot() throws Exception {
        String cell = club.cell(2, 1);
        keepWeek(2, "was." + cell, "3x5 75%", "dose." + cell, "4x4 80%").andExpect(status().is3xxRedirection());
        assertThat(row(2)).containsExactly("3x5 75%", "4x4 80%", "3x5 77.5%");
        String foreign = clubs.club().cell(2, 1);
        keepWeek(2, "was." + foreign, "3x5 75%", "dose." + foreign, "1x1 90%");
        assertThat(row(2)).containsExactly("3x5 75%", "4x4 80%", "3x5 77.5%");
    }

    @Test
    void whatCannotBeReadStandsInTheWeekAsItWasTyped() throws Exception {
        String cell = club.cell(2, 1);
        String answer = keepWeek(2, "was." + cell, "3x5 75%", "dose." + cell, "4x4 8x")
                .andExpect(status().isUnprocessableContent())
                .andReturn()
                .getResponse()
                .getContentAsString();
        Document page = Jsoup.parse(answer);
        assertThat(page.select(".weekgrid")).hasSize(1);
        assertThat(page.select("textarea[name='dose." + cell + "']").val()).isEqualTo("4x4 8x");
        assertThat(page.select(".weekgrid .bad")).isNotEmpty();
    }

    @Test
    void undoStaysInTheWeek() throws Exception {
        String cell = club.cell(2, 1);
        keepWeek(2, "was." + cell, "3x5 75%", "dose." + cell, "4x4 80%");
        String back = mvc.perform(
                        post(club.url("/plan/undo?block=" + club.plan().blockId() + "&at=0&in=2"))
                                .with(club.asCoach())
                                .with(csrf()))
                .andReturn()
                .getResponse()
                .getRedirectedUrl();
        assertThat(back).endsWith("&in=2");
        assertThat(row(2)).containsExactly("3x5 75%", "3x5 75%", "3x5 77.5%");
    }

    @Test
    void aWeekThatIsNotThereIsNotFound() throws Exception {
        for (String query : new String[] {"?in=0", "?in=5", "?in=-1", "?day=9", "?day=-1", "?day=9&in=1"}) {
            mvc.perform(get(plan + query).with(club.asCoach())).andExpect(status().isNotFound());
        }
        keepWeek(9).andExpect(status().isNotFound());
    }
}
