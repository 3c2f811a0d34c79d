package dev.yarbel.web.account;

import dev.yarbel.web.page.Person;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/** A person signed in, as their session keeps them: with nothing secret. */
final class Member implements UserDetails, Person {

    private static final long serialVersionUID = 2;

    private final long accountId;
    private final long clubId;
    private final String zone;
    private final String username;
    private final String name;
    private final boolean coach;
    private final boolean headCoach;
    private final Long lifterId;
    private final boolean owesSecondFactor;

    Member(
            long accountId,
            long clubId,
            String zone,
            String username,
            String name,
            boolean coach,
            boolean headCoach,
            Long lifterId,
            boolean owesSecondFactor) {
        this.accountId = accountId;
        this.clubId = clubId;
        this.zone = zone;
        this.username = username;
        this.name = name;
        this.coach = coach;
        this.headCoach = headCoach;
        this.lifterId = lifterId;
        this.owesSecondFactor = owesSecondFactor;
    }

    @Override
    public long accountId() {
        return accountId;
    }

    @Override
    public long clubId() {
        return clubId;
    }

    @Override
    public ZoneId zone() {
        return ZoneId.of(zone);
    }

    @Override
    public String personName() {
        return name;
    }

    @Override
    public boolean isCoach() {
        return coach;
    }

    @Override
    public boolean isHeadCoach() {
        return headCoach;
    }

    @Override
    public Optional<Long> lifterId() {
        return Optional.ofNullable(lifterId);
    }

    @Override
    public Collection<? extends GrantedAuthority> getAuthorities() {
        List<GrantedAuthority> roles = new ArrayList<>();
        roles.add(new SimpleGrantedAuthority(coach ? "ROLE_COACH" : "ROLE_LIFTER"));
        if (headCoach) {
            roles.add(new SimpleGrantedAuthority("ROLE_HEAD_COACH"));
        }
        return roles;
    }

    @Override
    public String getPassword() {
        return "";
    }

    @Override
    public String getUsername() {
        return username;
    }

    /** Whether the club asks for a second factor that they have not set up yet: until then there is nothing else to do. */
    boolean owesSecondFactor() {
        return owesSecondFactor;
    }
}
