package dev.yarbel.web.plan;

import static dev.yarbel.web.OnPage.shows;
import static dev.yarbel.web.OnPage.tagged;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.hamcrest.Matchers.allOf;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.endsWith;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.flash;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.block.Slot;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.DoseParser;
import dev.yarbel.web.Clubs4Tests.TestClub;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.book.Change;
import dev.yarbel.web.page.ChangeKind;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.dao.DataIntegrityViolationException;

/** Changing a block at the desk: filling, undoing, weeks and slots, gates. */
@YarbelTest
class PlanDeskTest extends DeskTesting {

    // ---- what coaches write

    /** What is typed, and what is kept of it. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "1 @8, 5x5 -22%|1 @8 then 5x5 -22%",
                "3x5 2RIR|3x5 @8",
                "5x5 @ 70%|5x5 70%",
                "5x5 120|5x5 120kg",
                "120x5|1x5 120kg",
                "off|''",
                "8,8,6,6 60%|2x8 60% then 2x6 60%",
                "3x8 60% of deadlift|3x8 60% of deadlift",
                "1bw|''",
            })
    void whatCoachesWriteIsKeptInOneForm(String typed, String kept) throws Exception {
        String text = typed.equals("1bw") ? "3x3 1bw" : typed;
        type(2, 0, "3x5 75%", text).andExpect(status().is3xxRedirection());
        assertThat(row(2).get(0)).isEqualTo(typed.equals("1bw") ? "3x3 bw" : kept);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "5x5 40|would be",
                "3x10 bw|own mass on the bar",
                "3x5 70% rest 2|Seconds or minutes",
                "3x5 1,000|One, or a thousand",
                "55 75%|with the x between them missing",
                "3x8 60% of dedlift|3x8 60% of deadlift",
                "5x225|Repetitions, or a load",
            })
    void whereTwoThingsCouldBeMeantItIsAskedAndNothingIsKept(String typed, String asked) throws Exception {
        type(2, 0, "3x5 75%", typed).andExpect(content().string(shows(".bad, .plain", asked)));
        assertThat(row(2).get(0)).isEqualTo("3x5 75%");
    }

    @Test
    void aSlotIsCopiedBelowItselfWithWhatIsStillToCome() throws Exception {
        lifted(0);
        change("SLOT_COPY", "slot", slotId(0)).andExpect(status().is3xxRedirection());
        assertThat(row(1)).containsExactly("", "1 @8", "1 @8");
        assertThat(club.plan().block().days().get(0).slots().get(1).letter()).isEqualTo("D");
        send("/undo");
        assertThat(club.plan().block().days().get(0).slots()).hasSize(3);
    }

    // ---- filling

    @Test
    void weeksToTheRightAreFilledByARule() throws Exception {
        send("/days/0/fill", "slot", slotId(2), "from", "1", "to", "3", "rule", "steady", "points", "5")
                .andExpect(status().is3xxRedirection());
        assertThat(row(2)).containsExactly("3x5 75%", "3x5 80%", "3x5 85%");
        send("/days/0/fill", "slot", slotId(2), "from", "1", "to", "3", "rule", "shrinking", "goal", "79");
        assertThat(row(2)).containsExactly("3x5 75%", "3x5 77.5%", "3x5 79%");
        send("/days/0/fill", "slot", slotId(2), "from", "1", "to", "3", "rule", "backwards", "last", "1x3 80%");
        assertThat(row(2)).containsExactly("3x5 75%", "2x4 77.5%", "1x3 80%");
    }

    @Test
    void aDeloadFilledInIsADeloadWeek() throws Exception {
        send("/days/0/fill", "slot", slotId(2), "from", "1", "to", "3", "rule", "deload", "style", "HALF_SETS");
        assertThat(row(2).get(1)).isEqualTo("2x5 65%");
        assertThat(club.plan().block().shape().get(1).deload()).isTrue();
    }

    @Test
    void aRuleThatDoesNotGoWithTheDoseSaysSoAndChangesNothing() throws Exception {
        send("/days/0/fill", "slot", slotId(0), "from", "1", "to", "3", "rule", "shrinking", "goal", "90")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(shows(".note", "That rule leads to a percentage, and 1 @8 asks for none")));
        assertThat(row(0)).containsExactly("1 @8", "1 @8", "1 @8");
    }

    @Test
    void aFieldThatCannotBeReadIsSaidBesideItAndKeepsWhatWasTyped() throws Exception {
        send("/days/0/fill", "slot", slotId(2), "from", "1", "to", "3", "rule", "shrinking", "goal", "heavy")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content()
                        .string(allOf(
                                tagged(".form-control", "value=\"heavy\""),
                                tagged("#fill-goal-says", "fill-goal-says"))));
    }

    @Test
    void whatWasLiftedIsNotFilled() throws Exception {
        lifted(1);
        send("/days/0/fill", "slot", slotId(2), "from", "1", "to", "3", "rule", "steady", "points", "5");
        assertThat(row(2)).containsExactly("3x5 75%", "3x5 75%", "3x5 85%");
    }

    @Test
    void stepsThatAreTooLargeAreRefusedWithHowFarTheyLead() throws Exception {
        List<String> before = row(2);
        send("/days/0/fill", "slot", slotId(2), "from", "1", "to", "3", "rule", "shrinking", "goal", "98")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(containsString("From 75\u00a0% to 98\u00a0% the steps would be too large")))
                .andExpect(content().string(containsString("so many weeks lead to 80\u00a0%")));
        assertThat(row(2)).isEqualTo(before);
    }

    @Test
    void aDeloadStaysWhenTheRowIsFilledAndEndsWhenItIsTypedOver() throws Exception {
        send("/days/0/fill", "slot", slotId(2), "from", "1", "to", "2", "rule", "deload", "style", "HALF_SETS");
        assertThat(club.plan().block().shape().get(1).deload()).isTrue();
        send("/days/0/fill", "slot", slotId(2), "from", "1", "to", "3", "rule", "steady", "points", "5")
                .andExpect(flash().attribute("done", endsWith("Deload weeks stay as they are.")));
        assertThat(row(2)).containsExactly("3x5 75%", "2x5 65%", "3x5 80%");
        type(2, 1, "2x5 65%", "2x5 60%");
        assertThat(club.plan().block().shape().get(1).deload()).isTrue();
        type(2, 1, "2x5 60%", "3x5 77.5%");
        assertThat(club.plan().block().shape().get(1).deload()).isFalse();
        send("/undo");
        assertThat(club.plan().block().shape().get(1).deload()).isTrue();
    }

    // ---- a contest

    @Test
    void theWeeksBeforeAContestAreShapedByOneCommandAndBroughtBackByOneStep() throws Exception {
        List<String> top = row(0);
        List<String> volume = row(2);
        LocalDate contest = club.plan().block().date(0, 2).plusDays(5);
        change("CONTEST_SHAPE", "contest", contest.toString()).andExpect(status().is3xxRedirection());
        assertThat(club.plan().block().contest()).contains(contest);
        // twelve days out, and five
        assertThat(row(2).get(1)).isEqualTo("2x5 75%");
        assertThat(row(2).get(2)).isEqualTo("2x3 75%");
        send("/undo");
        assertThat(row(0)).isEqualTo(top);
        assertThat(row(2)).isEqualTo(volume);
        assertThat(club.plan().block().contest()).isEmpty();
    }

    @Test
    void whatWasLiftedStaysWhenWeeksAreShapedForAContest() throws Exception {
        lifted(1);
        LocalDate contest = club.plan().block().date(0, 2).plusDays(5);
        change("CONTEST_SHAPE", "contest", contest.toString());
        assertThat(row(2).get(1)).isEqualTo("3x5 75%");
        assertThat(row(2).get(2)).isEqualTo("2x3 75%");
    }

    @Test
    void aContestFarFromTheBlockIsRefusedBesideItsField() throws Exception {
        change(
                        "CONTEST_SHAPE",
                        "contest",
                        club.plan().block().end().plusDays(15).toString())
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(shows("#change-contest-says", "at most 14 days after it ends")));
    }

    // ---- undo and redo

    @Test
    void everyChangeIsTakenBackAndBroughtBackInItsOrder() throws Exception {
        List<String> first = row(2);
        type(2, 0, "3x5 75%", "3x5 70%");
        send("/days/0/fill", "slot", slotId(2), "from", "1", "to", "3", "rule", "same");
        change("WEEK_COPY", "week", "3");
        assertThat(row(2)).containsExactly("3x5 70%", "3x5 70%", "3x5 70%", "3x5 70%");
        send("/undo");
        send("/undo")
                .andExpect(flash().attribute("done", endsWith("Taken back: 2 doses filled to the right, Squat day")));
        assertThat(row(2)).containsExactly("3x5 70%", first.get(1), first.get(2));
        send("/undo");
        assertThat(row(2)).isEqualTo(first);
        send("/undo").andExpect(flash().attribute("done", endsWith("Nothing of yours to take back today.")));
        send("/undo", "redo", "true");
        send("/undo", "redo", "true");
        send("/undo", "redo", "true");
        assertThat(row(2)).containsExactly("3x5 70%", "3x5 70%", "3x5 70%", "3x5 70%");
        send("/undo", "redo", "true").andExpect(flash().attribute("done", endsWith("Nothing to bring back.")));
    }

    @Test
    void aNewChangeEndsWhatCouldBeBroughtBack() throws Exception {
        type(2, 0, "3x5 75%", "3x5 70%");
        send("/undo");
        type(2, 1, "3x5 75%", "3x5 60%");
        send("/undo", "redo", "true").andExpect(flash().attribute("done", endsWith("Nothing to bring back.")));
        assertThat(row(2).get(0)).isEqualTo("3x5 75%");
    }

    @Test
    void undoIsWrittenIntoTheLedgerLikeAnyChange() throws Exception {
        type(2, 0, "3x5 75%", "3x5 70%");
        send("/undo");
        Change change = ledger.latest(club.lifter, 1).get(0);
        assertThat(change.kind()).isEqualTo(ChangeKind.BLOCK);
        assertThat(change.before()).isEqualTo("3x5 70%");
        assertThat(change.after()).isEqualTo("3x5 75%");
        mvc.perform(get(club.url("/book/decisions")).with(club.asCoach()))
                .andExpect(content().string(shows(".ledger", "Taken back: 1 dose changed")));
    }

    @Test
    void undoDoesNotOverwriteWhatSomebodyElseWroteThereMeanwhile() throws Exception {
        type(2, 0, "3x5 75%", "3x5 70%");
        // the head coach looks after the lifter too, so writes there as another
        jdbc.sql("update dose_cell set shorthand = '3x5 60%' where slot_id = ? and week = 0")
                .param(Long.valueOf(slotId(2)))
                .update();
        send("/undo").andExpect(flash().attributeExists("refused"));
        assertThat(row(2).get(0)).isEqualTo("3x5 60%");
    }

    /** Weeks are counted: after somebody else has moved them, the week that was changed is another. */
    @Test
    void undoLeavesAWeekThatSomebodyElseMovedMeanwhile() throws Exception {
        type(2, 1, "3x5 75%", "3x5 70%");
        jdbc.sql("update dose_cell set shorthand = '3x5 70%' where slot_id = ?")
                .param(Long.valueOf(slotId(2)))
                .update();
        change("WEEK_COPY", "week", "3");
        // a lifter has one coach at a time: somebody else's entry is one of a coach before
        club.asHeadCoach();
        jdbc.sql("""
                        update change_entry e set made_by_name = 'Head', made_by =
                          (select max(a.id) from account a where a.club_id = e.club_id)
                        where club_id = ? and subject[1] = 'week-copy'""").param(club.lifter.clubId()).update();
        send("/undo")
                .andExpect(
                        flash().attribute(
                                        "refused",
                                        "Something else was written there after you (Head). It stays as it is; nothing was taken back."));
        assertThat(row(2)).containsOnly("3x5 70%");
    }

