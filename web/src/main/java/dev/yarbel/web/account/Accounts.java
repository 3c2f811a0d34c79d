package dev.yarbel.web.account;

import dev.yarbel.web.page.Person;
import java.time.Clock;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Clubs and the people who sign in. */
@Service
@Transactional
public class Accounts implements UserDetailsService {

    private final ClubRepository clubs;
    private final AccountRepository accounts;
    private final AccessTokenRepository tokens;
    private final PasswordEncoder passwords;
    private final Access access;
    private final Clock clock;

    Accounts(
            ClubRepository clubs,
            AccountRepository accounts,
            AccessTokenRepository tokens,
            PasswordEncoder passwords,
            Access access,
            Clock clock) {
        this.clubs = clubs;
        this.accounts = accounts;
        this.tokens = tokens;
        this.passwords = passwords;
        this.access = access;
        this.clock = clock;
    }

    /** What a sign-in is checked against. */
    @Override
    @Transactional(readOnly = true)
    public UserDetails loadUserByUsername(String username) {
        return rows(username).stream()
                .map(row -> credentials((Account) row[0], (Club) row[1]))
                .findFirst()
                .orElseThrow(() -> new UsernameNotFoundException("nobody signs in by this name"));
    }

    private static Credentials credentials(Account account, Club club) {
        UserDetails principal = account.otpSecret().isPresent()
                ? new HalfSignedIn(account.clubId(), account.id(), account.username())
                : account.member(club);
        return new Credentials(principal, account.clubId(), account.id(), account.passwordHash(), account.isClosed());
    }

    private List<Object[]> rows(String username) {
        String name = username.strip().toLowerCase(Locale.ROOT);
        // what no name can be is looked for in vain
        return name.chars().anyMatch(Character::isISOControl) ? List.of() : accounts.findWithClub(name);
    }

    /**
     * Who signs in by this name.
     *
     * @throws UsernameNotFoundException when nobody does
     */
    @Transactional(readOnly = true)
    public Person person(String username) {
        return rows(username).stream()
                .map(row -> ((Account) row[0]).member((Club) row[1]))
                .findFirst()
                .orElseThrow(() -> new UsernameNotFoundException("nobody signs in by this name"));
    }

    /**
     * A member of a club, for what is done in their name.
     *
     * @throws UsernameNotFoundException when there is none
     */
    @Transactional(readOnly = true)
    public Person member(long clubId, long accountId) {
        return accounts.findByClubIdAndId(clubId, accountId)
                .map(account -> person(account.username()))
                .orElseThrow(() -> new UsernameNotFoundException("no such member"));
    }

    /** A member of a club; nobody once their access has ended. */
    @Transactional(readOnly = true)
    public Optional<Person> ifOpen(long clubId, long accountId) {
        return accounts.findByClubIdAndId(clubId, accountId)
                .filter(account -> !account.isClosed())
                .map(account -> person(account.username()));
    }

    /** What a member of a club is called. */
    @Transactional(readOnly = true)
    public String name(long clubId, long accountId) {
        return accounts.findByClubIdAndId(clubId, accountId).orElseThrow().name();
    }

    /** Somebody of a club who signs in. */
    public record Colleague(long id, String name, String username, boolean coach, boolean headCoach, boolean closed) {}

    /** The coaches of a club, by name, without those whose access was ended. */
    @Transactional(readOnly = true)
    public List<Colleague> coaches(long clubId) {
        return everyCoach(clubId).stream().filter(coach -> !coach.closed()).toList();
    }

    /** The coaches of a club, by name, also those whose access was ended. */
    @Transactional(readOnly = true)
    public List<Colleague> everyCoach(long clubId) {
        return accounts.findByClubIdAndRoleNotOrderByName(clubId, Account.Role.LIFTER).stream()
                .map(Accounts::colleague)
                .toList();
    }

    /** Who signs in as a lifter, if anybody does; for showing it: a coach who is this lifter too. */
    @Transactional(readOnly = true)
    public Optional<Colleague> ofLifter(long clubId, long lifterId) {
        return accounts.findWhoeverIs(clubId, lifterId).map(Accounts::colleague);
    }

    private static Colleague colleague(Account account) {
        return new Colleague(
                account.id(),
                account.name(),
                account.username(),
                account.isCoach(),
                account.isHeadCoach(),
                account.isClosed());
    }

