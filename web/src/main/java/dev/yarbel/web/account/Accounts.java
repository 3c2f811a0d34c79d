package dev.yarbel.web.account;

import dev.yarbel.web.page.Person;
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
    private final PasswordEncoder passwords;

    Accounts(ClubRepository clubs, AccountRepository accounts, PasswordEncoder passwords) {
        this.clubs = clubs;
        this.accounts = accounts;
        this.passwords = passwords;
    }

    @Override
    @Transactional(readOnly = true)
    public UserDetails loadUserByUsername(String username) {
        return (UserDetails) person(username);
    }

    /**
     * Who signs in by this name.
     *
     * @throws UsernameNotFoundException when nobody does
     */
    @Transactional(readOnly = true)
    public Person person(String username) {
        return accounts.findWithClub(username.strip().toLowerCase(Locale.ROOT)).stream()
                .map(row -> ((Account) row[0]).member((Club) row[1]))
                .findFirst()
                .orElseThrow(() -> new UsernameNotFoundException("nobody signs in as " + username));
    }

    /** What a member of a club is called. */
    @Transactional(readOnly = true)
    public String name(long clubId, long accountId) {
        return accounts.findByClubIdAndId(clubId, accountId).orElseThrow().name();
    }

    /** Somebody of a club who signs in. */
    public record Colleague(long id, String name, String username, boolean headCoach) {}

    /** The coaches of a club, by name. */
    @Transactional(readOnly = true)
    public List<Colleague> coaches(long clubId) {
        return accounts.findByClubIdAndRoleNotOrderByName(clubId, Account.Role.LIFTER).stream()
                .map(Accounts::colleague)
                .toList();
    }

    /** Who signs in as a lifter, if anybody does. */
    @Transactional(readOnly = true)
    public Optional<Colleague> ofLifter(long clubId, long lifterId) {
        return accounts.findByClubIdAndLifterId(clubId, lifterId).map(Accounts::colleague);
    }

    private static Colleague colleague(Account account) {
        return new Colleague(account.id(), account.name(), account.username(), account.isHeadCoach());
    }

    /**
     * Makes a coach their own lifter.
     *
     * @return them as they sign in from now on
     */
    public Person lifts(Person coach, long lifterId) {
        Account account =
                accounts.findByClubIdAndId(coach.clubId(), coach.accountId()).orElseThrow();
        account.lifts(lifterId);
        return person(account.username());
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
        return add(clubId, username, name, password, Account.Role.HEAD_COACH, null);
    }

    /** Lets a coach sign in, and gives the account's number. */
    public long addCoach(long clubId, String username, String name, String password) {
        return add(clubId, username, name, password, Account.Role.COACH, null);
    }

    /** Lets a lifter sign in, and gives the account's number. */
    public long addLifter(long clubId, String username, String name, String password, long lifterId) {
        return add(clubId, username, name, password, Account.Role.LIFTER, lifterId);
    }

    private long add(long clubId, String username, String name, String password, Account.Role role, Long lifterId) {
        return accounts.save(new Account(clubId, username, name, passwords.encode(password), role, lifterId))
                .id();
    }
}