    @Test
    void whatWasTakenOutComesBackUnderItsNumberWithItsGate() throws Exception {
        send("/gates", "slot", slotId(1), "gate", "REVERSE_BANDS", "spotter", "Somebody");
        type(1, 1, "2x5 -20%", "3x1 105% reverse 20kg");
        Slot slot = club.plan().block().days().get(0).slots().get(1);
        change("SLOT_REMOVE", "slot", slotId(1));
        assertThat(club.plan().block().slot(slot.id())).isEmpty();
        send("/undo").andExpect(flash().attributeExists("done"));
        assertThat(club.plan().block().slot(slot.id())).contains(slot);
    }

    /** Two slots of one letter, or at one place, cannot be kept, whoever writes them. */
    @ParameterizedTest
    @ValueSource(strings = {"letter = 'A'", "position = 0"})
    void theDatabaseHoldsLettersAndOrderToo(String alike) {
        assertThatThrownBy(() -> jdbc.sql("update slot set " + alike + " where id = ?")
                        .param(Long.valueOf(slotId(1)))
                        .update())
                .isInstanceOf(DataIntegrityViolationException.class);
    }

    @Test
    void undoLeavesWhatHasBeenLiftedMeanwhile() throws Exception {
        type(2, 1, "3x5 75%", "3x5 70%");
        lifted(1);
        send("/undo")
                .andExpect(flash().attribute(
                                "refused",
                                "Week 2 holds a session that was lifted. It stays as it was; nothing was changed."));
        assertThat(row(2).get(1)).isEqualTo("3x5 70%");
    }

