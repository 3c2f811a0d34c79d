package dev.yarbel.web.calls;

import static dev.yarbel.web.OnPage.shows;
import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.allOf;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.flash;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.block.Slot;
import dev.yarbel.core.effort.Effort;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.session.DoneSet;
import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.TestSettings;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.book.SessionFinished;
import dev.yarbel.web.page.ChangeKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.ResultActions;

/** What the rules find in planned sessions, what comes of their proposals, and how a coach sets them. */
@YarbelTest
class RulesOfJudgementTest extends OnCalls {

    private static final List<String> WRITTEN = List.of("squat 1 @8|180", "squat 3x5 140kg|140");

    private void twoHardSessions() {
        club = clubs.club("squat 1 @8", "squat 3x5 140kg");
        session(0, WRITTEN, "A 180x1 9", "B 140x5 8");
        session(1, WRITTEN, "A 180x1 9.5", "B 140x5 8");
    }

    @Test
    void aHardSessionOnceIsOnlyToBeKnown() throws Exception {
        club = clubs.club("squat 1 @8", "squat 3x5 140kg");
        session(0, WRITTEN, "A 180x1 9.5", "B 140x5 8");
        assertThat(queue()).singleElement().satisfies(line -> {
            assertThat(line.rule()).isEqualTo("hard-once");
            assertThat(line.isQuiet()).isTrue();
        });
        Document calls = page("/calls");
        assertThat(calls.select("nav.queue:not(.quietqueue)")).isEmpty();
        assertThat(calls.select(".quietqueue a")).hasSize(1);
        // nobody is called for it
        assertThat(slips.openByLifter(club.coach, List.of(club.lifter.id()))).isEmpty();
        assertThat(page("/calls/" + slip("hard-once")).select(".proposal").text())
                .startsWith("Hold");
    }

    @Test
    void theSecondHardSessionOvertakesTheFirstAndItsProposalStandsInThePlanToTheLastLoad() throws Exception {
        twoHardSessions();
        assertThat(queue()).extracting(SlipLine::rule).containsExactly("hard-again");
        long id = slip("hard-again");
        Document shown = page("/calls/" + id);
        assertThat(shown.select(".evidence tbody tr")).hasSize(2);
        assertThat(shown.select(".changes tbody tr")).hasSize(1);
        String after = shown.select(".changes .then .num").text();
        answer(id, "take", "reason", "two in a row").andExpect(redirectedUrl("/calls"));
        assertThat(dose(1, 2)).isEqualTo("3x5 " + after.replace("\u00a0", "").replace(" ", ""));
        assertThat(club.plan().projection().loads(0, 2).get(1).load())
                .contains(Mass.parse(after.replace('\u00a0', ' '), MassUnit.KG));
        assertThat(ledger.latest(club.lifter, 1).get(0)).satisfies(change -> {
            assertThat(change.kind()).isEqualTo(ChangeKind.CALL_TAKEN);
            assertThat(change.why()).contains("two in a row");
            assertThat(change.before()).isEqualTo("3x5 140kg");
        });
    }

    @Test
    void whatAnAnswerWroteIntoThePlanIsTakenBackInOneStep() throws Exception {
        twoHardSessions();
        long id = slip("hard-again");
        answer(id, "take").andExpect(flash().attribute("answered", id));
        assertThat(dose(1, 2)).isNotEqualTo("3x5 140kg");
        mvc.perform(post("/calls/" + id + "/take-back").with(club.asCoach()).with(csrf()))
                .andExpect(flash().attribute("notice", containsString("Taken back")));
        assertThat(dose(1, 2)).isEqualTo("3x5 140kg");
        assertThat(slip("hard-again")).isEqualTo(id);
    }

    /** The desk's own undo takes back what was done at the desk. */
    @Test
    void anAnswerIsNotTakenBackAtTheDesk() throws Exception {
        twoHardSessions();
        answer(slip("hard-again"), "take");
        String after = dose(1, 2);
        mvc.perform(post(club.url("/plan/undo")).with(club.asCoach()).with(csrf()));
        assertThat(dose(1, 2)).isEqualTo(after);
    }

