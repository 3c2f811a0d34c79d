package dev.yarbel.web.roster;

import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.account.Access;
import dev.yarbel.web.account.Accounts;
import dev.yarbel.web.account.Invites;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.ChangeLog;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes lifters on and invites them; a coach may take on themselves. */
@Service
@Transactional
class TakingOn {

    private final Roster roster;
    private final Accounts accounts;
    private final Access access;
    private final Invites invites;
    private final GymChooser gyms;
    private final ChangeLog changes;

    TakingOn(Roster roster, Accounts accounts, Access access, Invites invites, GymChooser gyms, ChangeLog changes) {
        this.roster = roster;
        this.accounts = accounts;
        this.access = access;
        this.invites = invites;
        this.gyms = gyms;
        this.changes = changes;
    }

    /** Takes a lifter on with the three fields that start one. */
    LifterCard takeOn(
            Person coach, RosterController.TakeOn start, HttpServletRequest request, HttpServletResponse response) {
        boolean me = Boolean.TRUE.equals(start.me());
        if (me && !accounts.mayLift(coach)) {
            throw new UnreadableException("take-on.already-you").in("me");
        }
        LifterCard lifter = takeOn(coach, start.name(), start.unit(), Optional.ofNullable(start.gym()));
        if (me) {
            access.goOnAs(accounts.lifts(coach, lifter.id()), request, response);
        }
        return lifter;
    }

    /**
     * Takes somebody on who is not the coach.
     *
     * @param gym where they usually train; empty for a gym of their own at home
     */
    LifterCard takeOn(Person coach, String name, MassUnit unit, Optional<Long> gym) {
        LifterCard lifter = roster.takeOn(coach, NewLifter.of(coach.clubId(), name, coach.accountId(), unit));
        gyms.settle(lifter, gym);
        return lifter;
    }

    /** A link's secret with which a lifter signs in, or gets another password. */
    String invite(Person coach, long id) {
        LifterCard lifter = roster.lifter(coach, id);
        changes.write(
                coach, Optional.of(id), ChangeKind.ROSTER, List.of("invited"), Optional.empty(), "", lifter.name());
        return invites.forLifter(coach, id, lifter.name());
    }
}