    // ---- weeks

    @Test
    void weeksAreSkippedRepeatedMovedAndTakenOutWithTheirDoses() throws Exception {
        change("WEEK_INSERT", "week", "2");
        assertThat(row(2)).containsExactly("3x5 75%", "", "3x5 75%", "3x5 77.5%");
        change("WEEK_REMOVE", "week", "2");
        change("WEEK_LATER", "week", "2");
        assertThat(row(2)).containsExactly("3x5 75%", "3x5 77.5%", "3x5 75%");
        change("WEEK_EARLIER", "week", "2");
        assertThat(row(2)).containsExactly("3x5 77.5%", "3x5 75%", "3x5 75%");
        change("PHASE_LENGTHEN", "week", "1", "by", "2");
        assertThat(row(2)).containsExactly("3x5 77.5%", "3x5 77.5%", "3x5 77.5%", "3x5 75%", "3x5 75%");
        change("WEEK_SHAPE", "week", "2", "phase", "PEAK", "deload", "on");
        assertThat(club.plan().block().shape().get(1).deload()).isTrue();
        mvc.perform(get(club.url("/plan")).with(club.asCoach()))
                .andExpect(content().string(tagged(".phase", "class=\"phase peak\"")));
    }

    @Test
    void weeksThatWereLiftedStayWhereTheyAre() throws Exception {
        lifted(0);
        for (String kind : List.of("WEEK_INSERT", "WEEK_REMOVE", "WEEK_LATER")) {
            change(kind, "week", "1")
                    .andExpect(status().isUnprocessableContent())
                    .andExpect(content().string(shows(".note", "Sessions were logged up to week 1")));
        }
        change("BLOCK_SHIFT", "start", "2026-05-04").andExpect(status().isUnprocessableContent());
        assertThat(row(2)).containsExactly("3x5 75%", "3x5 75%", "3x5 77.5%");
        change("WEEK_INSERT", "week", "2").andExpect(status().is3xxRedirection());
        assertThat(row(2)).containsExactly("3x5 75%", "", "3x5 75%", "3x5 77.5%");
        assertThat(club.plan().isFinished(0, 0)).isTrue();
    }