    @Test
    void whatSomebodyWroteOverAnAnswerIsNotTakenBack() throws Exception {
        twoHardSessions();
        long id = slip("hard-again");
        answer(id, "take");
        String taken = dose(1, 2);
        mvc.perform(post(club.url("/plan/days/0"))
                .with(club.asCoach())
                .with(csrf())
                .param("was." + club.cell(1, 2), taken)
                .param("dose." + club.cell(1, 2), "3x5 100kg"));
        assertThat(dose(1, 2)).isEqualTo("3x5 100kg");
        mvc.perform(post("/calls/" + id + "/take-back").with(club.asCoach()).with(csrf()))
                .andExpect(flash().attribute("notice", containsString("cannot be taken back")));
        assertThat(dose(1, 2)).isEqualTo("3x5 100kg");
    }

    @Test
    void theCoachsOwnPercentageTakesThePlaceOfTheProposal() throws Exception {
        twoHardSessions();
        long id = slip("hard-again");
        for (String own : List.of("", "0", "31", "much")) {
            answer(id, "change", "own", own)
                    .andExpect(status().isUnprocessableContent())
                    .andExpect(content().string(shows("#change-own-says", "A percentage")));
        }
        answer(id, "change", "own", "10").andExpect(redirectedUrl("/calls"));
        assertThat(dose(1, 2)).isEqualTo("3x5 125kg");
    }

    /** Knee pain: another lift takes the place for a week, and gives it back. */
    @Test
    void anotherLiftTakesThePlaceForAWeek() throws Exception {
        club = clubs.club("squat 1 @8", "squat 3x5 75%");
        jdbc.sql(
                        "insert into ache (club_id, lifter_id, place, words, since) values (?, ?, 'KNEE', 'left', '2026-03-10')")
                .param(club.lifter.clubId())
                .param(club.lifter.id())
                .update();
        session(1, List.of("squat 1 @8|180", "squat 3x5 75%|150"), "A 180x1 8", "B 150x5 8");
        long id = slip("pain-noted");
        Document shown = page("/calls/" + id);
        assertThat(shown.select(".stop").text()).contains("doctor");
        List<String> others = shown.select("select[name=own] option").eachAttr("value");
        assertThat(others).hasSizeGreaterThan(1).doesNotContain("squat");
        for (String none : List.of("no-lift", "Not a lift!", "", "squat")) {
            answer(id, "change", "own", none)
                    .andExpect(status().isUnprocessableContent())
                    .andExpect(content().string(shows("#change-own-says", "Choose one of the lifts")));
        }
        answer(id, "change", "own", others.get(1)).andExpect(redirectedUrl("/calls"));
        assertThat(dose(0, 2)).isEmpty();
        assertThat(club.plan().block().days().get(0).slots().stream()
                        .filter(slot -> slot.lift().equals(new Lift(others.get(1))))
                        .map(slot -> slot.dose(2).orElseThrow().shorthand()))
                .hasSize(2)
                .allMatch(dose -> dose.contains("@7") || dose.contains("75%"));
        assertThat(club.plan().block().slots().map(Slot::reason).flatMap(Optional::stream))
                .isNotEmpty()
                .containsOnly("for Squat, while it hurts");
        mvc.perform(post("/calls/" + id + "/take-back").with(club.asCoach()).with(csrf()))
                .andExpect(flash().attribute("notice", containsString("Taken back")));
        assertThat(dose(0, 2)).isEqualTo("1 @8");
        assertThat(club.plan().block().slots()).hasSize(2);
    }

    /** Misses in two sessions, an estimate that falls, and seven weeks without a deload. */
    private void tired() {
        club = clubs.club("squat 3x5 75%", "squat 3x5 70%");
        for (int week = 7; week >= 2; week--) {
            sessions.addHistory(
                    club.lifter,
                    Optional.empty(),
                    TestSettings.TODAY.minusWeeks(week),
                    TestSettings.NOW,
                    List.of(new DoneSet(
                            TaskKey.work("A", 1),
                            new LiftedSet(Lift.SQUAT, Mass.ofKg(150 + 5L * week), 3, Effort.parse("9")))),
                    false);
        }
        List<String> asked = List.of("squat 3x5 75%|150", "squat 3x5 70%|140");
        session(0, asked, "A 150x4 missed", "B 140x5 9");
        session(1, asked, "A 150x4 missed", "B 140x5 9");
    }

