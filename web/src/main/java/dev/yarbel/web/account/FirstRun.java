package dev.yarbel.web.account;

import java.security.SecureRandom;
import java.util.Optional;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Setting up the club on a new machine. Whoever reads the terminal of the first start finds a code there; it works once,
 * and after ten wrong ones not at all until the next start makes another.
 */
@Service
@Transactional
public class FirstRun {

    private static final Logger LOG = LoggerFactory.getLogger(FirstRun.class);
    /** Without letters and figures that look alike. */
    private static final String SIGNS = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";

    private static final int LENGTH = 12;
    private static final int MOST_WRONG = 10;

    private final Accounts accounts;
    private final JdbcClient jdbc;
    private final PasswordEncoder encoder;
    private final SecureRandom random = new SecureRandom();

    FirstRun(Accounts accounts, JdbcClient jdbc, PasswordEncoder encoder) {
        this.accounts = accounts;
        this.jdbc = jdbc;
        this.encoder = encoder;
    }

    /** What came of setting up. */
    enum Outcome {
        DONE,
        WRONG_CODE,
        /** Too many wrong codes: only another start makes a new one. */
        LOCKED,
        /** There is a club already. */
        TOO_LATE
    }

    /** A new code, in place of any before; empty when there is a club already. */
    public Optional<String> newCode() {
        if (accounts.anyClub()) {
            return Optional.empty();
        }
        String code = random.ints(LENGTH, 0, SIGNS.length())
                .mapToObj(i -> String.valueOf(SIGNS.charAt(i)))
                .collect(Collectors.joining());
        jdbc.sql("""
                        insert into first_run (code_hash) values (?)
                        on conflict (only_row) do update set code_hash = excluded.code_hash, wrong_codes = 0""").param(encoder.encode(code)).update();
        return Optional.of(code.replaceAll("(.{4})(?!$)", "$1-"));
    }

    /** Sets up the club and its head coach, if the code is the one. */
    Outcome setUp(FirstRunForm form) {
        Optional<Attempt> attempt = jdbc.sql("select code_hash, wrong_codes from first_run for update")
                .query(Attempt.class)
                .optional();
        if (attempt.isEmpty() || accounts.anyClub()) {
            return Outcome.TOO_LATE;
        }
        if (attempt.get().wrongCodes() >= MOST_WRONG) {
            return Outcome.LOCKED;
        }
        if (!encoder.matches(form.plainCode(), attempt.get().codeHash())) {
            jdbc.sql("update first_run set wrong_codes = wrong_codes + 1").update();
            return Outcome.WRONG_CODE;
        }
        long club = accounts.addClub(form.club().strip(), form.zoneId());
        accounts.addHeadCoach(club, form.head().plainUsername(), form.name().strip(), form.password());
        jdbc.sql("delete from first_run").update();
        LOG.info("the club was set up");
        return Outcome.DONE;
    }

    private record Attempt(String codeHash, int wrongCodes) {}
}
