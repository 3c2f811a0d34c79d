package dev.yarbel.web.account;

import dev.yarbel.web.page.Person;
import java.util.Optional;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.stereotype.Component;

/** Asks for the password of whoever is signed in: who is at the keyboard of somebody else's session does not know it, and cannot try for long. */
@Component
class OwnPassword {

    private final Accounts accounts;
    private final Throttle throttle;

    OwnPassword(Accounts accounts, Throttle throttle) {
        this.accounts = accounts;
        this.throttle = throttle;
    }

    /** The code of what is wrong with a password that was given; empty where it is theirs. */
    Optional<String> trouble(Person person, String given) {
        String key = ((UserDetails) person).getUsername();
        if (throttle.tries(Throttle.Door.ACCOUNT, key).isPresent()) {
            return Optional.of("too-fast");
        }
        if (!accounts.isPassword(person, given)) {
            return Optional.of("current");
        }
        throttle.forgive(Throttle.Door.ACCOUNT, key);
        return Optional.empty();
    }
}