    @Test
    void signsOfFatigueFromThreeSourcesMakeACallForAnEasyWeek() throws Exception {
        tired();
        assertThat(queue()).extracting(SlipLine::rule).contains("deload-suggested", "missed-reps");
        long id = slip("deload-suggested");
        Document shown = page("/calls/" + id);
        assertThat(shown.select(".fatigue .speaks")).hasSizeGreaterThanOrEqualTo(3);
        assertThat(shown.select(".changes tbody tr")).hasSize(2);
        answer(id, "change", "own", "NO_STYLE").andExpect(status().isUnprocessableContent());
        answer(id, "take").andExpect(status().isFound());
        assertThat(club.plan().block().weeks()).isEqualTo(4);
        assertThat(club.plan().block().shape().get(2).deload()).isTrue();
        assertThat(dose(0, 2)).isEqualTo("2x5 65%");
        assertThat(dose(0, 3)).isEqualTo("3x5 75%");
        mvc.perform(post("/calls/" + id + "/take-back").with(club.asCoach()).with(csrf()))
                .andExpect(flash().attribute("notice", containsString("Taken back")));
        assertThat(club.plan().block().weeks()).isEqualTo(3);
        answer(id, "change", "own", "OFF").andExpect(status().isFound());
        assertThat(dose(0, 2)).isEmpty();
        assertThat(ledger.latest(club.lifter, 1).get(0).kind()).isEqualTo(ChangeKind.CALL_CHANGED);
        mvc.perform(get(club.url("/book/decisions")).with(club.asLifter()))
                .andExpect(content().string(shows(".ledger", "Training as a whole")));
    }

    /** What the signs come to stands on a page of its own; a week that reaches over on purpose is recognised. */
    @Test
    void whatTellsOfFatigueIsDrawnAndWhatIsMeantIsNoAlarm() throws Exception {
        tired();
        Document readiness = page(club.url("/readiness"));
        assertThat(readiness.select(".advice").text()).isEqualTo("Consider a deload now.");
        assertThat(readiness.select(".fatigue .speaks")).hasSizeGreaterThanOrEqualTo(3);
        jdbc.sql("update block set shape = ',reach,-deload' where lifter_id = ?")
                .param(club.lifter.id())
                .update();
        assertThat(page(club.url("/readiness")).select(".advice").text()).contains("on purpose");
        jdbc.sql("update block set shape = ',,-deload' where lifter_id = ?")
                .param(club.lifter.id())
                .update();
        assertThat(page(club.url("/readiness")).select(".advice").text()).contains("at hand");
    }

    /** What was left is asked again when a further sign speaks, or four weeks later; not after the very next session. */
    @Test
    void aDeloadThatWasLeftIsNotAskedForAfterTheNextSession() throws Exception {
        tired();
        answer(slip("deload-suggested"), "leave");
        sessions.addHistory(
                club.lifter,
                Optional.of(club.plan().planned(0, 2)),
                TestSettings.TODAY,
                TestSettings.NOW,
                List.of(new DoneSet(
                        TaskKey.work("A", 1), new LiftedSet(Lift.SQUAT, Mass.ofKg(150), 5, Effort.parse("9")))),
                true);
        waitForThoseWhoHear();
        assertThat(queue()).extracting(SlipLine::rule).doesNotContain("deload-suggested");
    }

    /** A law's own step is in the plan already; the coach may write another load over it. */
    @Test
    void aLawsStepIsTakenOrWrittenOver() throws Exception {
        club = clubs.club("squat 3x5 last +2.5kg");
        session(1, List.of("squat 3x5 last +2.5kg|140"), "A 140x5 8", "A 140x5 9", "A 140x3 missed");
        long id = slip("law-setback");
        Document shown = page("/calls/" + id);
        assertThat(shown.select(".proposal").text()).contains("once more");
        assertThat(shown.select(".changes .then .num").text()).isEqualTo("140 kg");
        answer(id, "change", "own", "137,5").andExpect(redirectedUrl("/calls"));
        assertThat(dose(0, 2)).isEqualTo("3x5 137.5kg");
    }

