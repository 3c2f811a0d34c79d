package dev.yarbel.web;

import java.nio.file.Path;
import org.junit.jupiter.api.Test;
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
            browser.phone().signIn("wren", "slack-water");
            int warmUps = browser.all(".stair .step").size() - 1;
            for (int i = 1; i <= warmUps; i++) {
                browser.waitForText(".now h2", "warm-up " + i + " of");
                browser.click("button.wide[value=easy]");
            }
            browser.waitForText(".now h2", "set 1 of 1");
            browser.scrollTo(".topbar");
            browser.picture(FOLDER.resolve("floor.png"));
            browser.type("input[name=load]", "182.5");
            browser.click(".picker button[value='8']");
            browser.waitForText(".slots article:nth-child(2)", "under the 182.5 kg you lifted");
            browser.scrollTo(".topbar");
            browser.picture(FOLDER.resolve("back-offs.png"));

            browser.desk().signIn("bryn", "harbour-light");
            browser.picture(FOLDER.resolve("lifters.png"));
            browser.open("/lifters/1/plan?day=0").picture(FOLDER.resolve("plan.png"));
            browser.open("/lifters/4/plan?day=0").picture(FOLDER.resolve("block.png"));
            browser.open("/lifters/1/plan/new").click("button[name=look]");
            browser.waitForText("#drawn", "not kept yet");
            browser.scrollTo("#drawn");
            browser.picture(FOLDER.resolve("schools.png"));
            browser.open("/lifters/4/plan/print").picture(FOLDER.resolve("paper.png"));
            browser.open("/lifters/2/book").picture(FOLDER.resolve("book.png"));
            browser.open("/lifters/1/profile").picture(FOLDER.resolve("profile.png"));
            browser.open("/lifters/1/book/lifts/squat").picture(FOLDER.resolve("lift.png"));
            browser.open("/kit/1?load=101").click("#try button");
            browser.waitForText("#try", "cannot be made here");
            browser.scrollTo(".topbar");
            browser.picture(FOLDER.resolve("kit.png"));
            browser.open("/lifters/2/book/curves").picture(FOLDER.resolve("curves.png"));
            browser.open("/lifters/1/floor?day=0&week=2").theme("iron").picture(FOLDER.resolve("iron.png"));
            browser.theme("chalk");
            browser.waitFor(d -> {
                browser.open("/calls");
                return !browser.all(".slip").isEmpty();
            });
            browser.picture(FOLDER.resolve("calls.png"));
        }
    }
}
