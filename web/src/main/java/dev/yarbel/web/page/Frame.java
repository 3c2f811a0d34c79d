package dev.yarbel.web.page;

import java.util.List;
import java.util.Map;

/**
 * What the frame around a page shows. Its parts are looked up when the frame is drawn, so that a fragment sent to a page
 * that stands already asks for none of them.
 */
public final class Frame {

    private final Person person;
    private final LifterChooser chooser;
    private final OpenCalls calls;
    private List<LifterChooser.Choice> choices;
    private Map<Long, Long> open;

    Frame(Person person, LifterChooser chooser, OpenCalls calls) {
        this.person = person;
        this.chooser = chooser;
        this.calls = calls;
    }

    public List<Theme> themes() {
        return List.of(Theme.values());
    }

    public Person person() {
        return person;
    }

    public List<LifterChooser.Choice> choices() {
        if (choices == null) {
            choices = chooser.choices(person);
        }
        return choices;
    }

    /** What waits for each lifter, where a page has looked it up already. */
    public void waiting(Map<Long, Long> byLifter) {
        open = byLifter;
    }

    /** All decisions that wait. */
    public long openCalls() {
        return open().values().stream().mapToLong(Long::longValue).sum();
    }

    /** The decisions that wait for one lifter. */
    public long openCalls(long lifterId) {
        return open().getOrDefault(lifterId, 0L);
    }

    /** How many of the coach's lifters asked something on the floor and wait for an answer. */
    public long waitingQuestions() {
        return person.isCoach()
                ? choices().stream().filter(LifterChooser.Choice::asks).count()
                : 0;
    }

    private Map<Long, Long> open() {
        if (open == null) {
            open = person.isCoach()
                    ? calls.openByLifter(
                            person,
                            choices().stream().map(LifterChooser.Choice::id).toList())
                    : Map.of();
        }
        return open;
    }
}
