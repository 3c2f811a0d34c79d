package dev.yarbel.web.book;

import static dev.yarbel.web.OnPage.shows;
import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.allOf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.estimate.MaxEstimate;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** From the plan over the floor to the lift's page: sets done in another way have numbers of their own. */
@YarbelTest
class OwnSetUpsTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Book book;

    private TestClub club;

    @BeforeEach
    void makeClub() {
        club = clubs.club();
    }

    private void send(String path, String... fields) throws Exception {
        MockHttpServletRequestBuilder request =
                post(club.url("/floor" + path)).with(csrf()).param("day", "0").param("week", "1");
        for (int i = 0; i < fields.length; i += 2) {
            request.param(fields[i], fields[i + 1]);
        }
        mvc.perform(request.with(club.asLifter())).andExpect(status().isFound());
    }

    private void log(String task, String load, String reps, String effort) throws Exception {
        send("/sets", "task", task, "load", load, "reps", reps, "effort", effort, "confirmed", load);
    }

    private void dose(String dose) throws Exception {
        mvc.perform(post(club.url("/plan/days/0"))
                        .with(club.asCoach())
                        .with(csrf())
                        .param("was." + club.cell(2, 1), "3x5 75%")
                        .param("dose." + club.cell(2, 1), dose))
                .andExpect(status().is3xxRedirection());
    }

    private MaxEstimate squat() {
        return book.standing(club.lifter)
                .of(Lift.SQUAT)
                .orElseThrow()
                .estimate()
                .orElseThrow();
    }

    @ParameterizedTest
    @CsvSource({
        "3x5 60% tempo 4020, tempo 4020",
        "3x5 60% no belt, without belt",
        "3x5 60% +chains 30kg, Chains add",
        "3x5 60% rest 20, rests under 45 s",
        "3x5 60% paused, paused"
    })
    void whatIsDoneInAnotherWayHasItsOwnLine(String dose, String said) throws Exception {
        dose(dose);
        log("C.1", "122.5", "5", "9.5");
        log("C.2", "122.5", "4", "missed");
        MaxEstimate before = squat();
        send("/finish", "left", "9");
        MaxEstimate after = squat();
        assertThat(after.max()).isEqualTo(before.max());
        assertThat(after.movements()).isEmpty();
        mvc.perform(get(club.url("/book/lifts/squat")).with(club.asCoach()))
                .andExpect(content().string(allOf(shows("#apart th", said), shows("#apart td span", "122.5"))));
    }

    @Test
    void thePlainLiftHasNoLineOfItsOwn() throws Exception {
        log("C.1", "150", "5", "8");
        send("/finish", "left", "9");
        assertThat(squat().movements()).hasSize(1);
        assertThat(mvc.perform(get(club.url("/book/lifts/squat")).with(club.asCoach()))
                        .andReturn()
                        .getResponse()
                        .getContentAsString())
                .doesNotContain("id=\"apart\"");
    }

    /** Whoever squats in wraps has their squat in wraps: a set of which nothing is said was done in them. */
    @Test
    void theKitOfTheNewestMaxIsTheUsual() throws Exception {
        mvc.perform(post(club.url("/book/lifts/squat/max"))
                        .with(club.asCoach())
                        .with(csrf())
                        .param("kind", "CONTEST")
                        .param("load", "215")
                        .param("on", "2026-03-01")
                        .param("worn", "BELT")
                        .param("worn", "KNEE_WRAPS"))
                .andExpect(status().is3xxRedirection());
        dose("3x5 60% no knee-wraps");
        log("C.1", "122.5", "5", "9.5");
        send("/finish", "left", "9");
        assertThat(squat().movements()).isEmpty();
        mvc.perform(get(club.url("/book/lifts/squat")).with(club.asCoach()))
                .andExpect(content().string(shows("#apart th", "without knee wraps")));
    }
}
