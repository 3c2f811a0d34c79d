package dev.yarbel.web.account;

import static org.assertj.core.api.Assertions.assertThat;

import com.nulabinc.zxcvbn.StandardDictionaries;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Which passwords are taken. */
class PasswordsTest {

    private static final List<String> KNOWN = List.of("Signe Aalto", "signe.aalto");

    @ParameterizedTest
    @ValueSource(strings = {"three loose boats", "q7#Lm2!vRz9p", "slack-water-low", "ünter-dem-kiel-13"})
    void wordsThatDoNotBelongTogetherAreGood(String password) {
        assertThat(Passwords.trouble(password, KNOWN)).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "passwordpassword",
                "password1234",
                "123456789012",
                "qwertyuiop12",
                "aaaaaaaaaaaaaa",
                "signe.aalto1",
                "P@ssw0rd1234",
                "abcdefghijkl"
            })
    void whatIsGuessedFirstIsNot(String password) {
        assertThat(Passwords.trouble(password, KNOWN)).contains("password.common");
    }

    @Test
    void twelveCharactersAndNoMoreBytesThanBcryptReads() {
        assertThat(Passwords.trouble("q7#Lm2!vRz9", KNOWN)).contains("password");
        assertThat(Passwords.trouble("q7#Lm2!vRz9p", KNOWN)).isEmpty();
        assertThat(Passwords.trouble("ab7#".repeat(18), KNOWN))
                .as("72 bytes")
                .isNotEqualTo(java.util.Optional.of("password"));
        assertThat(Passwords.trouble("ab7#".repeat(18) + "x", KNOWN)).contains("password");
        assertThat(Passwords.trouble("ü".repeat(37), KNOWN)).as("74 bytes").contains("password");
        assertThat(Passwords.trouble("three\u0000loose boats", KNOWN)).contains("password.control");
    }

    @Test
    void noneOfTheShippedListIsTaken() throws Exception {
        List<String> common = StandardDictionaries.PASSWORDS_LOADER.load().getFrequencies();
        List<String> longEnough = common.stream()
                .filter(word -> word.length() >= Passwords.SHORTEST)
                .toList();
        assertThat(common).hasSizeGreaterThan(10_000);
        assertThat(longEnough).hasSizeGreaterThan(50).allSatisfy(password -> assertThat(
                        Passwords.trouble(password, KNOWN))
                .isPresent());
    }
}