    @Test
    void whatIsAnsweredIsFollowedByTheNextOneAndTheLastAnswerIsTakenBackFromThere() throws Exception {
        club = clubs.club("squat 3x5 75%", "bench-press 3x5 75%");
        session(1, List.of("squat 3x5 75%|150", "bench-press 3x5 75%|90"), "A 150x0 missed", "B 90x0 missed");
        List<SlipLine> waiting = queue();
        assertThat(waiting).hasSize(2).allMatch(line -> line.rule().equals("missed-outright"));
        answer(waiting.get(0).id(), "take")
                .andExpect(redirectedUrl("/calls/" + waiting.get(1).id()));
        assertThat(page("/calls").select("[data-key=j]")).isEmpty();
    }

    @Test
    void aSlipThatIsPutOffIsOutOfSightUntilItsDayOrANewerSession() throws Exception {
        club = clubs.club("squat 3x5 75%");
        session(0, List.of("squat 3x5 75%|150"), "A 150x4 missed");
        long id = slip("missed-reps");
        for (String until : List.of("", "2026-03-10", "2026-07-01", "soon")) {
            answer(id, "put-off", "until", until).andExpect(status().isUnprocessableContent());
        }
        answer(id, "put-off", "until", "2026-03-12").andExpect(redirectedUrl("/calls"));
        Document calls = page("/calls");
        assertThat(calls.select("details.quietqueue a")).hasSize(1);
        assertThat(calls.select(".slip")).isEmpty();
        assertThat(slips.openByLifter(club.coach, List.of(club.lifter.id()))).isEmpty();
        jdbc.sql("update slip set put_off_until = '2026-03-10' where id = ?")
                .param(id)
                .update();
        assertThat(slips.openByLifter(club.coach, List.of(club.lifter.id()))).hasSize(1);
        jdbc.sql("update slip set put_off_until = '2026-03-20' where id = ?")
                .param(id)
                .update();
        session(1, List.of("squat 3x5 75%|150"), "A 150x4 missed");
        assertThat(slips.openByLifter(club.coach, List.of(club.lifter.id()))).hasSize(1);
    }

    /** What was decided after a session is not asked again because a set of it was corrected; what weighs more is. */
    @Test
    void whatWasDecidedAfterASessionIsNotAskedAgainInOtherWords() throws Exception {
        club = clubs.club("squat 1 @8", "squat 3x5 75%");
        session(1, EASY, "A 190x1 6", "B 150x5 6");
        answer(queue().get(0).id(), "take");
        DoneSet corrected =
                new DoneSet(TaskKey.work("B", 1), new LiftedSet(Lift.SQUAT, Mass.ofKg(150), 5, Effort.parse("6.5")));
        sessions.correct(club.lifterPerson, club.lifter, club.plan().planned(0, 1), corrected);
        waitForThoseWhoHear();
        assertThat(queue()).isEmpty();
        DoneSet missed =
                new DoneSet(TaskKey.work("B", 1), new LiftedSet(Lift.SQUAT, Mass.ofKg(150), 4, Effort.parse("missed")));
        sessions.correct(club.lifterPerson, club.lifter, club.plan().planned(0, 1), missed);
        waitForThoseWhoHear();
        assertThat(queue()).extracting(SlipLine::rule).containsExactly("missed-reps");
    }

    // ---- by itself

    private void letBe() throws Exception {
        mvc.perform(post(club.url("/profile/fields/autopilot"))
                        .with(club.asCoach())
                        .with(csrf())
                        .param("value", "YES"))
                .andExpect(status().isFound());
    }

    private static final List<String> EASY = List.of("squat 1 @8|180", "squat 3x5 75%|150");

