package dev.yarbel.web.floor;

import dev.yarbel.core.session.Amendment;
import dev.yarbel.web.page.Words;
import org.springframework.stereotype.Component;

/** Changes of a day in words; nothing for what changes nothing. */
@Component
class ChangeWords implements Amendment.Visitor<String> {

    private final Words words;

    ChangeWords(Words words) {
        this.words = words;
    }

    String say(Amendment amendment) {
        return amendment.accept(this);
    }

    @Override
    public String shorten(Amendment.Shorten shorten) {
        return shorten.sets() == 0
                ? words.say("amended.skip")
                : words.say("amended.shorten", String.valueOf(shorten.sets()));
    }

    @Override
    public String swap(Amendment.Swap swap) {
        return words.say("amended.swap", words.lift(swap.lift()));
    }

    @Override
    public String redose(Amendment.Redose redose) {
        return words.say(
                "amended.dose",
                String.valueOf(redose.fromSet()),
                words.dose(redose.dose().shorthand()));
    }

    @Override
    public String another(Amendment.Another another) {
        return words.say("amended.another", String.valueOf(another.after()));
    }

    @Override
    public String atLoad(Amendment.AtLoad at) {
        return words.say("amended.load", String.valueOf(at.set()), words.load(at.load(), at.unit()));
    }

    @Override
    public String step(Amendment.Step step) {
        return words.say("amended.step", words.load(step.load(), step.unit()), String.valueOf(step.reps()));
    }

    @Override
    public String goOn(Amendment.GoOn goOn) {
        return "";
    }

    @Override
    public String checked(Amendment.Checked checked) {
        return "";
    }
}
