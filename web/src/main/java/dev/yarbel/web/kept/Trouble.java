package dev.yarbel.web.kept;

/**
 * Something in a file that cannot be read.
 *
 * @param place as in {@code sessions[3].sets[0].effort}
 * @param text as it stands there
 */
public record Trouble(String place, String text) {}
