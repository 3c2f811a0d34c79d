package dev.yarbel.web.calendar;

import dev.yarbel.web.account.Accounts;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Secrets;
import java.time.Clock;
import java.util.Base64;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The addresses at which calendars come back to what somebody sees. A new one ends the one before. */
@Service
@Transactional
class CalendarAddresses {

    private static final int BYTES = 24;

    private final CalendarAddressRepository addresses;
    private final Accounts accounts;
    private final Clock clock;

    CalendarAddresses(CalendarAddressRepository addresses, Accounts accounts, Clock clock) {
        this.addresses = addresses;
        this.accounts = accounts;
        this.clock = clock;
    }

    /** What a calendar gets. */
    record Subscribed(Person person, boolean sessions, Locale language) {}

    @Transactional(readOnly = true)
    public Optional<CalendarAddress> of(Person person) {
        return addresses.findByClubIdAndAccountId(person.clubId(), person.accountId());
    }

    /** Makes one, in place of any before; its secret, which is told this once. */
    public String make(Person person, boolean sessions, Locale language) {
        String secret = Base64.getUrlEncoder().withoutPadding().encodeToString(Secrets.bytes(BYTES));
        addresses.save(new CalendarAddress(
                person.clubId(), person.accountId(), Secrets.hash(secret), sessions, language, clock.instant()));
        return secret;
    }

    public void end(Person person) {
        addresses.end(person.clubId(), person.accountId());
    }

    /** Whose calendar a secret opens; nobody's once it was renewed, or their access has ended. */
    @Transactional(readOnly = true)
    public Optional<Subscribed> open(String secret) {
        return addresses.findBySecretHash(Secrets.hash(secret)).flatMap(address -> accounts.ifOpen(
                        address.clubId(), address.accountId())
                .map(person -> new Subscribed(person, address.hasSessions(), address.language())));
    }
}