    /**
     * Whether a coach may become their own lifter: once. Whoever asks at the same moment waits until it is settled.
     */
    public boolean mayLift(Person coach) {
        return accounts.lock(coach.clubId(), coach.accountId())
                .orElseThrow()
                .lifterId()
                .isEmpty();
    }

    /**
     * Makes a coach their own lifter.
     *
     * @return them as they sign in from now on
     */
    public Person lifts(Person coach, long lifterId) {
        Account account = accounts.lock(coach.clubId(), coach.accountId()).orElseThrow();
        account.lifts(lifterId);
        return person(account.username());
    }

    /** Ends the access of whoever signs in as a lifter, or gives it back; a coach who lifts keeps theirs. */
    public void lifterCloses(long clubId, long lifterId, boolean closed) {
        accounts.findLifter(clubId, lifterId).ifPresent(account -> close(account, closed));
    }

    /**
     * Deletes the sign-in of whoever signs in as a lifter, and ends it everywhere; a coach who lifts keeps theirs, and is no lifter
     * any more.
     */
    public void erase(long clubId, long lifterId) {
        accounts.findLifter(clubId, lifterId).ifPresent(account -> {
            access.endAll(clubId, account.username(), "");
            accounts.deleteLinks(clubId, account.id());
            accounts.delete(account);
        });
        accounts.deleteInvites(clubId, lifterId);
        accounts.findCoachWhoIs(clubId, lifterId).ifPresent(coach -> coach.lifts(null));
    }

    /**
     * Ends a coach's access, or gives it back.
     *
     * @return the coach's name; empty for one who cannot be closed, the head coach
     */
    Optional<String> coachCloses(long clubId, long accountId, boolean closed) {
        return accounts.lock(clubId, accountId)
                .filter(account -> account.isCoach() && !account.isHeadCoach())
                .map(account -> {
                    close(account, closed);
                    return account.name();
                });
    }

    private void close(Account account, boolean closed) {
        account.close(closed ? clock.instant() : null);
        if (closed) {
            access.endAll(account.clubId(), account.username(), "");
        }
    }

    /** Whether this is somebody's password. */
    @Transactional(readOnly = true)
    boolean isPassword(Person person, String password) {
        return passwords.matches(
                password,
                accounts.findByClubIdAndId(person.clubId(), person.accountId())
                        .orElseThrow()
                        .passwordHash());
    }

    /** Gives somebody another password and ends their other sessions and their tokens. */
    void changePassword(Person person, String password, String hereId) {
        Account account = accounts.lock(person.clubId(), person.accountId()).orElseThrow();
        account.passwordHash(passwords.encode(password));
        tokens.endAll(person.clubId(), person.accountId());
        access.endAll(person.clubId(), account.username(), hereId);
    }

    /** Whether any club has been set up. */
    @Transactional(readOnly = true)
    public boolean anyClub() {
        return clubs.count() > 0;
    }

    /** Sets up a club and gives its number. */
    public long addClub(String name, ZoneId zone) {
        return clubs.save(new Club(name, zone.getId())).id();
    }

    /** Lets a coach sign in who also keeps the club, and gives the account's number. */
    public long addHeadCoach(long clubId, String username, String name, String password) {
        return add(clubId, username, name, hash(password), Account.Role.HEAD_COACH, null);
    }

    /** Lets a coach sign in, and gives the account's number. */
    public long addCoach(long clubId, String username, String name, String password) {
        return add(clubId, username, name, hash(password), Account.Role.COACH, null);
    }

    /** Lets a lifter sign in, and gives the account's number. */
    public long addLifter(long clubId, String username, String name, String password, long lifterId) {
        return addLifter(clubId, username, name, hash(password), lifterId);
    }

    /** The same with a password that was hashed already. */
    public long addLifter(long clubId, String username, String name, Hashed password, long lifterId) {
        return add(clubId, username, name, password, Account.Role.LIFTER, lifterId);
    }

    /** A password as it is kept. */
    public record Hashed(String hash) {}

    /** Hashes a password, which is meant to take long: whoever invents people with the same one does it once. */
    public Hashed hash(String password) {
        return new Hashed(passwords.encode(password));
    }

    private long add(long clubId, String username, String name, Hashed password, Account.Role role, Long lifterId) {
        return accounts.save(new Account(clubId, username, name, password.hash(), role, lifterId))
                .id();
    }
}
