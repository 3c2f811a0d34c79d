package dev.yarbel.web.demo;

import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnBooleanProperty;
import org.springframework.stereotype.Component;

/** Makes the invented club at the first start, where that is asked for. */
@Component
@ConditionalOnBooleanProperty("yarbel.demo")
class DemoRunner implements ApplicationRunner {

    private final DemoClub club;
    private final DemoClips clips;

    DemoRunner(DemoClub club, DemoClips clips) {
        this.club = club;
        this.clips = clips;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (club.make()) {
            clips.add();
        }
    }
}
