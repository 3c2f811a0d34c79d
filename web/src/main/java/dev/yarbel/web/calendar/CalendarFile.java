package dev.yarbel.web.calendar;

import dev.yarbel.web.block.PlannedSessions;
import dev.yarbel.web.contest.LifterContests;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.io.IOException;
import java.io.Writer;
import java.net.URI;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.Period;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import net.fortuna.ical4j.model.ParameterList;
import net.fortuna.ical4j.model.Property;
import net.fortuna.ical4j.model.TimeZoneRegistry;
import net.fortuna.ical4j.model.TimeZoneRegistryFactory;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.parameter.Value;
import net.fortuna.ical4j.model.property.Name;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.RefreshInterval;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import org.springframework.stereotype.Component;

/**
 * What somebody sees of sessions and contests, as iCalendar (RFC 5545): sessions and contests on their days, whatever the
 * zone of who reads them; a weigh-in and what begins after it by the clock of the club.
 */
@Component
class CalendarFile {

    private static final ProdId MADE_BY = new ProdId("-//Yarbel//Yarbel//EN");
    /** Calendars keep what they fetched: what was is there as long as anybody looks back. */
    private static final Period BACK = Period.ofWeeks(12);

    private final Roster roster;
    private final PlannedSessions sessions;
    private final LifterContests contests;
    private final Words words;
    private final Clock clock;
    private final TimeZoneRegistry zones = TimeZoneRegistryFactory.getInstance().createRegistry();

    CalendarFile(Roster roster, PlannedSessions sessions, LifterContests contests, Words words, Clock clock) {
        this.roster = roster;
        this.sessions = sessions;
        this.contests = contests;
        this.words = words;
        this.clock = clock;
    }

    /**
     * What is written.
     *
     * @param lifters whose contests are in it
     * @param training whose sessions are
     * @param base the address of the application, where entries lead to
     */
    record Content(ZoneId zone, List<LifterCard> lifters, List<LifterCard> training, boolean named, URI base) {}

    /** All of what a person sees; of a coach's lifters the sessions only where they are asked for. */
    Content of(Person person, boolean ofLifters, URI base) {
        List<LifterCard> seen = new ArrayList<>(roster.lifters(person));
        Optional<LifterCard> own = person.lifterId()
                .filter(id -> seen.stream().noneMatch(card -> card.id() == id))
                .map(id -> roster.lifterOfClub(person.clubId(), id));
        own.ifPresent(seen::add);
        List<LifterCard> training = seen.stream()
                .filter(card -> ofLifters
                        || person.lifterId().filter(id -> id == card.id()).isPresent())
                .toList();
        return new Content(person.zone(), seen, training, person.isCoach(), base);
    }

    /** One lifter's. */
    static Content of(Person person, LifterCard lifter, URI base) {
        return new Content(person.zone(), List.of(lifter), List.of(lifter), person.isCoach(), base);
    }

    /** Writes it entry by entry. */
    void write(Content content, Writer out) throws IOException {
        Instant now = clock.instant();
        LocalDate since = LocalDate.ofInstant(now, content.zone()).minus(BACK);
        Map<Long, String> names =
                content.lifters().stream().collect(Collectors.toMap(LifterCard::id, LifterCard::name));
        long club =
                content.lifters().stream().findFirst().map(LifterCard::clubId).orElse(0L);
        Entries entries = new Entries(content, names, now, words);
        FoldedLines text = new FoldedLines(out);
        text.write("BEGIN:VCALENDAR\r\n");
        text.write(List.of(
                        MADE_BY,
                        ImmutableVersion.VERSION_2_0,
                        ImmutableCalScale.GREGORIAN,
                        new Name(words.say("calendar.name")),
                        new RefreshInterval(new ParameterList(List.of(Value.DURATION)), "PT1H"))
                .stream()
                .map(Property::toString)
                .collect(Collectors.joining()));
        List<LifterContests.Dated> dated = contests.dated(club, names.keySet(), since);
        if (dated.stream()
                .anyMatch(contest -> contest.weighIn().or(contest::begins).isPresent())) {
            text.write(rules(content.zone()));
        }
        for (LifterContests.Dated contest : dated) {
            for (VEvent event : entries.of(contest)) {
                text.write(event.toString());
            }
        }
        List<Long> training = content.training().stream().map(LifterCard::id).toList();
        for (PlannedSessions.Session session : sessions.since(club, training, since)) {
            text.write(entries.of(session).toString());
        }
        text.write("END:VCALENDAR\r\n");
    }

    /** A zone with its rules, and without the address where newer ones are. */
    private String rules(ZoneId zone) {
        return zones.getTimeZone(zone.getId())
                .getVTimeZone()
                .toString()
                .lines()
                .filter(line -> !line.startsWith("TZURL"))
                .collect(Collectors.joining("\r\n", "", "\r\n"));
    }
}
