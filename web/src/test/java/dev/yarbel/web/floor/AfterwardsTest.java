package dev.yarbel.web.floor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** After the last set: what was done of what was asked, what is better than before, what it moved, what comes next. */
@YarbelTest
class AfterwardsTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    private TestClub club;

    @BeforeEach
    void makeClub() {
        club = clubs.club();
    }

    private void send(int week, String path, String... fields) throws Exception {
        MockHttpServletRequestBuilder request = post(club.url("/floor" + path))
                .with(club.asLifter())
                .with(csrf())
                .param("day", "0")
                .param("week", "" + week);
        for (int i = 0; i < fields.length; i += 2) {
            request.param(fields[i], fields[i + 1]);
        }
        mvc.perform(request).andExpect(status().is3xxRedirection());
    }

    private void lift(int week, String task, String load, String reps, String effort) throws Exception {
        String token = UUID.randomUUID().toString();
        send(week, "/sets", "task", task, "token", token, "load", load, "reps", reps, "effort", effort);
    }

    private Document finished(int week) throws Exception {
        send(week, "/finish", "left", "99");
        return Jsoup.parse(
                mvc.perform(get(club.url("/floor?day=0&week=" + week)).with(club.asLifter()))
                        .andReturn()
                        .getResponse()
                        .getContentAsString());
    }

    private static String line(Document page, String letter) {
        return page.select(".after li").stream()
                .map(line -> line.text())
                .filter(text -> text.startsWith(letter + " "))
                .findFirst()
                .orElse("");
    }

    @Test
    void eachSlotSaysWhatWasDoneOfWhatWasAsked() throws Exception {
        lift(1, "A.1", "197.5", "1", "9");
        lift(1, "B.1", "150", "5", "8");
        Document page = finished(1);
        assertThat(line(page, "A")).contains("1 of 1 set", "197.5 kg × 1", "harder than asked");
        assertThat(line(page, "B")).contains("1 of 2 sets", "150 kg × 5");
        // nothing was done there, and nothing is said of how it went
        assertThat(line(page, "C")).contains("0 of 3 sets").doesNotContain("asked", "kg");
        assertThat(page.select(".after li").last().text()).contains("Squat, estimate", "200 kg");
    }

    @Test
    void theNextDayIsNamedWithItsDateAndAtTheEndOfTheBlockThereIsNone() throws Exception {
        lift(1, "A.1", "185", "1", "8");
        assertThat(finished(1).select(".nextday").text()).isEqualTo("Next: Squat day, Tuesday 17 March");
        lift(2, "A.1", "185", "1", "8");
        assertThat(finished(2).select(".nextday").text()).contains("the last day of the block");
    }

    @Test
    void whatIsBetterThanEverythingLikeItIsSaidOnce() throws Exception {
        lift(0, "A.1", "185", "1", "8");
        assertThat(line(finished(0), "A")).doesNotContain("best yet");
        lift(1, "A.1", "187.5", "1", "8");
        assertThat(line(finished(1), "A")).contains("best yet");
        lift(2, "A.1", "187.5", "1", "8");
        assertThat(line(finished(2), "A")).doesNotContain("best yet");
    }
}