    @Test
    void aSmallChangeIsMadeWithoutAskingWhereTheCoachLetsItBeAndIsListed() throws Exception {
        club = clubs.club("squat 1 @8", "squat 3x5 75%");
        letBe();
        session(1, EASY, "A 190x1 6", "B 150x5 6");
        assertThat(queue()).extracting(SlipLine::rule).doesNotContain("lighter", "estimate-apart");
        assertThat(club.workingMax()).isGreaterThan(Mass.ofKg(200)).isLessThanOrEqualTo(Mass.ofKg(205));
        assertThat(ledger.latest(club.lifter, 1).get(0).kind()).isEqualTo(ChangeKind.CALL_BY_ITSELF);
        Mass after = club.workingMax();
        // heard of once more, as after a crash: nothing is done twice, nor anything else in its place
        writer.on(new SessionFinished(
                club.lifter.clubId(),
                club.lifter.id(),
                club.plan().session(0, 1).orElseThrow().id()));
        assertThat(club.workingMax()).isEqualTo(after);
        assertThat(queue()).extracting(SlipLine::rule).doesNotContain("lighter", "estimate-apart");
        Document answered = page("/calls/answered");
        assertThat(answered.select("tbody td").text()).contains("taken by itself");
        String action = answered.select("form[action*=take-back]").attr("action");
        mvc.perform(post(action).with(club.asCoach()).with(csrf()));
        assertThat(club.workingMax()).isEqualTo(Mass.ofKg(200));
        assertThat(queue()).isNotEmpty();
    }

    @Test
    void nothingIsDoneByItselfUnlessTheCoachLetsItNorWithAMiss() throws Exception {
        club = clubs.club("squat 1 @8", "squat 3x5 75%");
        session(1, EASY, "A 190x1 6", "B 150x5 6");
        assertThat(club.workingMax()).isEqualTo(Mass.ofKg(200));
        club = clubs.club("squat 1 @8", "squat 3x5 75%");
        letBe();
        session(1, EASY, "A 190x1 6", "B 150x4 missed");
        assertThat(club.workingMax()).isEqualTo(Mass.ofKg(200));
    }

    // ---- questions to the lifter

