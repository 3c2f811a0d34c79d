package dev.yarbel.web.account;

import dev.yarbel.web.page.Secrets;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Setting up the club on a new machine. Whoever reads the terminal of the first start finds a code there; it works once.
 * Wrong ones slow whoever sends them and nobody else: there are 31 to the power of 12.
 */
@Service
@Transactional
public class FirstRun {

    private static final Logger LOG = LoggerFactory.getLogger(FirstRun.class);
    private static final int LENGTH = 12;

    private final Accounts accounts;
    private final JdbcClient jdbc;

    FirstRun(Accounts accounts, JdbcClient jdbc) {
        this.accounts = accounts;
        this.jdbc = jdbc;
    }

    /** What came of setting up. */
    enum Outcome {
        DONE,
        WRONG_CODE,
        /** There is a club already. */
        TOO_LATE
    }

    /** A new code, in place of any before; empty when there is a club already. */
    public Optional<String> newCode() {
        if (accounts.anyClub()) {
            return Optional.empty();
        }
        String code = Secrets.code(LENGTH);
        jdbc.sql("""
                        insert into first_run (code_hash) values (?)
                        on conflict (only_row) do update set code_hash = excluded.code_hash""").param(Secrets.hash(code)).update();
        return Optional.of(Secrets.grouped(code));
    }

    /** Sets up the club and its head coach, if the code is the one. */
    Outcome setUp(FirstRunForm form) {
        Optional<String> codeHash = jdbc.sql("select code_hash from first_run for update")
                .query(String.class)
                .optional();
        if (codeHash.isEmpty() || accounts.anyClub()) {
            return Outcome.TOO_LATE;
        }
        if (!Secrets.hash(form.plainCode()).equals(codeHash.get())) {
            return Outcome.WRONG_CODE;
        }
        long club = accounts.addClub(form.club().strip(), form.zoneId());
        accounts.addHeadCoach(club, form.head().plainUsername(), form.name().strip(), form.password());
        jdbc.sql("delete from first_run").update();
        LOG.info("the club was set up");
        return Outcome.DONE;
    }
}
