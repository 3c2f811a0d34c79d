package dev.yarbel.web.account;

import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Secrets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import java.util.Optional;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Links that let somebody sign in, handed over by whoever made them: each works once and for a week. For somebody who
 * signs in already it sets another password, and ends their sessions.
 */
@Service
@Transactional
public class Invites {

    /** How long a link works. */
    public static final Duration LASTS = Duration.ofDays(7);

    private static final int BYTES = 24;

    private final InviteRepository invites;
    private final AccountRepository accounts;
    private final AccessTokenRepository tokens;
    private final ClubRepository clubs;
    private final PasswordEncoder passwords;
    private final Access access;
    private final SecondFactors secondFactors;
    private final Clock clock;

    Invites(
            InviteRepository invites,
            AccountRepository accounts,
            AccessTokenRepository tokens,
            ClubRepository clubs,
            PasswordEncoder passwords,
            Access access,
            SecondFactors secondFactors,
            Clock clock) {
        this.invites = invites;
        this.accounts = accounts;
        this.tokens = tokens;
        this.clubs = clubs;
        this.passwords = passwords;
        this.access = access;
        this.secondFactors = secondFactors;
        this.clock = clock;
    }

    /**
     * What an open link is for.
     *
     * @param username what they sign in with already, if they do
     */
    record Open(String club, boolean coach, String name, Optional<String> username) {}

    /** What came of taking a link up. */
    enum Outcome {
        DONE,
        /** Used, too old, withdrawn or never made. */
        GONE,
        /** Somebody signs in by that name. */
        NAME_TAKEN
    }

    /**
     * A link's secret for a lifter, in place of any before.
     *
     * @throws AccessDeniedException when the lifter is one of the coaches: their account is not for whoever coaches them
     */
    public String forLifter(Person inviter, long lifterId, String name) {
        if (accounts.findCoachWhoIs(inviter.clubId(), lifterId).isPresent()) {
            throw new AccessDeniedException("a coach's account is not reached through the lifter they are");
        }
        Long account =
                accounts.findLifter(inviter.clubId(), lifterId).map(Account::id).orElse(null);
        return make(inviter, Account.Role.LIFTER, name, lifterId, account);
    }

    /** A link's secret for a new coach. */
    public String forCoach(Person inviter, String name) {
        return make(inviter, Account.Role.COACH, name, null, null);
    }

    /** A link's secret for a coach who needs another password, in place of any before. */
    public String forColleague(Person inviter, long accountId) {
        Account account =
                accounts.findByClubIdAndId(inviter.clubId(), accountId).orElseThrow(NotFoundException::new);
        return make(inviter, Account.Role.COACH, account.name(), null, accountId);
    }

    private String make(Person inviter, Account.Role role, String name, Long lifterId, Long accountId) {
        invites.withdraw(inviter.clubId(), lifterId, accountId);
        String token = Base64.getUrlEncoder().withoutPadding().encodeToString(Secrets.bytes(BYTES));
        invites.save(new Invite(
                inviter.clubId(),
                Secrets.hash(token),
                role,
                name,
                lifterId,
                accountId,
                inviter.accountId(),
                clock.instant().plus(LASTS)));
        return token;
    }

    /** What a link is for; empty when it does not work, whatever the reason. */
    Optional<Open> open(String token) {
        return working(token)
                .map(invite -> new Open(
                        clubs.findById(invite.clubId()).orElseThrow().name(),
                        invite.role() == Account.Role.COACH,
                        invite.name(),
                        account(invite).map(Account::username)));
    }

    /** Takes a link up. */
    Outcome accept(String token, JoinForm form) {
        Optional<Invite> working = working(token);
        if (working.isEmpty()) {
            return Outcome.GONE;
        }
        Invite invite = working.get();
        Optional<Account> known = account(invite);
        if (known.isPresent()) {
            known.get().passwordHash(passwords.encode(form.password()));
            // whoever lost the device that made their codes starts anew by the link
            secondFactors.forget(known.get());
            tokens.endAll(invite.clubId(), known.get().id());
            access.endAll(invite.clubId(), known.get().username(), "");
        } else if (!accounts.findWithClub(form.plainUsername()).isEmpty()) {
            return Outcome.NAME_TAKEN;
        } else {
            accounts.save(new Account(
                    invite.clubId(),
                    form.plainUsername(),
                    form.name().strip(),
                    passwords.encode(form.password()),
                    invite.role(),
                    invite.lifterId()));
        }
        invite.use(clock.instant());
        return Outcome.DONE;
    }

    private Optional<Invite> working(String token) {
        Instant now = clock.instant();
        return invites.findByToken(Secrets.hash(token))
                .filter(invite -> invite.worksAt(now))
                .filter(this::isStillMeant);
    }

    /** A link made for a lifter never opens a coach's account, nor one whose access was ended. */
    private boolean isStillMeant(Invite invite) {
        if (invite.lifterId() != null
                && accounts.findCoachWhoIs(invite.clubId(), invite.lifterId()).isPresent()) {
            return false;
        }
        return account(invite)
                .filter(account -> account.isClosed() || account.isCoach() != (invite.role() == Account.Role.COACH))
                .isEmpty();
    }

    private Optional<Account> account(Invite invite) {
        if (invite.accountId() != null) {
            return accounts.findByClubIdAndId(invite.clubId(), invite.accountId());
        }
        return invite.lifterId() == null ? Optional.empty() : accounts.findLifter(invite.clubId(), invite.lifterId());
    }
}
