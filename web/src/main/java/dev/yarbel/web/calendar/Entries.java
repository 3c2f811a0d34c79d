package dev.yarbel.web.calendar;

import dev.yarbel.web.block.PlannedSessions;
import dev.yarbel.web.contest.LifterContests;
import dev.yarbel.web.page.Words;
import java.time.Instant;
import java.time.LocalTime;
import java.time.temporal.Temporal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import net.fortuna.ical4j.model.Property;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtEnd;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.Location;
import net.fortuna.ical4j.model.property.Status;
import net.fortuna.ical4j.model.property.Summary;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.Url;
import net.fortuna.ical4j.model.property.immutable.ImmutableStatus;
import net.fortuna.ical4j.model.property.immutable.ImmutableTransp;

/** The entries of one calendar. */
final class Entries {

    private final CalendarFile.Content content;
    private final Map<Long, String> names;
    private final Instant now;
    private final Words words;

    Entries(CalendarFile.Content content, Map<Long, String> names, Instant now, Words words) {
        this.content = content;
        this.names = names;
        this.now = now;
        this.words = words;
    }

    VEvent of(PlannedSessions.Session session) {
        String day = words.say(
                session.easy() ? "calendar.session.easy" : "calendar.session",
                session.name(),
                String.valueOf(session.week()));
        String done = session.done() ? words.say("calendar.done", day) : day;
        String named = content.named() ? words.say("calendar.whose", names.get(session.lifterId()), done) : done;
        return entry(
                "session-" + session.planned().day() + "-" + session.planned().week(),
                named,
                new DtStart<>(session.on()),
                new DtEnd<>(session.on().plusDays(1)),
                new Description(work(session)),
                new Url(content.base().resolve("/lifters/" + session.lifterId() + "/floor")),
                ImmutableTransp.TRANSPARENT);
    }

    /** The block, and what it asks for on the day, as it is written. */
    private String work(PlannedSessions.Session session) {
        return Stream.concat(
                        Stream.of(session.block()),
                        session.slots().stream()
                                .map(slot ->
                                        slot.letter() + " " + words.lift(slot.lift()) + " " + words.dose(slot.dose())))
                .collect(Collectors.joining("\n"));
    }

    /** A contest's days, and where that is known the time from the weigh-in until it begins. */
    List<VEvent> of(LifterContests.Dated contest) {
        List<Property> common = new ArrayList<>();
        contest.place().map(Location::new).ifPresent(common::add);
        if (content.named()) {
            common.add(new Url(content.base().resolve("/contests/" + contest.id())));
        }
        common.add(status(contest));
        List<String> says = new ArrayList<>();
        if (content.named()) {
            says.add(contest.lifters().stream().map(names::get).collect(Collectors.joining(", ")));
        }
        contest.until()
                .ifPresent(until -> says.add(words.say("calendar.window", words.day(contest.on()), words.day(until))));
        says.addAll(times(contest));
        List<VEvent> events = new ArrayList<>();
        List<Property> day = new ArrayList<>(common);
        day.add(new DtEnd<>(contest.until().orElse(contest.on()).plusDays(1)));
        if (!says.isEmpty()) {
            day.add(new Description(String.join("\n", says)));
        }
        events.add(entry(
                "contest-" + contest.id(), contest.name(), new DtStart<>(contest.on()), day.toArray(Property[]::new)));
        if (contest.until().isEmpty()) {
            contest.weighIn().or(contest::begins).ifPresent(first -> events.add(timed(contest, first, common)));
        }
        return events;
    }

    private static Status status(LifterContests.Dated contest) {
        if (contest.cancelled()) {
            return ImmutableStatus.VEVENT_CANCELLED;
        }
        return contest.until().isPresent() ? ImmutableStatus.VEVENT_TENTATIVE : ImmutableStatus.VEVENT_CONFIRMED;
    }

    private List<String> times(LifterContests.Dated contest) {
        List<String> times = new ArrayList<>();
        contest.weighIn().ifPresent(at -> times.add(words.say("calendar.weigh-in", at.toString())));
        contest.begins().ifPresent(at -> times.add(words.say("calendar.begins", at.toString())));
        return times;
    }

    private VEvent timed(LifterContests.Dated contest, LocalTime first, List<Property> common) {
        List<Property> more = new ArrayList<>(common);
        contest.begins()
                .filter(first::isBefore)
                .map(begins -> new DtEnd<>(at(contest, begins)))
                .ifPresent(more::add);
        String what = contest.weighIn().isPresent() ? "calendar.weigh-in.of" : "calendar.begins.of";
        return entry(
                "contest-" + contest.id() + "-time",
                words.say(what, contest.name()),
                new DtStart<>(at(contest, first)),
                more.toArray(Property[]::new));
    }

    private Temporal at(LifterContests.Dated contest, LocalTime time) {
        return contest.on().atTime(time).atZone(content.zone());
    }

    private VEvent entry(String id, String summary, DtStart<?> start, Property... more) {
        VEvent event = new VEvent(false);
        event.add(new Uid(id + "@" + content.base().getHost()));
        event.add(new DtStamp(now));
        event.add(start);
        event.add(new Summary(summary));
        for (Property property : more) {
            event.add(property);
        }
        return event;
    }
}
