package dev.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;

import dev.yarbel.core.block.Block;
import dev.yarbel.core.block.Slot;
import dev.yarbel.core.block.TrainingDay;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.web.block.Blocks;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** A plan read before anybody lifts it, in a browser: days laid by keyboard, two blocks side by side, odds over the sheet; and a short day on the phone. */
@YarbelTest
class BeforehandJourneyTest {

    @LocalServerPort
    private int port;

    @Autowired
    private Clubs4Tests clubs;

    @Autowired
    private Blocks blocks;

    private Clubs4Tests.TestClub club;
    private Browser browser;

    @BeforeEach
    void open() {
        club = clubs.club();
        browser = new Browser("http://127.0.0.1:" + port);
    }

    @AfterEach
    void close() {
        browser.close();
    }

    private long block(String name, int weeksAhead, TrainingDay... days) {
        return blocks.begin(
                club.coach,
                club.lifter,
                new Block(TestSettings.TODAY.plusWeeks(weeksAhead).plusDays(6), 3, List.of(days)).named(name),
                "");
    }

    private static TrainingDay day(String name, int offset, Lift lift, String... doses) {
        return new TrainingDay(
                name,
                offset,
                List.of(new Slot(
                        "A",
                        lift,
                        List.of(doses).stream()
                                .map(dose -> Optional.of(Dose.parse(dose)))
                                .toList())));
    }

    @Test
    void aDayIsMovedByKeyboardAndWhatComesTooSoonIsGone() {
        long close = block(
                "Close",
                1,
                day("Squat", 0, Lift.SQUAT, "4x3 @9", "4x3 @9", "4x3 @9"),
                day("Pull", 1, Lift.DEADLIFT, "4x3 @9", "4x3 @9", "4x3 @9"));
        browser.desk().signIn(club.coachName(), club.password());
        browser.open(club.url("/plan/wake?block=" + close + "&week=1"));
        browser.waitForText(".marks", "in the wake of");
        browser.tabTo(".laydays label:nth-of-type(2) select");
        // the day after, and the ones after that
        browser.press(Keys.ARROW_DOWN, Keys.ARROW_DOWN, Keys.ARROW_DOWN);
        browser.tabTo(".laydays button").press(Keys.ENTER);
        browser.waitForText(".wakepage b", "as laid here");
        assertThat(browser.all("rect.soon")).isEmpty();
        assertThat(blocks.open(club.lifter, TestSettings.ZONE, Optional.of(close))
                        .orElseThrow()
                        .block()
                        .days()
                        .get(1)
                        .offset())
                .isEqualTo(1);
        browser.tabTo(".wakepage form[method=post] button").press(Keys.ENTER);
        browser.waitForText(".note", "The days lie so now");
        assertThat(blocks.open(club.lifter, TestSettings.ZONE, Optional.of(close))
                        .orElseThrow()
                        .block()
                        .days()
                        .get(1)
                        .offset())
                .isEqualTo(4);
    }

    /** The same by mouse: the pull is dragged onto a free day, then onto the squat's, with which it changes places. */
    @Test
    void aDayIsDraggedToAnotherWeekday() {
        long close = block(
                "Close",
                1,
                day("Squat", 0, Lift.SQUAT, "4x3 @9", "4x3 @9", "4x3 @9"),
                day("Pull", 1, Lift.DEADLIFT, "4x3 @9", "4x3 @9", "4x3 @9"));
        browser.desk().signIn(club.coachName(), club.password());
        browser.open(club.url("/plan/wake?block=" + close + "&week=1"));
        browser.waitForText(".marks", "in the wake of");
        browser.drag("svg.wake text[data-weekday='1']", "svg.wake text[data-weekday='4']");
        browser.waitForText(".wakepage b", "as laid here");
        assertThat(browser.all("rect.soon")).isEmpty();
        assertThat(weekdays()).containsExactly("0", "4");
        browser.drag("svg.wake text[data-weekday='4']", "svg.wake text[data-weekday='0']");
        browser.waitFor(driver -> weekdays().equals(List.of("4", "0")));
        assertThat(weekdays()).containsExactly("4", "0");
        browser.assertSound();
    }

    private List<String> weekdays() {
        return browser.all(".laydays select").stream()
                .map(field -> field.getDomProperty("value"))
                .toList();
    }

    @Test
    void twoBlocksLieSideBySideAndTheSheetShowsWhereAMissIsToBeReckonedWith() {
        long climbs = block("Climb", 1, day("Squat", 0, Lift.SQUAT, "3x5 55%", "3x5 90%", "3x5 95%"));
        block("Flat", 5, day("Squat", 0, Lift.SQUAT, "3x5 75%", "3x5 75%", "3x5 75%"));
        browser.desk().signIn(club.coachName(), club.password());
        browser.open(club.url("/plan?block=" + climbs));
        browser.waitForText("#grid td:nth-of-type(3)[data-band] .odds", "%");
        browser.assertSound();
        assertThat(browser.all("#grid td:nth-of-type(1)[data-band]")).isEmpty();
        assertThat(browser.all("#strip path.fan")).hasSize(1);
        // while a heavier dose is typed the band is there already, and gone when it is dropped
        browser.type("#grid tbody tr:first-child td:nth-of-type(1) textarea", "3x5 95%");
        browser.waitForText("#grid td:nth-of-type(1)[data-band] .odds", "%");
        browser.press(Keys.ESCAPE);
        browser.waitFor(d -> browser.all("#grid td:nth-of-type(1)[data-band]").isEmpty() ? true : null);
        // a lighter dose, kept, and the band follows
        browser.type("#grid tbody tr:first-child td:nth-of-type(3) textarea", "3x5 50%" + Keys.ENTER);
        browser.waitFor(d -> browser.all("#grid td:nth-of-type(3)[data-band]").isEmpty() ? true : null);
        browser.open(club.url("/plan/checklist?block=" + climbs));
        browser.assertSound();
        browser.tabTo("select[name=with]").press("Flat");
        browser.tabTo(".beside button").press(Keys.ENTER);
        browser.waitForText(".checklist thead", "Flat");
        browser.waitForText(".checklist tr.differs", "Intensity");
        browser.assertSound();
        browser.open(club.url("/plan/rehearsal?block=" + climbs));
        browser.waitForText("#doubt-title", "doubtful");
        browser.assertSound();
    }

    @Test
    void aShortDayIsTakenOnThePhone() {
        browser.phone().signIn(club.lifterName(), club.password());
        browser.open(club.url("/floor?day=0&week=1"));
        browser.click("a[href*=fallbacks]");
        browser.waitForText(".fallbacks", "Slept badly");
        browser.assertSound();
        browser.click(".fallbacks form:nth-of-type(2) button");
        browser.waitForText(".slots .changed", "slept badly");
        int changes = browser.all(".slots .changed form").size();
        browser.click(".slots .changed form button");
        browser.waitFor(d -> browser.all(".slots .changed form").size() < changes ? true : null);
    }
}
