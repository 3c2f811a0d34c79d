package dev.yarbel.web.plan;

import dev.yarbel.core.prescription.DoseParser;
import java.util.Optional;

/**
 * One cell as it stands on the page.
 *
 * @param text what is typed in it
 * @param kept what is kept of it, in canonical shorthand; empty when nothing is
 * @param load what the typed dose comes to, or what was lifted
 * @param trouble what keeps the typed text from being kept
 * @param lifted the day was lifted already; its dose is history
 */
record CellView(
        CellKey key, String text, String kept, Optional<LoadView> load, Optional<Trouble> trouble, boolean lifted) {

    /**
     * A load under a cell.
     *
     * @param limit the code of where the kit ended short of the load asked for, else null
     * @param asked the load asked for
     * @param why the code of what keeps the load unknown, else null
     * @param tint how heavy it is, 0 to 5
     */
    record LoadView(String load, String other, boolean about, String limit, String asked, String why, int tint) {}

    /** Why typed text was not kept. */
    sealed interface Trouble {}

    /** It could not be read: the text before the character, the character and the rest. */
    record Unreadable(String before, String mark, String after, DoseParser.Problem problem) implements Trouble {

        static Unreadable of(String text, DoseParser.Unreadable why) {
            int at = why.at();
            int next = at < text.length() ? text.offsetByCodePoints(at, 1) : at;
            return new Unreadable(text.substring(0, at), text.substring(at, next), text.substring(next), why.problem());
        }
    }

    /**
     * Somebody wrote another dose there meanwhile.
     *
     * @param who wrote it
     * @param now what stands there; empty when the cell was emptied
     */
    record Overtaken(String who, String now) implements Trouble {}

    /** The day was lifted. */
    record Lifted() implements Trouble {}

    CellView withLoad(Optional<LoadView> other) {
        return new CellView(key, text, kept, other, trouble, lifted);
    }

    /** The cell's number in ids of the page. */
    public String id() {
        return key.slotId() + "-" + key.week();
    }

    public boolean unreadable() {
        return trouble.filter(t -> t instanceof Unreadable).isPresent();
    }

    public boolean overtaken() {
        return trouble.filter(t -> t instanceof Overtaken).isPresent();
    }

    public boolean historic() {
        return trouble.filter(t -> t instanceof Lifted).isPresent();
    }
}
