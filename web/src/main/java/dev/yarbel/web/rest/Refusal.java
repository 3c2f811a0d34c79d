package dev.yarbel.web.rest;

/** An exception of a room that says why something does not go as things stand; the interface answers it as a conflict. */
public interface Refusal {

    /** The code of the words that say why. */
    String wordsCode();

    /** What they name. */
    Object[] wordsParts();
}
