package dev.yarbel.web.account;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import com.google.zxing.BarcodeFormat;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Secrets;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.security.InvalidKeyException;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * One-time codes beside the password (RFC 6238: six figures, a new one each thirty seconds), made by any authenticator, and
 * recovery codes for whoever lost theirs. A code works once.
 */
@Service
@Transactional
class SecondFactors {

    private static final int SECRET_BYTES = 20;
    private static final int RECOVERY_CODES = 8;
    private static final int RECOVERY_SIGNS = 12;

    private final AccountRepository accounts;
    private final JdbcClient jdbc;
    private final Clock clock;
    private final TimeBasedOneTimePasswordGenerator codes = new TimeBasedOneTimePasswordGenerator();

    SecondFactors(AccountRepository accounts, JdbcClient jdbc, Clock clock) {
        this.accounts = accounts;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * What an authenticator is told.
     *
     * @param text the secret for typing, in groups of four
     * @param picture the address it reads, as the path of a square picture
     * @param width of the picture, in its own units
     */
    record Proposal(String text, String picture, int width) {}

    /** A new secret, kept nowhere yet. */
    byte[] secret() {
        return Secrets.bytes(SECRET_BYTES);
    }

    /** How a secret is shown to whoever sets it up. */
    static Proposal proposal(String username, byte[] secret) {
        String text = new Base32().encodeAsString(secret);
        String name = URLEncoder.encode("Yarbel:" + username, StandardCharsets.UTF_8);
        try {
            BitMatrix picture = new QRCodeWriter()
                    .encode(
                            "otpauth://totp/" + name + "?secret=" + text + "&issuer=Yarbel",
                            BarcodeFormat.QR_CODE,
                            0,
                            0);
            StringBuilder path = new StringBuilder();
            for (int y = 0; y < picture.getHeight(); y++) {
                for (int x = 0; x < picture.getWidth(); x++) {
                    if (picture.get(x, y)) {
                        path.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
                    }
                }
            }
            return new Proposal(text.replaceAll("(.{4})(?!$)", "$1 "), path.toString(), picture.getWidth());
        } catch (WriterException neverOfThisLength) {
            throw new IllegalStateException(neverOfThisLength);
        }
    }

    @Transactional(readOnly = true)
    boolean has(Person person) {
        return account(person).otpSecret().isPresent();
    }

    /**
     * Sets a secret up, if the code shows that the authenticator has it.
     *
     * @return recovery codes, shown once; empty when the code is not the one
     */
    Optional<List<String>> setUp(Person person, byte[] secret, String code) {
        Account account = accounts.lock(person.clubId(), person.accountId()).orElseThrow();
        Optional<Long> step = step(secret, code, 0);
        if (step.isEmpty()) {
            return Optional.empty();
        }
        account.otpSecret(secret);
        account.otpUsed(step.get());
        return Optional.of(newRecoveryCodes(account));
    }

    private List<String> newRecoveryCodes(Account account) {
        forgetRecoveryCodes(account);
        List<String> made = Stream.generate(() -> Secrets.code(RECOVERY_SIGNS))
                .limit(RECOVERY_CODES)
                .toList();
        made.forEach(code -> jdbc.sql("insert into recovery_code (club_id, account_id, code_hash) values (?, ?, ?)")
                .params(account.clubId(), account.id(), Secrets.hash(code))
                .update());
        return made.stream().map(Secrets::grouped).toList();
    }

    private void forgetRecoveryCodes(Account account) {
        jdbc.sql("delete from recovery_code where club_id = ? and account_id = ?")
                .params(account.clubId(), account.id())
                .update();
    }

    /** Does away with it. */
    void end(Person person) {
        forget(accounts.lock(person.clubId(), person.accountId()).orElseThrow());
    }

    void forget(Account account) {
        account.otpSecret(null);
        forgetRecoveryCodes(account);
    }

    /** Whether a code is the one of this moment or the one beside it, or a recovery code; either is used up by it. */
    boolean check(long clubId, long accountId, String typed) {
        Account account = accounts.lock(clubId, accountId).orElseThrow();
        String code = typed.replaceAll("[\\s-]", "").toUpperCase(Locale.ROOT);
        Optional<Long> step = account.otpSecret().flatMap(secret -> step(secret, code, account.otpLastStep()));
        step.ifPresent(account::otpUsed);
        return step.isPresent()
                || jdbc.sql("""
                                update recovery_code set used_at = :now
                                where club_id = :club and account_id = :account and code_hash = :hash and used_at is null""")
                                .param("now", java.sql.Timestamp.from(clock.instant()))
                                .param("club", clubId)
                                .param("account", accountId)
                                .param("hash", Secrets.hash(code))
                                .update()
                        == 1;
    }

    /** The step of time whose code this is: now, or one to either side, but none that was used or lies before one. */
    private Optional<Long> step(byte[] secret, String code, long after) {
        long length = codes.getTimeStep().toSeconds();
        long now = clock.instant().getEpochSecond() / length;
        return LongStream.rangeClosed(now - 1, now + 1)
                .filter(step -> step > after
                        && code(secret, Instant.ofEpochSecond(step * length)).equals(code))
                .boxed()
                .findFirst();
    }

    String code(byte[] secret, Instant at) {
        try {
            return codes.generateOneTimePasswordString(new SecretKeySpec(secret, "RAW"), at);
        } catch (InvalidKeyException everyKeyFits) {
            throw new IllegalStateException(everyKeyFits);
        }
    }

    private Account account(Person person) {
        return accounts.findByClubIdAndId(person.clubId(), person.accountId()).orElseThrow();
    }
}
