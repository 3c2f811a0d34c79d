package dev.yarbel.web.roster;

import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.account.Accounts;
import dev.yarbel.web.account.Invites;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.ChangeLog;
import dev.yarbel.web.page.Person;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Optional;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes lifters on and invites them; a coach may take on themselves. */
@Service
@Transactional
class TakingOn {

    private final Roster roster;
    private final Accounts accounts;
    private final Invites invites;
    private final GymChooser gyms;
    private final ChangeLog changes;

    TakingOn(Roster roster, Accounts accounts, Invites invites, GymChooser gyms, ChangeLog changes) {
        this.roster = roster;
        this.accounts = accounts;
        this.invites = invites;
        this.gyms = gyms;
        this.changes = changes;
    }

    /**
     * Takes a lifter on with the three fields that start one.
     *
     * @param gym where they usually train; empty for a gym of their own at home
     * @param me whether the coach is this lifter
     */
    LifterCard takeOn(
            Person coach,
            String name,
            MassUnit unit,
            Optional<Long> gym,
            boolean me,
            HttpServletRequest request,
            HttpServletResponse response) {
        LifterCard lifter = roster.takeOn(coach, NewLifter.of(coach.clubId(), name, coach.accountId(), unit));
        gyms.settle(lifter, gym);
        if (me && coach.lifterId().isEmpty()) {
            signInAnew(accounts.lifts(coach, lifter.id()), request, response);
        }
        return lifter;
    }

    /** Whoever is signed in goes on as who they are now. */
    private static void signInAnew(Person person, HttpServletRequest request, HttpServletResponse response) {
        UserDetails details = (UserDetails) person;
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(
                UsernamePasswordAuthenticationToken.authenticated(details, null, details.getAuthorities()));
        SecurityContextHolder.setContext(context);
        new HttpSessionSecurityContextRepository().saveContext(context, request, response);
    }

    /** A link's secret with which a lifter signs in, or gets another password. */
    String invite(Person coach, long id) {
        LifterCard lifter = roster.lifter(coach, id);
        changes.write(
                coach, Optional.of(id), ChangeKind.ROSTER, List.of("invited"), Optional.empty(), "", lifter.name());
        return invites.forLifter(coach, id, lifter.name());
    }
}
