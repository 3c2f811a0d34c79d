package dev.yarbel.web.roster;

import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes many lifters on at once, with what a list says of them, and puts them away again at once. */
@Service
@Transactional
public class ComingLifters {

    private final LifterRepository lifters;
    private final Roster roster;
    private final TakingOn takingOn;
    private final Profiles profiles;
    private final Clock clock;

    ComingLifters(LifterRepository lifters, Roster roster, TakingOn takingOn, Profiles profiles, Clock clock) {
        this.lifters = lifters;
        this.roster = roster;
        this.takingOn = takingOn;
        this.profiles = profiles;
        this.clock = clock;
    }

    /** What somebody weighed on a day. */
    public record Weighed(Mass mass, LocalDate on) {}

    /**
     * Somebody who is to be taken on.
     *
     * @param gym where they usually train; empty for a gym of their own at home
     * @param profile texts of fields by their codes
     */
    public record Coming(
            String name, MassUnit unit, Optional<Long> gym, Map<String, String> profile, Optional<Weighed> weighed) {

        public Coming {
            profile = Map.copyOf(profile);
        }
    }

    /** What of somebody cannot be kept as it is, by the codes of the fields, and why; nothing is kept. */
    public Map<String, UnreadableException> troubles(Person coach, Coming coming) {
        Lifter scratch = new Lifter(NewLifter.of(coach.clubId(), coming.name(), coach.accountId(), coming.unit()));
        Map<String, UnreadableException> troubles = new LinkedHashMap<>();
        Map<String, String> all = new LinkedHashMap<>(coming.profile());
        all.put(ProfileField.NAME.code(), coming.name());
        all.forEach((code, text) -> {
            try {
                ProfileField.of(code).keep(scratch, text, today(coach));
            } catch (UnreadableException trouble) {
                troubles.put(code, trouble);
            }
        });
        return troubles;
    }

    private LocalDate today(Person person) {
        return LocalDate.ofInstant(clock.instant(), person.zone());
    }

    /**
     * Takes them on.
     *
     * @return their numbers
     * @throws UnreadableException when something of somebody cannot be kept; nobody is taken on then
     */
    public List<Long> take(Person coach, List<Coming> coming) {
        return coming.stream().map(one -> take(coach, one)).toList();
    }

    private long take(Person coach, Coming coming) {
        String name = Reading.field("name", coming.name(), text -> Reading.words(text, RosterController.LONGEST_NAME));
        LifterCard lifter = takingOn.takeOn(coach, name, coming.unit(), coming.gym());
        coming.profile().forEach((code, text) -> profiles.keep(coach, lifter.id(), code, text));
        coming.weighed()
                .ifPresent(weighed -> profiles.measure(
                        coach, lifter, MeasureKind.BODY_MASS, weighed.mass().in(MassUnit.KG), weighed.on(), true));
        return lifter.id();
    }

    /** Puts those away that are still this coach's; nothing of theirs is lost. */
    public void putAway(Person coach, List<Long> ids) {
        ids.stream()
                .filter(id ->
                        roster.maySee(coach, id) && !roster.lifter(coach, id).archived())
                .forEach(id -> roster.archive(coach, id));
    }
}
