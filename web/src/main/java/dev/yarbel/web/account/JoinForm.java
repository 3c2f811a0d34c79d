package dev.yarbel.web.account;

import dev.yarbel.web.page.Reading;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.regex.Pattern;

/** Who somebody wants to sign in as, as it was typed. */
record JoinForm(String name, String username, String password) {

    private static final Pattern USERNAME = Pattern.compile("[a-z0-9][a-z0-9._-]{1,39}");
    private static final int LONGEST_NAME = 80;

    JoinForm {
        name = Objects.requireNonNullElse(name, "");
        username = Objects.requireNonNullElse(username, "");
        password = Objects.requireNonNullElse(password, "");
    }

    /** What cannot be used, by field: the code of what is wrong with it. */
    Map<String, String> errors() {
        Map<String, String> errors = new LinkedHashMap<>();
        if (name.isBlank() || name.length() > LONGEST_NAME) {
            errors.put("name", "name");
        } else if (Reading.hasControl(name)) {
            errors.put("name", "control");
        }
        if (!USERNAME.matcher(plainUsername()).matches()) {
            errors.put("username", "username");
        }
        Passwords.trouble(password, List.of(name, username)).ifPresent(trouble -> errors.put("password", trouble));
        return errors;
    }

    String plainUsername() {
        return username.strip().toLowerCase(Locale.ROOT);
    }

    /** What was typed into a field of the page; never the password. */
    public String typed(String field) {
        return switch (field) {
            case "name" -> Reading.visible(name);
            case "username" -> Reading.visible(username);
            default -> "";
        };
    }
}
