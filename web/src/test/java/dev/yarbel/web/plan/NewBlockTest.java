package dev.yarbel.web.plan;

import static dev.yarbel.web.OnPage.shows;
import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.book.Book;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.ResultActions;

/** Drawing up a block from the form: what a school cannot draw, and what it asks for in place. */
@YarbelTest
class NewBlockTest extends DeskTesting {

    @Autowired
    Book book;

    private ResultActions draw(String weeks, String... fields) throws Exception {
        String[] all = new String[fields.length + 12];
        String[] usual = {
            "start", "2026-06-01", "weeks", weeks, "every", "0", "deload", "HALF_SETS", "days", "0", "days", "3"
        };
        System.arraycopy(usual, 0, all, 0, 12);
        System.arraycopy(fields, 0, all, 12, fields.length);
        return send("/new", all);
    }

    @Test
    void moreWeeksThanASchoolMakesSenseOfAreRefusedBesideTheirField() throws Exception {
        draw("13", "lifts[0].lift", "squat", "lifts[0].school", "goal-cycle", "keep", "1")
                .andExpect(status().isUnprocessableContent())
                .andExpect(
                        content().string(shows("#new-block-weeks-says", "Goal cycle makes sense for up to 12 weeks")));
    }

    @Test
    void specialisationIsForOneLift() throws Exception {
        draw(
                        "6",
                        "lifts[0].lift",
                        "squat",
                        "lifts[0].school",
                        "specialisation",
                        "lifts[2].lift",
                        "deadlift",
                        "lifts[2].school",
                        "specialisation",
                        "keep",
                        "1")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(shows(".bad", "for one lift at a time")));
    }

    /** The load that was asked for is set down in Book with the block, not before. */
    @Test
    void anEventsAnnouncedLoadIsAskedForInPlaceAndSetDownWhenTheBlockIsKept() throws Exception {
        draw("6", "lifts[1].lift", "yoke-walk", "lifts[1].school", "events", "keep", "1")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(shows(".bad", "The load announced for this event is not known")));
        draw("6", "lifts[1].lift", "yoke-walk", "lifts[1].school", "events", "lifts[1].event", "300kg", "look", "1")
                .andExpect(status().isOk());
        assertThat(announced()).isFalse();
        draw("6", "lifts[1].lift", "yoke-walk", "lifts[1].school", "events", "lifts[1].event", "300kg", "keep", "1")
                .andExpect(status().is3xxRedirection());
        assertThat(announced()).isTrue();
    }

    private boolean announced() {
        return book.standing(club.lifter)
                .numbers()
                .of(new Lift("yoke-walk"))
                .references()
                .event()
                .isPresent();
    }

    @Test
    void whatGivesWayIsAnsweredFirst() throws Exception {
        draw(
                        "6",
                        "lifts[0].lift",
                        "deadlift",
                        "lifts[0].school",
                        "rpe-led",
                        "lifts[0].weak",
                        "AT_THE_KNEE",
                        "look",
                        "1")
                .andExpect(content().string(shows(".overview", "Romanian deadlift")));
    }
}
