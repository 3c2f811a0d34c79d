package dev.yarbel.web.account;

import java.util.Collection;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/**
 * What a sign-in is checked against. It lives as long as the check does; a session keeps the principal alone.
 *
 * @param principal who they are once the password was right: a {@link Member}, or {@link HalfSignedIn} before their second
 *     factor
 */
record Credentials(UserDetails principal, long clubId, long accountId, String passwordHash, boolean closed)
        implements UserDetails {

    private static final long serialVersionUID = 1;

    @Override
    public Collection<? extends GrantedAuthority> getAuthorities() {
        return principal.getAuthorities();
    }

    @Override
    public String getPassword() {
        return passwordHash;
    }

    @Override
    public String getUsername() {
        return principal.getUsername();
    }

    @Override
    public String toString() {
        return "credentials of account " + accountId;
    }
}
