package dev.yarbel.web.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import net.fortuna.ical4j.model.TimeZone;
import net.fortuna.ical4j.model.TimeZoneRegistry;
import net.fortuna.ical4j.model.TimeZoneRegistryFactory;
import net.fortuna.ical4j.model.component.Observance;
import org.junit.jupiter.api.Test;

/** The rules of time zones that travel with a calendar say what the rules by which days are counted here say. */
class ZonesTest {

    private final TimeZoneRegistry registry =
            TimeZoneRegistryFactory.getInstance().createRegistry();

    @Test
    void everyZoneOfAClubHasRulesOnWhichBothAgree() {
        Map<String, String> wrong = new TreeMap<>();
        for (String zone : ZoneId.getAvailableZoneIds()) {
            if (zone.equals("UTC") || zone.contains("/") && !zone.matches("(Etc|SystemV)/.*")) {
                trouble(ZoneId.of(zone)).ifPresent(what -> wrong.put(zone, what));
            }
        }
        assertThat(wrong).isEmpty();
    }

    private Optional<String> trouble(ZoneId zone) {
        TimeZone known = registry.getTimeZone(zone.getId());
        if (known == null) {
            return Optional.of("unknown");
        }
        for (LocalDate day = LocalDate.of(2026, 1, 15); day.getYear() < 2029; day = day.plusMonths(1)) {
            OffsetDateTime at = day.atTime(8, 0).atZone(zone).toOffsetDateTime();
            Observance observed = known.getVTimeZone().getApplicableObservance(at);
            if (observed == null || !observed.getTimeZoneOffsetTo().getOffset().equals(at.getOffset())) {
                return Optional.of("differs on " + day);
            }
        }
        return Optional.empty();
    }
}
