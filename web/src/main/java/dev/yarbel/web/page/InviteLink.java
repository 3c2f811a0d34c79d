package dev.yarbel.web.page;

import java.io.Serializable;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** A link just made, shown once to whoever made it. */
public record InviteLink(String address, String name) implements Serializable {

    /** The link of a secret, at the address the current request came to. */
    public static InviteLink of(String token, String name) {
        String address = ServletUriComponentsBuilder.fromCurrentContextPath()
                .path("/join/{token}")
                .buildAndExpand(token)
                .toUriString();
        return new InviteLink(address, name);
    }
}
