package dev.yarbel.web;

import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Takes the pictures in docs/screenshots from the invented club; run by {@code ./yarbel pictures}, not by the tests. */
@YarbelTest
class Pictures {

    private static final Path FOLDER = Path.of("..", "docs", "screenshots");

    @LocalServerPort
    private int port;

    @Test
    void ofEveryMainView() {
        try (Browser browser = new Browser("http://127.0.0.1:" + port)) {
            browser.phone().signIn("wren", "slack-water-low");
            browser.waitForText(".now h2", "warm-up 1 of");
            browser.picture(FOLDER.resolve("ramp.png"));
            int warmUps = browser.all(".stair .step").size() - 1;
            for (int i = 1; i <= warmUps; i++) {
                browser.waitForText(".now h2", "warm-up " + i + " of");
                browser.click("button.wide[value=easy]");
            }
            browser.waitForText(".now h2", "set 1 of 1");
            browser.waitFor(d -> browser.all(".now.local").isEmpty() ? true : null);
            browser.scrollTo(".topbar");
            browser.picture(FOLDER.resolve("floor.png"));

            browser.open("/lifters/1/home").picture(FOLDER.resolve("home.png"));

            browser.desk().signIn("bryn", "harbour-light");
            browser.picture(FOLDER.resolve("lifters.png"));
            browser.open("/lifters/1/plan?day=0");
            browser.waitFor(d -> browser.all("#strip .fan").isEmpty() ? null : true);
            browser.picture(FOLDER.resolve("plan.png"));
            browser.open("/lifters/4/plan/whole").picture(FOLDER.resolve("block.png"));
            browser.open("/lifters/1/plan/wake?week=3").picture(FOLDER.resolve("wake.png"));
            browser.open("/lifters/4/plan/rehearsal").picture(FOLDER.resolve("rehearsal.png"));
            browser.open("/lifters/1/plan/new");
            browser.waitForText("#drawn", "not kept yet");
            browser.picture(FOLDER.resolve("schools.png"));
            browser.open("/lifters/1/book").picture(FOLDER.resolve("book.png"));
            browser.open("/lifters/1/clips/pair?one=1&other=2");
            browser.waitFor(d -> browser.all("[data-instep][data-ready]").isEmpty() ? null : true);
            for (int tens = 0; tens < 5; tens++) {
                browser.hold(Keys.SHIFT, Keys.ARROW_RIGHT);
            }
            browser.waitFor(d -> (Boolean)
                            browser.script(
                                    "return [...document.querySelectorAll('video')].every((v) => !v.seeking && v.currentTime > 1)")
                    ? true
                    : null);
            browser.picture(FOLDER.resolve("clips.png"));
            browser.open("/kit/1?load=101").click("#try button");
            browser.waitForText("#try", "cannot be made here");
            browser.scrollTo(".topbar");
            browser.picture(FOLDER.resolve("kit.png"));
            browser.waitFor(d -> {
                browser.open("/calls");
                return !browser.all(".slip").isEmpty();
            });
            browser.picture(FOLDER.resolve("calls.png"));
            contest(browser);
            floor(browser);
            exchange(browser);
        }
    }

    /** A log that is brought along with slips of the pen, before anything of it is written. */
    private void exchange(Browser browser) {
        browser.desk().signIn("bryn", "harbour-light").open("/exchange?lifter=1");
        browser.type("textarea[name=text]", """
                Date,Exercise,Weight (kg),Reps,RPE
                2024-03-12,Back squat,140,5,7.5
                2024-03-12,Back squat,150,5,8.25
                2024-03-14,Bench,100,5,8
                2024-03-14,Bench,102.5,5,8.5
                2024-03-15,Back squat,320,5,8
                2024-03-19,Back squat,147.5,5,8
                2024-03-21,Squta,150,3,9
                2024-03-21,Sled pull,60,12,
                2024-03-23,RDL,#REF!,8,7
                """);
        browser.click("form.bring button[type=submit]");
        browser.waitForText(".result", "sets");
        browser.picture(FOLDER.resolve("exchange.png"));
    }

    /** One who is to reach a total, the warm-up room, strongman, and the day under way on a phone. */
    private void contest(Browser browser) {
        browser.open("/contests/2").click("table.entries a");
        browser.waitForText("h1", "Attempts");
        browser.picture(FOLDER.resolve("attempts.png"));
        browser.open("/contests/1/warm-up?lift=deadlift");
        browser.waitForText(".nowdo .big", "in");
        browser.picture(FOLDER.resolve("warm-up.png"));
        browser.open("/contests/5/events").picture(FOLDER.resolve("points.png"));
        browser.phone().open("/contests/1/day").picture(FOLDER.resolve("contest.png"));
        browser.desk();
    }

    /** The coach's lifters side by side, one of them given cluster singles, and these on the lifter's phone. */
    private void floor(Browser browser) {
        browser.open("/live?lifter=2&lifter=3&lifter=4");
        browser.waitForText(".side[data-lifter='4'] .present", "Squat");
        browser.type(".side[data-lifter='4'] input[name=dose]", "3x(5x1 20s) 100kg");
        browser.click(".side[data-lifter='4'] .give button");
        browser.waitFor(d -> browser.find(".side[data-lifter='4'] input[name=dose]")
                .getAttribute("value")
                .isEmpty());
        browser.phone().signIn("desmond", "slack-water-low").open("/lifters/4/floor");
        browser.click(".stair .step.top");
        browser.waitForText(".now h2", "set 1 of 3");
        browser.click(".now [data-clock=start]");
        browser.waitForText(".now .clocksays", "set 1/5 · Set up");
        browser.scrollTo(".topbar");
        browser.click(".now .verdict button[value=done]");
        browser.waitForText(".now h2", "set 2 of 3");
        browser.desk().signIn("bryn", "harbour-light").open("/live?lifter=2&lifter=3");
        browser.waitForText(".side[data-lifter='4'] .last", "Squat");
        browser.waitForText(".side[data-lifter='1'] .last", "Squat");
        browser.picture(FOLDER.resolve("live.png"));
    }
}
