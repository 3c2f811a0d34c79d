package dev.yarbel.web.contest;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import java.time.LocalDate;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** The pages of a club's contests, as its coach's browser has them. */
abstract class ContestPages {

    @Autowired
    MockMvc mvc;

    @Autowired
    Clubs4Tests clubs;

    @Autowired
    JdbcClient jdbc;

    TestClub club;

    @BeforeEach
    void makeClub() {
        club = clubs.club();
    }

    ResultActions send(String path, String... fields) throws Exception {
        MockHttpServletRequestBuilder request = post(path).with(club.asCoach()).with(csrf());
        for (int i = 0; i < fields.length; i += 2) {
            request.param(fields[i], fields[i + 1]);
        }
        return mvc.perform(request);
    }

    ResultActions look(String path) throws Exception {
        return mvc.perform(get(path).with(club.asCoach()));
    }

    Document page(String path) throws Exception {
        return Jsoup.parse(look(path).andReturn().getResponse().getContentAsString());
    }

    /** A contest in three weeks, by its address. */
    String held() throws Exception {
        return send("/contests", "name", "Test Open", "on", "2026-03-31", "rules", "ipf-classic")
                .andExpect(status().is3xxRedirection())
                .andReturn()
                .getResponse()
                .getRedirectedUrl();
    }

    String entered(String contest) throws Exception {
        send(contest + "/entries", "lifter", String.valueOf(club.lifter.id())).andExpect(status().is3xxRedirection());
        return contest + "/entries/"
                + jdbc.sql("select max(id) from contest_entry where lifter_id = ?")
                        .param(club.lifter.id())
                        .query(Long.class)
                        .single();
    }

    /** The plan of whoever is entered is shaped for the day. */
    void shape(String entry, LocalDate day) throws Exception {
        Document toward = page(entry);
        send(
                        toward.select(".toward form").attr("action"),
                        "stamp",
                        toward.select(".toward [name=stamp]").val(),
                        "contest",
                        day.toString(),
                        "kind",
                        "CONTEST_SHAPE")
                .andExpect(status().is3xxRedirection());
    }
}
