package dev.yarbel.web.floor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;

/** Half an hour only, a bad night, no rack: seen before it is taken, kept as changes of the day, and taken back like any. */
@YarbelTest
class FallbackTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private JdbcClient jdbc;

    private TestClub club;

    @BeforeEach
    void makeClub() {
        club = clubs.club();
    }

    private Document page(String path) throws Exception {
        return Jsoup.parse(mvc.perform(get(club.url(path)).with(club.asLifter()))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    private Element offer(String kind) throws Exception {
        return page("/floor/fallbacks?day=0&week=2")
                .select("form:has(input[value=" + kind + "])")
                .first();
    }

    private void take(Element form) throws Exception {
        mvc.perform(post(club.url("/floor/fallbacks"))
                        .with(club.asLifter())
                        .with(csrf())
                        .param("day", "0")
                        .param("week", "2")
                        .param("kind", form.select("[name=kind]").val())
                        .param("once", form.select("[name=once]").val()))
                .andExpect(status().is3xxRedirection());
    }

    private long changes() {
        return jdbc.sql("""
                        select count(*) from amendment a join training_session s on s.id = a.session_id
                        where s.lifter_id = :lifter and a.taken_back_at is null""").param("lifter", club.lifter.id()).query(Long.class).single();
    }

    @Test
    void aFallbackSaysWhatItMakesOfTheDayAndIsKeptAsChanges() throws Exception {
        Element tired = offer("TIRED");
        assertThat(tired.select("li")).isNotEmpty();
        assertThat(tired.select("button").text()).contains("min");
        take(tired);
        long kept = changes();
        assertThat(kept).isPositive();
        // a double tap
        take(tired);
        assertThat(changes()).isEqualTo(kept);
        Document floor = page("/floor?day=0&week=2");
        assertThat(floor.select(".changed").text()).contains("slept badly");
        assertThat(floor.select(".changed form")).isNotEmpty();
    }

    @Test
    void withoutARackAnotherLiftStandsIn() throws Exception {
        Element rack = offer("NO_RACK");
        assertThat(rack.select("li").text()).contains("Squat").contains("swapped for");
        take(rack);
        assertThat(page("/floor?day=0&week=2")
                        .select("article[data-letter=A] h3")
                        .text())
                .doesNotContain("Squat");
    }

    @Test
    void aDayThatIsOverHasNoFallbacks() throws Exception {
        take(offer("TIRED"));
        jdbc.sql("update training_session set finished_at = now() where lifter_id = :lifter and plan_week = 2")
                .param("lifter", club.lifter.id())
                .update();
        assertThat(page("/floor?day=0&week=2").select("a[href*=fallbacks]")).isEmpty();
        mvc.perform(get(club.url("/floor/fallbacks?day=0&week=2")).with(club.asLifter()))
                .andExpect(status().isNotFound());
    }
}
