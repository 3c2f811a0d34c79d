package dev.yarbel.web.floor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.RequestPostProcessor;

/** Words between lifter and coach while the lifter lifts. */
@YarbelTest
class FloorWordsTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    private TestClub club;

    @BeforeEach
    void makeClub() {
        club = clubs.club();
    }

    private MockHttpServletResponse say(RequestPostProcessor who, String path, String words, UUID token)
            throws Exception {
        return mvc.perform(post(club.url("/floor" + path))
                        .with(who)
                        .with(csrf())
                        .param("day", "0")
                        .param("week", "1")
                        .param("token", token.toString())
                        .param("words", words))
                .andReturn()
                .getResponse();
    }

    private Document page(RequestPostProcessor who, String address) throws Exception {
        return Jsoup.parse(
                mvc.perform(get(address).with(who)).andReturn().getResponse().getContentAsString());
    }

    @Test
    void aQuestionReachesTheCoachAndTheAnswerThePhone() throws Exception {
        assertThat(page(club.asCoach(), "/lifters").select("a[href='/live'] .count"))
                .isEmpty();
        say(club.asLifter(), "/words", "May I leave the belt off?", UUID.randomUUID());
        // wherever the coach is
        assertThat(page(club.asCoach(), "/lifters")
                        .select("a[href='/live'] .count")
                        .text())
                .isEqualTo("1");
        assertThat(page(club.asCoach(), club.url("/book")).select(".asking").text())
                .isEqualTo("1 question");
        // somebody who asks is on the page of those who lift, even with nothing logged
        assertThat(page(club.asCoach(), "/live").select(".side").attr("data-lifter"))
                .isEqualTo(String.valueOf(club.lifter.id()));
        assertThat(page(club.asCoach(), club.url("/floor/side"))
                        .select(".words q")
                        .eachText())
                .containsExactly("May I leave the belt off?");
        say(club.asCoach(), "/side/words", "Yes, on the back-offs.", UUID.randomUUID());
        Document phone = page(club.asLifter(), club.url("/floor"));
        assertThat(phone.select(".word").text()).contains("says:", "Yes, on the back-offs.");
        assertThat(phone.select("#words q").eachText())
                .containsExactly("May I leave the belt off?", "Yes, on the back-offs.");
        assertThat(page(club.asCoach(), "/lifters").select("a[href='/live'] .count"))
                .isEmpty();
    }

    @Test
    void theSameWordsSentTwiceAreSaidOnce() throws Exception {
        UUID token = UUID.randomUUID();
        say(club.asLifter(), "/words", "Stance wide?", token);
        say(club.asLifter(), "/words", "Stance wide?", token);
        assertThat(page(club.asLifter(), club.url("/floor")).select("#words q")).hasSize(1);
        // and what was answered does not wait again
        say(club.asCoach(), "/side/words", "No.", UUID.randomUUID());
        say(club.asLifter(), "/words", "Stance wide?", token);
        assertThat(page(club.asCoach(), "/lifters").select("a[href='/live'] .count"))
                .isEmpty();
    }

    @Test
    void wordsTooLongOrNoneAreRefusedBesideTheFieldAndStay() throws Exception {
        String tooLong = "x".repeat(FloorWords.LONGEST + 1);
        MockHttpServletResponse refused = say(club.asLifter(), "/words", tooLong, UUID.randomUUID());
        assertThat(refused.getStatus()).isEqualTo(422);
        Document page = Jsoup.parse(refused.getContentAsString());
        assertThat(page.select("#words input[name=words]").val()).isEqualTo(tooLong);
        assertThat(page.select("#words .bad").text()).isNotEmpty();
        assertThat(say(club.asLifter(), "/words", " ", UUID.randomUUID()).getStatus())
                .isEqualTo(422);
        assertThat(say(club.asCoach(), "/side/words", tooLong, UUID.randomUUID())
                        .getStatus())
                .isEqualTo(422);
        say(club.asLifter(), "/words", "x".repeat(FloorWords.LONGEST), UUID.randomUUID());
        assertThat(page(club.asLifter(), club.url("/floor")).select("#words q")).hasSize(1);
    }
}
