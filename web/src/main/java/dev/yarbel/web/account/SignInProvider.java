package dev.yarbel.web.account;

import java.time.Duration;
import java.util.Locale;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.authentication.WebAuthenticationDetails;

/**
 * Checks a name and a password: throttled by name and by address, in the same words and the same time whether the name
 * exists or not, and written into the log without what was typed.
 */
final class SignInProvider extends DaoAuthenticationProvider {

    private static final Logger LOG = LoggerFactory.getLogger("dev.yarbel.web.account.sign-in");

    private final Throttle throttle;

    SignInProvider(Accounts accounts, PasswordEncoder passwords, Throttle throttle) {
        super(accounts);
        setPasswordEncoder(passwords);
        this.throttle = throttle;
    }

    @Override
    public Authentication authenticate(Authentication tried) {
        String name = tried.getName().strip().toLowerCase(Locale.ROOT);
        String address = tried.getDetails() instanceof WebAuthenticationDetails details
                ? String.valueOf(details.getRemoteAddress())
                : "";
        Optional<Duration> pause =
                throttle.tries(Throttle.Door.ADDRESS, address).or(() -> throttle.tries(Throttle.Door.ACCOUNT, name));
        if (pause.isPresent()) {
            LOG.warn("sign-in from {} refused unseen: too many tries", address);
            throw new TooManyTriesException(pause.get());
        }
        try {
            Authentication done = super.authenticate(tried);
            throttle.forgive(Throttle.Door.ACCOUNT, name);
            throttle.giveBack(Throttle.Door.ADDRESS, address);
            LOG.info(
                    "sign-in from {}: {}",
                    address,
                    done.getPrincipal() instanceof Member m ? "account " + m.accountId() : "half way");
            return done;
        } catch (BadCredentialsException wrong) {
            LOG.warn("sign-in from {} refused: {}", address, wrong.getMessage());
            throw wrong;
        }
    }

    @Override
    protected void additionalAuthenticationChecks(UserDetails user, UsernamePasswordAuthenticationToken tried) {
        Credentials credentials = (Credentials) user;
        try {
            super.additionalAuthenticationChecks(user, tried);
        } catch (BadCredentialsException wrong) {
            throw new BadCredentialsException("wrong password for account " + credentials.accountId(), wrong);
        }
        // after the password, so that the time it takes says nothing of it
        if (credentials.closed()) {
            throw new BadCredentialsException("account " + credentials.accountId() + " is closed");
        }
    }

    @Override
    protected Authentication createSuccessAuthentication(Object principal, Authentication tried, UserDetails user) {
        UserDetails who = ((Credentials) user).principal();
        UsernamePasswordAuthenticationToken done =
                UsernamePasswordAuthenticationToken.authenticated(who, null, who.getAuthorities());
        done.setDetails(tried.getDetails());
        return done;
    }
}
