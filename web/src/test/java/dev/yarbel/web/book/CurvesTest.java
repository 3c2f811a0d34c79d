package dev.yarbel.web.book;

import static dev.yarbel.web.OnPage.shows;
import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.allOf;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.effort.RepFormula;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.web.Clubs4Tests;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.page.ChangeKind;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.RequestPostProcessor;

@YarbelTest
class CurvesTest {

    @Autowired
    private MockMvc mvc;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Ledger ledger;

    private Clubs4Tests.TestClub club;

    @BeforeEach
    void makeClub() {
        club = clubs.club();
    }

    private ResultActions choose(String curve, RequestPostProcessor who) throws Exception {
        return mvc.perform(post(club.url("/book/curves"))
                .param("curve", curve)
                .with(csrf())
                .with(who));
    }

    @Test
    void theFormulasStandSideBySideWithWhereTheyPart() throws Exception {
        // 80.6 to 85.1 at seven repetitions, 69.2 to 78.0 at twelve (published formulas, from memory)
        mvc.perform(get(club.url("/book/curves")).with(club.asLifter()))
                .andExpect(status().isOk())
                .andExpect(content()
                        .string(allOf(
                                shows(".panel", "Epley"),
                                shows(".panel", "Conner et al."),
                                shows(".quiet", "closest at 7 reps, 4.5 points apart"),
                                shows(".quiet", "at 12 reps by 8.8"),
                                containsString(">69.2<"),
                                not(containsString("Use this curve")))));
    }

    @Test
    void aChosenFormulaMovesTheLoadsByRatingAndTheLedgerSaysSo() throws Exception {
        choose("mayhew", club.asCoach()).andExpect(redirectedUrl(club.url("/book/curves")));
        // a single at 8 is three in all: 52.2 + 41.9·e^(−0.165) = 87.7 % of 200 kg, loaded as 175 (before: 187.5)
        assertThat(RepFormula.MAYHEW.load(Mass.ofKg(200), 1, Rpe.of(8)).distanceTo(Mass.ofKg(175)))
                .isLessThan(Mass.ofKg(1));
        mvc.perform(get(club.url("/plan")).with(club.asCoach()))
                .andExpect(content().string(allOf(shows(".load", "175 kg"), not(containsString("187.5 kg")))));
        Change change = ledger.latest(club.lifter, 1).get(0);
        assertThat(change.kind()).isEqualTo(ChangeKind.CURVE);
        assertThat(change.subject()).containsExactly(Lift.SQUAT.key());
        assertThat(change.before() + ">" + change.after()).isEqualTo("learnt>mayhew");
        mvc.perform(get(club.url("/book/decisions")).with(club.asCoach()))
                .andExpect(content().string(allOf(shows(".num", "learnt from the log"), shows(".num", "Mayhew"))));
        mvc.perform(get(club.url("/book/curves")).with(club.asCoach()))
                .andExpect(content().string(containsString("checked=\"checked\"")));
    }

    @Test
    void choosingTheSameCurveAgainWritesNothing() throws Exception {
        choose("learnt", club.asCoach());
        assertThat(ledger.latest(club.lifter, 5)).isEmpty();
        choose("0.0364", club.asCoach());
        choose("0.0364", club.asCoach());
        assertThat(ledger.latest(club.lifter, 5)).hasSize(1);
        choose("learnt", club.asCoach());
        assertThat(ledger.latest(club.lifter, 5)).hasSize(2);
    }

    @Test
    void whatIsNoCurveIsRefusedAndALifterChoosesNone() throws Exception {
        for (String none : new String[] {"", "nobody", "7"}) {
            choose(none, club.asCoach())
                    .andExpect(status().isUnprocessableContent())
                    .andExpect(content().string(shows(".bad", "Choose one of the curves")));
        }
        choose("epley", club.asLifter()).andExpect(status().isForbidden());
        choose("epley", club.asColleague()).andExpect(status().isNotFound());
        assertThat(ledger.latest(club.lifter, 5)).isEmpty();
    }
}
