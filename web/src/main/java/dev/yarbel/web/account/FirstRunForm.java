package dev.yarbel.web.account;

import dev.yarbel.web.page.Reading;
import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;

/** What sets up a club, as it was typed. */
record FirstRunForm(String code, String club, String zone, String name, String username, String password) {

    private static final int LONGEST_NAME = 80;

    static final FirstRunForm EMPTY = new FirstRunForm("", "", "", "", "", "");

    FirstRunForm {
        code = Objects.requireNonNullElse(code, "");
        club = Objects.requireNonNullElse(club, "");
        zone = Objects.requireNonNullElse(zone, "");
        name = Objects.requireNonNullElse(name, "");
        username = Objects.requireNonNullElse(username, "");
        password = Objects.requireNonNullElse(password, "");
    }

    /** What cannot be used, by field: the code of what is wrong with it. */
    Map<String, String> errors() {
        Map<String, String> errors = new LinkedHashMap<>();
        if (plainCode().isEmpty()) {
            errors.put("code", "code");
        }
        if (club.isBlank() || club.length() > LONGEST_NAME) {
            errors.put("club", "club");
        } else if (Reading.hasControl(club)) {
            errors.put("club", "control");
        }
        if (!isZone()) {
            errors.put("zone", "zone");
        }
        errors.putAll(head().errors());
        return errors;
    }

    /** What was typed into a field of the page; never the password. */
    public String typed(String field) {
        return switch (field) {
            case "code" -> Reading.visible(code);
            case "club" -> Reading.visible(club);
            case "zone" -> Reading.visible(zone);
            case "name" -> Reading.visible(name);
            case "username" -> Reading.visible(username);
            default -> "";
        };
    }

    /** The code as it was made, however it was typed. */
    String plainCode() {
        return code.toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9]", "");
    }

    /** Who becomes the head coach. */
    JoinForm head() {
        return new JoinForm(name, username, password);
    }

    ZoneId zoneId() {
        return ZoneId.of(zone.strip());
    }

    private boolean isZone() {
        try {
            zoneId();
            return zone.contains("/") || zone.strip().equals("UTC");
        } catch (DateTimeException noZone) {
            return false;
        }
    }
}
