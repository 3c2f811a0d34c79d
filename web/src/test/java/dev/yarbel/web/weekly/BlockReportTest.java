package dev.yarbel.web.weekly;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.block.Blocks;
import java.util.List;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.RequestPostProcessor;

/** What became of a block, for lifter and coach. */
@YarbelTest
class BlockReportTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Blocks blocks;

    private TestClub club;

    @BeforeEach
    void makeClub() {
        club = clubs.club();
    }

    private Document page(String path, RequestPostProcessor who) throws Exception {
        return Jsoup.parse(mvc.perform(get(path).with(who))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    @Test
    void aBlockThatIsOverTellsWhatWasAskedDoneAndGained() throws Exception {
        var lifter = clubs.grow(club, 1, 3, 2);
        long past = blocks.of(lifter).stream()
                .filter(block -> block.name().equals("Past 1"))
                .findFirst()
                .orElseThrow()
                .id();
        Document report = page("/lifters/" + lifter.id() + "/report?block=" + past, club.asCoach());
        assertThat(report.select("h1").text()).isEqualTo("Past 1: the report");
        assertThat(report.select("section").first().text()).containsPattern("\\d+ of \\d+ sessions done");
        assertThat(report.select("table.weekfacts tbody tr")).isNotEmpty();
        assertThat(report.text()).doesNotContain("under way");
        // the list of blocks leads there
        assertThat(page("/lifters/" + lifter.id() + "/plan/blocks", club.asCoach())
                        .select("a[href*=report]")
                        .eachAttr("href"))
                .contains("/lifters/" + lifter.id() + "/report?block=" + past);
    }

    @Test
    void theLifterReadsItTooAndOneUnderWaySaysSo() throws Exception {
        Document report = page(club.url("/report"), club.asLifter());
        assertThat(report.text()).contains("told up to today");
        assertThat(report.select("a[href*=checklist]")).isEmpty();
        assertThat(page(club.url("/home"), club.asLifter()).select("a[href*=report]"))
                .hasSize(1);
    }

    @Test
    void itGoesOnPaper() throws Exception {
        for (RequestPostProcessor who : List.of(club.asCoach(), club.asLifter())) {
            mvc.perform(get(club.url("/report/report.pdf")).with(who))
                    .andExpect(status().isOk())
                    .andExpect(content().contentType("application/pdf"));
        }
    }
}
