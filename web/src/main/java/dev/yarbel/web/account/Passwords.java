package dev.yarbel.web.account;

import com.nulabinc.zxcvbn.Zxcvbn;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;

/**
 * What a password must be: 12 characters and up, as long as bcrypt reads it, and none of the commonest, nor one that is
 * found as fast: the list of the common ones and the reckoning are zxcvbn's (Wheeler, USENIX Security 2016).
 */
final class Passwords {

    static final int SHORTEST = 12;
    /** What bcrypt reads of a password, in bytes. */
    static final int LONGEST = 72;

    /** Found within so many guesses, as a power of ten: what is on a list, or on one but for a figure at its end. */
    private static final double TOO_FEW_GUESSES = 8;

    private static final Zxcvbn GUESSES = new Zxcvbn();

    private Passwords() {}

    /**
     * What is wrong with a password.
     *
     * @param known what anybody would try with this person first: their names, their club's
     * @return the code of what is wrong; empty when nothing is
     */
    static Optional<String> trouble(String password, List<String> known) {
        if (password.codePointCount(0, password.length()) < SHORTEST
                || password.getBytes(StandardCharsets.UTF_8).length > LONGEST) {
            return Optional.of("password");
        }
        if (password.chars().anyMatch(Character::isISOControl)) {
            return Optional.of("password.control");
        }
        return GUESSES.measure(password, known).getGuessesLog10() < TOO_FEW_GUESSES
                ? Optional.of("password.common")
                : Optional.empty();
    }
}