    @Test
    void aBlockNobodyHasLiftedIsShiftedInTime() throws Exception {
        change("BLOCK_SHIFT", "start", "2026-05-04").andExpect(status().is3xxRedirection());
        assertThat(club.plan().block().start()).hasToString("2026-05-04");
        change("BLOCK_SHIFT", "start", "May")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(tagged("#change-start-says", "change-start-says")));
    }

    @Test
    void aChangeOfWhatSomebodyElseChangedMeanwhileIsAskedForOnceMore() throws Exception {
        String stamp = club.plan().stamp();
        change("WEEK_COPY", "week", "3");
        send("/change", "kind", "WEEK_REMOVE", "week", "3", "stamp", stamp)
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(shows(".note", "changed meanwhile")));
        assertThat(club.plan().block().weeks()).isEqualTo(4);
    }

    // ---- slots and days

    @Test
    void slotsAreAddedMovedChangedAndTakenOut() throws Exception {
        String day = String.valueOf(club.plan().block().days().get(0).id());
        change("SLOT_ADD", "day", day, "lift", "front-squat", "reason", "quads");
        Slot added = club.plan().block().days().get(0).slots().get(3);
        assertThat(added.letter()).isEqualTo("D");
        assertThat(added.reason()).contains("quads");
        change("SLOT_UP", "slot", slotId(3));
        assertThat(club.plan().block().days().get(0).slots().get(2).lift()).isEqualTo(new Lift("front-squat"));
        assertThat(club.plan().block().days().get(0).slots().get(2).letter()).isEqualTo("C");
        change("SLOT_SET", "slot", slotId(2), "letter", "c1", "lift", "paused-squat", "reason", "");
        assertThat(club.plan().block().days().get(0).slots().get(2).letter()).isEqualTo("C1");
        change("SLOT_SET", "slot", slotId(2), "letter", "A", "lift", "paused-squat", "reason", "")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(shows("#change-letter-says", "Another slot of this day has that letter.")));
        change("SLOT_REMOVE", "slot", slotId(2));
        assertThat(club.plan().block().days().get(0).slots()).hasSize(3);
        send("/undo");
        assertThat(club.plan().block().days().get(0).slots()).hasSize(4);
    }

    @Test
    void ofASlotWithAHistoryOnlyWhatIsStillToComeIsTakenOut() throws Exception {
        lifted(0);
        change("SLOT_REMOVE", "slot", slotId(2)).andExpect(status().is3xxRedirection());
        assertThat(row(2)).containsExactly("3x5 75%", "", "");
        change("SLOT_SET", "slot", slotId(2), "letter", "C", "lift", "front-squat", "reason", "")
                .andExpect(content().string(shows(".note", "This day has been lifted")));
        change(
                "DAY_REMOVE",
                "day",
                String.valueOf(club.plan().block().days().get(0).id()));
        assertThat(row(0)).containsExactly("1 @8", "", "");
    }

    @Test
    void daysAreAddedCopiedAndTakenOut() throws Exception {
        change("DAY_ADD", "name", "Bench day", "offset", "2");
        assertThat(club.plan().block().days()).hasSize(2);
        String first = String.valueOf(club.plan().block().days().get(0).id());
        change("DAY_COPY", "day", first, "name", "Squat again", "offset", "4");
        assertThat(row(club.plan(), 2, 2)).containsExactly("3x5 75%", "3x5 75%", "3x5 77.5%");
        change(
                "DAY_EARLIER",
                "day",
                String.valueOf(club.plan().block().days().get(2).id()));
        assertThat(club.plan().block().days().get(1).name()).isEqualTo("Squat again");
        change(
                "DAY_REMOVE",
                "day",
                String.valueOf(club.plan().block().days().get(1).id()));
        assertThat(club.plan().block().days()).hasSize(2);
        send("/undo");
        assertThat(club.plan().block().days()).hasSize(3);
        mvc.perform(get(club.url("/plan?day=1")).with(club.asCoach())).andExpect(status().isOk());
    }

    @Test
    void aSlotOrDayOfAnotherClubCannotBeNamed() throws Exception {
        TestClub other = clubs.club();
        String foreign =
                String.valueOf(other.plan().block().days().get(0).slots().get(0).id());
        change("SLOT_REMOVE", "slot", foreign).andExpect(status().isUnprocessableContent());
        mvc.perform(get(club.url("/plan?block=" + other.plan().blockId())).with(club.asCoach()))
                .andExpect(status().isNotFound());
        assertThat(other.plan().block().days().get(0).slots()).hasSize(3);
    }

    // ---- marks and gates

    @Test
    void whatIsTypedIsMarkedWhileItIsTyped() throws Exception {
        mvc.perform(get(club.url("/plan/days/0/preview"))
                        .with(club.asCoach())
                        .param("dose." + club.cell(2, 1), "3x3 105%"))
                .andExpect(
                        content().string(shows(".visually-hidden", "of the max, and neither a partial nor lowering")));
        mvc.perform(get(club.url("/plan/days/0/preview"))
                        .with(club.asCoach())
                        .param("dose." + club.cell(2, 1), "3x3 105% partial"))
                .andExpect(content().string(not(containsString("neither a partial"))));
    }

    @Test
    void moreDaysThanTheProfileSaysAreMarked() throws Exception {
        String day = String.valueOf(club.plan().block().days().get(0).id());
        change("DAY_COPY", "day", day, "name", "Again", "offset", "3");
        String told = "the block asks for 2 days a week; the lifter has 1.";
        mvc.perform(get(club.url("/plan")).with(club.asCoach()))
                .andExpect(content().string(not(containsString(told))));
        mvc.perform(post(club.url("/profile/fields/days"))
                .with(club.asCoach())
                .with(csrf())
                .param("value", "1"));
        mvc.perform(get(club.url("/plan")).with(club.asCoach()))
                .andExpect(content().string(shows(".watch", told)));
    }

    @Test
    void anUnreadableDoseComesWithASuggestion() throws Exception {
        mvc.perform(get(club.url("/plan/days/0/preview"))
                        .with(club.asCoach())
                        .param("dose." + club.cell(2, 1), "4x8 72% tmpo 3010"))
                .andExpect(content()
                        .string(allOf(containsString("<mark>t</mark>"), shows(".plain", "4x8 72% tempo 3010"))));
    }

    @Test
    void aLiftThatNobodyKnowsIsSaid() throws Exception {
        type(2, 1, "3x5 75%", "3x5 50% of dedlift")
                .andExpect(content().string(shows(".bad", "No lift is called dedlift")));
        assertThat(row(2).get(1)).isEqualTo("3x5 75%");
    }

    @Test
    void aGatedSchemeWaitsForACoachsNamedConfirmation() throws Exception {
        type(2, 1, "3x5 75%", "3x1 105% reverse 20kg")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content()
                        .string(allOf(
                                shows("textarea.dose", "3x1 105% reverse 20kg"),
                                shows(".bad", "a competent spotter, named"),
                                shows(".bad", "mastery of the lift is not high enough"))));
        assertThat(row(2).get(1)).isEqualTo("3x5 75%");
        send("/gates", "slot", slotId(2), "gate", "REVERSE_BANDS", "spotter", " ")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(tagged("#gate-spotter-says", "gate-spotter-says")));
        send("/gates", "slot", slotId(2), "gate", "REVERSE_BANDS", "spotter", "Somebody");
        type(2, 1, "3x5 75%", "3x1 105% reverse 20kg").andExpect(status().is3xxRedirection());
        assertThat(row(2).get(1)).isEqualTo("3x1 105% reverse 20kg");
        assertThat(ledger.latest(club.lifter, ChangeKind.GATE, 1).get(0).after())
                .isEqualTo("Somebody");
        mvc.perform(get(club.url("/plan?day=0")).with(club.asCoach()))
                .andExpect(content().string(shows(".stop", "reverse bands: opened by name")));
    }

    @Test
    void aGateIsOpenedForOneSlotOnly() throws Exception {
        send("/gates", "slot", slotId(2), "gate", "REVERSE_BANDS", "spotter", "Somebody");
        type(1, 1, "2x5 -20%", "3x1 105% reverse 20kg").andExpect(status().isUnprocessableContent());
    }

    // ---- shorthand, history

    @Test
    void everyDoseOfTheCheatSheetIsADoseInItsOneForm() throws Exception {
        DoseSheet.DOSES.forEach((group, doses) -> doses.forEach(
                dose -> assertThat(DoseParser.parse(dose)).as(dose).isInstanceOf(DoseParser.Read.class)));
        mvc.perform(get("/plan/doses").with(club.asCoach()))
                .andExpect(content()
                        .string(allOf(
                                shows(".cheatcols", "10x1 in 10min gap 30 90%"), containsString("stop      = "))));
    }

    @Test
    void aSessionKeepsWhatWasPlannedWhenItBegan() throws Exception {
        mvc.perform(post(club.url("/floor/sets"))
                .with(club.asLifter())
                .with(csrf())
                .param("day", "0")
                .param("week", "1")
                .param("task", "A.1")
                .param("load", "180")
                .param("reps", "1")
                .param("effort", "8")
                .param("token", UUID.randomUUID().toString()));
        type(2, 1, "3x5 75%", "2x5 70%").andExpect(status().is3xxRedirection());
        assertThat(jdbc.sql("select planned from training_session where lifter_id = ?")
                        .param(club.lifter.id())
                        .query(String.class)
                        .single())
                .contains("C\tsquat\t3x5 75%");
        mvc.perform(get(club.url("/floor?day=0&week=1")).with(club.asLifter()))
                .andExpect(content()
                        .string(containsString("changed this day's plan after you began".replace("'", "&#39;"))));
        mvc.perform(get(club.url("/plan?day=0")).with(club.asCoach()))
                .andExpect(content().string(shows(".donemark", "under way")));
    }

    @Test
    void anEventHangsOnTheLoadThatWasAnnounced() throws Exception {
        mvc.perform(post(club.url("/book/lifts/squat/event-load"))
                .with(club.asCoach())
                .with(csrf())
                .param("load", "140"));
        mvc.perform(get(club.url("/plan/days/0/preview"))
                        .with(club.asCoach())
                        .param("dose." + club.cell(2, 1), "3x1 50% event"))
                .andExpect(content().string(shows(".load", "70 kg")));
        assertThat(ledger.latest(club.lifter, ChangeKind.EVENT_LOAD, 1)).hasSize(1);
    }

    @Test
    void theReckoningFollowsWhatIsTyped() throws Exception {
        String cell = club.cell(2, 1);
        mvc.perform(post(club.url("/plan/days/0"))
                        .with(club.asCoach())
                        .with(csrf())
                        .header("HX-Request", "true")
                        .param("was." + cell, "3x5 75%")
                        .param("dose." + cell, "6x3 85%"))
                .andExpect(content()
                        .string(allOf(
                                tagged("#reckoning", "id=\"reckoning\""),
                                tagged("#reckoning", "hx-swap-oob=\"true\""),
                                tagged("#marks", "id=\"marks\""),
                                // 3 days' 10 + 15 reps and 1 single, with 18 in place of 15 in this week
                                containsString("<dd>81</dd>"))));
        assertThat(Optional.of(row(2).get(1))).contains("6x3 85%");
    }
}
