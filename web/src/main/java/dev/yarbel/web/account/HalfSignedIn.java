package dev.yarbel.web.account;

import java.util.Collection;
import java.util.List;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/** Somebody whose password was right and who has yet to give the second factor. They may do that and nothing else. */
record HalfSignedIn(long clubId, long accountId, String username) implements UserDetails {

    private static final long serialVersionUID = 1;

    static final String ROLE = "HALF_SIGNED_IN";

    @Override
    public Collection<? extends GrantedAuthority> getAuthorities() {
        return List.of(new SimpleGrantedAuthority("ROLE_" + ROLE));
    }

    @Override
    public String getPassword() {
        return "";
    }

    @Override
    public String getUsername() {
        return username;
    }
}
