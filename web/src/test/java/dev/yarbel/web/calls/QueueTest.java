package dev.yarbel.web.calls;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;

import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.book.SessionFinished;
import dev.yarbel.web.book.Sessions;
import java.util.List;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.transaction.support.TransactionTemplate;

/** The queue: which calls are looked at, what of them lifters see, and that each session is heard of once. */
@YarbelTest
class QueueTest extends OnCalls {

    private static final List<String> TWO = List.of("squat 1 @8|180", "bench-press 3x5 70%|100", "squat 2x5 140kg|140");

    @Autowired
    private ApplicationEventPublisher events;

    @Autowired
    private TransactionTemplate transaction;

    @BeforeEach
    void twoCalls() {
        club = clubs.club("squat 1 @8", "bench-press 3x5 70%", "squat 2x5 140kg");
        session(0, TWO, "A 180x1 9", "B 100x5 7", "B 100x5 7", "B 100x5 7", "C 140x5 7", "C 140x5 7");
        session(1, TWO, "A 180x1 9.5", "B 100x5 7", "B 100x5 7", "C 140x5 7", "C 140x5 7");
    }

    private static List<String> lines(Document page) {
        return page.select("nav.queue:not(.quietqueue) a .what").eachText();
    }

    @Test
    void theQueueIsLookedAtByKind() throws Exception {
        assertThat(lines(page("/calls"))).containsExactly("Squat", "Bench press");
        Document ratings = page("/calls?kind=OFF_TARGET");
        assertThat(lines(ratings)).containsExactly("Squat");
        assertThat(ratings.select("nav.queue a").attr("href")).endsWith("?kind=OFF_TARGET");
        assertThat(lines(page("/calls?kind=APART"))).containsExactly("Bench press");
        assertThat(page("/calls?kind=PAIN").select(".empty").text()).contains("No call of this kind");
        // what is no kind is all of them
        assertThat(lines(page("/calls?kind=%3Cb%3E"))).hasSize(2);
        assertThat(lines(page("/calls?gym=Gym"))).hasSize(2);
        assertThat(lines(page("/calls?gym=Elsewhere"))).isEmpty();
    }

    @Test
    void whoAnswersOneOfAKindComesToTheNextOfThatKind() throws Exception {
        long id = slip("hard-again");
        String shown = page("/calls/" + id + "?kind=OFF_TARGET")
                .select("input[name=shown]")
                .val();
        mvc.perform(post("/calls/" + id + "/take?kind=OFF_TARGET")
                        .with(club.asCoach())
                        .with(csrf())
                        .param("shown", shown))
                .andExpect(redirectedUrl("/calls?kind=OFF_TARGET"));
    }

    @Test
    void theLifterReadsWhatWasDecidedOnFloorAndHome() throws Exception {
        for (String page : List.of("/floor", "/home")) {
            assertThat(Jsoup.parse(asLifter(page)).select("#decided")).isEmpty();
        }
        long id = slip("hard-again");
        answer(id, "take", "reason", "two in a row");
        for (String page : List.of("/floor", "/home")) {
            assertThat(Jsoup.parse(asLifter(page)).select("#decided").text())
                    .contains("Squat")
                    .contains("became")
                    .contains("two in a row");
        }
        mvc.perform(post("/calls/" + id + "/take-back").with(club.asCoach()).with(csrf()));
        for (String page : List.of("/floor", "/home")) {
            assertThat(Jsoup.parse(asLifter(page)).select("#decided")).isEmpty();
        }
    }

    private String asLifter(String page) throws Exception {
        return mvc.perform(get(club.url(page)).with(club.asLifter()))
                .andReturn()
                .getResponse()
                .getContentAsString();
    }

    /**
     * The server was killed after a session was kept and before anybody heard of it: the event waits in the database, is sent
     * again, and gives each slip once.
     */
    @Test
    void aSessionThatNobodyHeardOfBeforeTheServerDiedIsHeardOfOnce() {
        jdbc.sql("delete from slip where lifter_id = ?").param(club.lifter.id()).update();
        long session = club.plan().standing().log().get(1).id();
        for (int i = 0; i < 2; i++) {
            transaction.executeWithoutResult(
                    status -> events.publishEvent(new SessionFinished(club.coach.clubId(), club.lifter.id(), session)));
        }
        waitForThoseWhoHear();
        assertThat(queue()).extracting(SlipLine::rule).containsExactlyInAnyOrder("hard-again", "sets-unlike");
    }

    @Test
    void inTheSessionALimitSetThatCollapsedHasThreeAnswers() throws Exception {
        club = clubs.club("squat 1 @8", "squat max 80% of top", "squat 5x2 80% of top");
        sessions.log(
                club.lifterPerson,
                club.lifter,
                club.plan().planned(0, 1),
                TestSettings.TODAY,
                sent("A.1", 180, 1, "8"),
                "");
        sessions.log(
                club.lifterPerson,
                club.lifter,
                club.plan().planned(0, 1),
                TestSettings.TODAY,
                sent("B.1", 145, 2, "10"),
                "");
        assertThat(asLifter("/floor?day=0&week=1&cards=yes")).contains("C.5");
        Document floor = Jsoup.parse(asLifter("/floor?day=0&week=1"));
        assertThat(floor.select(".asks button").eachText())
                .containsExactly("Cut the rest", "Count it as the first that follows, and go on", "Go on as planned");
        mvc.perform(post(club.url("/floor/changes"))
                        .with(club.asLifter())
                        .with(csrf())
                        .param("day", "0")
                        .param("week", "1")
                        .param(
                                "change",
                                floor.select(".asks form")
                                        .get(1)
                                        .select("input[name=change]")
                                        .eachAttr("value")
                                        .toArray(String[]::new)))
                .andExpect(
                        result -> assertThat(result.getResponse().getStatus()).isLessThan(400));
        mvc.perform(get(club.url("/floor?day=0&week=1")).with(club.asLifter()))
                .andExpect(content().string(containsString("C.4")));
        assertThat(asLifter("/floor?day=0&week=1&cards=yes")).doesNotContain("C.5");
    }

    private static Sessions.Sent sent(String task, int kg, int reps, String rating) {
        return new Sessions.Sent(
                UUID.randomUUID(),
                new DoneSet(TaskKey.parse(task), new LiftedSet(Lift.SQUAT, Mass.ofKg(kg), reps, Effort.parse(rating))),
                TestSettings.NOW);
    }
}
