package dev.yarbel.core.adjust;

import java.util.List;

/**
 * A rule of judgement: it looks at a lifter in a lift after a session and says what it finds, with a proposal. It may propose
 * a rise without asking for pain; {@link Calls} asks for all rules at once.
 */
public interface CallRule {

    /** What it is kept under and its words are found by: lower case with hyphens, never changed. */
    String key();

    /** What it finds, most important first; nothing where it knows too little to speak. */
    List<Finding> look(Subject subject);
}