    private Document home() throws Exception {
        return Jsoup.parse(mvc.perform(get(club.url("/home")).with(club.asLifter()))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    private ResultActions say(String action, String... parameters) throws Exception {
        var request = post(action).with(club.asLifter()).with(csrf());
        for (int i = 0; i < parameters.length; i += 2) {
            request = request.param(parameters[i], parameters[i + 1]);
        }
        ResultActions said = mvc.perform(request);
        waitForThoseWhoHear();
        return said;
    }

    /** Three planned and none made: the lifter is asked on the phone, and the answer is what the set then says. */
    @Test
    void aLifterIsAskedWhatHappenedAndTheAnswerStandsBesideTheSet() throws Exception {
        club = clubs.club("squat 3x5 75%");
        session(1, List.of("squat 3x5 75%|150"), "A 150x0 missed");
        long id = slip("missed-outright");
        assertThat(page("/calls/" + id).select(".proposal q").text()).contains("What happened?");
        assertThat(home().select("form[action*=questions]")).isEmpty();
        answer(id, "take").andExpect(redirectedUrl("/calls"));
        String action = home().select("form[action*=questions]").attr("action");
        assertThat(home().select("section[id^=question]").text()).contains("150 kg");
        // no answer is no answer, and what was typed stays
        say(action, "words", "slept two hours")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(shows("[role=alert]", "Choose one")));
        say(action, "answer", "SLEEP_OR_STRESS", "words", "slept two hours")
                .andExpect(redirectedUrl(club.url("/home")));
        assertThat(home().select("form[action*=questions]")).isEmpty();
        assertThat(queue()).extracting(SlipLine::rule).containsExactly("miss-excused");
        assertThat(page("/calls/" + slip("miss-excused")).select(".evidence").text())
                .contains("sleep or stress")
                .contains("slept two hours");
        // asked and answered is not asked again
        say(action, "answer", "PAIN").andExpect(redirectedUrl(club.url("/home")));
        assertThat(queue()).extracting(SlipLine::rule).containsExactly("miss-excused");
    }

    @Test
    void aLoadInTheOtherUnitIsCorrectedByItsLifter() throws Exception {
        club = clubs.club("squat 3x5 75%");
        session(1, List.of("squat 3x5 75%|150"), "A 150x5 8", "A 330x5 8");
        answer(slip("unit-slip"), "take");
        Document home = home();
        assertThat(home.select("button[name=answer]").eachText()).containsExactly("It was 330 kg", "It was 330 lb");
        say(home.select("form[action*=questions]").attr("action"), "answer", "OTHER_LOAD");
        assertThat(club.plan().session(0, 1).orElseThrow().sets().get(1).set().load())
                .isEqualTo(Mass.ofLb(330));
        assertThat(queue()).extracting(SlipLine::rule).doesNotContain("unit-slip");
    }

    @Test
    void aQuestionThatIsTakenBackIsNotAskedAnyMoreAndOnlyThat() throws Exception {
        club = clubs.club("squat 3x5 75%", "bench-press 3x5 75%");
        session(1, List.of("squat 3x5 75%|150", "bench-press 3x5 75%|90"), "A 150x0 missed", "B 90x0 missed");
        List<SlipLine> asked = queue();
        for (SlipLine line : asked) {
            answer(line.id(), "take");
        }
        assertThat(home().select("form[action*=questions]")).hasSize(2);
        long id = asked.get(0).id();
        mvc.perform(post("/calls/" + id + "/take-back").with(club.asCoach()).with(csrf()));
        assertThat(home().select("form[action*=questions]")).hasSize(1);
        assertThat(slip("missed-outright")).isEqualTo(id);
    }

    // ---- the rules' page

    private ResultActions set(String rule, String... parameters) throws Exception {
        var request = post("/calls/rules/" + rule).with(club.asCoach()).with(csrf());
        for (int i = 0; i < parameters.length; i += 2) {
            request = request.param(parameters[i], parameters[i + 1]);
        }
        return mvc.perform(request);
    }

    private String threshold(String rule) throws Exception {
        return page("/calls/rules")
                .select("#" + rule + " input[name=threshold]")
                .val();
    }

    @Test
    void aRuleStandsInWordsWithItsThresholdItsSwitchAndItsReset() throws Exception {
        club = clubs.club();
        assertThat(threshold("hard-once")).isEqualTo("1");
        set("hard-once", "on", "true", "threshold", "1,5").andExpect(redirectedUrl("/calls/rules#hard-once"));
        assertThat(threshold("hard-once")).isEqualTo("1.5");
        assertThat(page("/calls/rules").select("#hard-once form[action$=reset]"))
                .hasSize(1);
        for (String wrong : List.of("0.4", "3.5", "much", "-1")) {
            set("hard-once", "on", "true", "threshold", wrong)
                    .andExpect(status().isUnprocessableContent())
                    .andExpect(content().string(shows("#hard-once-threshold-says", "from 0.5 to 3")));
        }
        assertThat(threshold("hard-once")).isEqualTo("1.5");
        set("hard-once/reset");
        assertThat(threshold("hard-once")).isEqualTo("1");
        set("pain-noted").andExpect(status().isUnprocessableContent());
        set("no-rule", "on", "true").andExpect(status().isNotFound());
    }

    @Test
    void aRuleThatIsSwitchedOffFindsNothing() throws Exception {
        club = clubs.club("squat 1 @8", "squat 3x5 140kg");
        set("hard-once");
        session(0, WRITTEN, "A 180x1 9.5", "B 140x5 8");
        assertThat(queue()).isEmpty();
        mvc.perform(get("/calls").with(club.asCoach()))
                .andExpect(content().string(allOf(shows(".empty", "No decision"), not(containsString("quietqueue")))));
    }

    @Test
    void threeLeftOfAKindRaiseTheThresholdByHalfAStepAndSaySo() throws Exception {
        club = clubs.club("squat 1 @8", "squat 3x5 140kg");
        session(0, WRITTEN, "A 180x1 9.5", "B 140x5 8");
        long id = slip("hard-once");
        List<String> said = new ArrayList<>();
        for (int left = 1; left <= 3; left++) {
            said.add((String) answer(id, "leave").andReturn().getFlashMap().get("notice"));
            waitsAgain(id);
        }
        assertThat(said.get(1)).doesNotContain("speaks from");
        assertThat(said.get(2)).contains("speaks from 1.5 on");
        assertThat(threshold("hard-once")).isEqualTo("1.5");
        assertThat(page("/calls/rules").select("#hard-once").text()).doesNotContain("left");
    }

    /** As if another session had given the same. */
    private void waitsAgain(long id) {
        jdbc.sql(
                        "update slip set status = 'OPEN', answered_at = null, answered_by = null, answer_entry = null where id = ?")
                .param(id)
                .update();
    }
}
