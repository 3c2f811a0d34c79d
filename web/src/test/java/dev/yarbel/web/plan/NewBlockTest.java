package dev.yarbel.web.plan;

import static dev.yarbel.web.OnPage.shows;
import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.school.School;
import dev.yarbel.web.YarbelTest;
import dev.yarbel.web.book.Book;
import java.net.URI;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
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

    private Document page(String path) throws Exception {
        return Jsoup.parse(mvc.perform(get(URI.create(club.url("/plan" + path))).with(club.asCoach()))
                .andExpect(
                        result -> assertThat(result.getResponse().getStatus()).isIn(200, 422))
                .andReturn()
                .getResponse()
                .getContentAsString());
    }

    private static List<String> whole(Document page) {
        return page.select(".whole .shortdose, .whole b, .whole .dayrow td").eachText();
    }

    /** What is looked at beside the answers is what is kept, to the last dose and load, whatever the school. */
    @ParameterizedTest
    @EnumSource(School.class)
    void whatIsLookedAtIsWhatIsKept(School school) throws Exception {
        String lift = school == School.EVENTS ? "yoke-walk" : "squat";
        String[] answers = {"lifts[0].lift", lift, "lifts[0].school", school.key(), "lifts[0].event", "300kg"};
        String asked = "/new/preview?start=2026-06-01&weeks=8&every=0&deload=HALF_SETS&days=0&days=3&lifts[0].lift="
                + lift + "&lifts[0].school=" + school.key() + "&lifts[0].event=300kg";
        Document page = page(asked.replace("[", "%5B").replace("]", "%5D"));
        List<String> looked = whole(page);
        assertThat(looked).as(page.select("#drawn").text()).isNotEmpty();
        assertThat(blocks.of(club.lifter)).hasSize(1);
        String[] keep = Arrays.copyOf(answers, answers.length + 2);
        keep[answers.length] = "keep";
        keep[answers.length + 1] = "1";
        String kept = draw("8", keep).andReturn().getResponse().getRedirectedUrl();
        assertThat(kept).isNotNull();
        assertThat(whole(page("/whole" + kept.substring(kept.indexOf('?'))))).isEqualTo(looked);
    }

    @Test
    void whatStandsInTheWayIsSaidWhereTheBlockWouldBe() throws Exception {
        Document page = page("/new/preview?start=&weeks=6&every=0&deload=HALF_SETS&days=0");
        assertThat(page.select("#drawn .bad")).isNotEmpty();
        assertThat(page.select(".whole")).isEmpty();
    }

    @Test
    void aContestFarOffIsNoErrorAndItsDateIsKept() throws Exception {
        draw("6", "lifts[0].lift", "squat", "lifts[0].school", "rpe-led", "contest", "2027-03-06", "keep", "1")
                .andExpect(status().is3xxRedirection());
        assertThat(blocks.of(club.lifter).get(0).contest()).contains(LocalDate.of(2027, 3, 6));
        draw("6", "lifts[0].lift", "squat", "lifts[0].school", "rpe-led", "contest", "2026-06-01", "keep", "1")
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(shows("#new-block-contest-says", "after the first day")));
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
                .andExpect(content().string(shows(".whole", "Romanian deadlift")));
    }
}
