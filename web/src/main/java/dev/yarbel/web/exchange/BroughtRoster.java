package dev.yarbel.web.exchange;

import dev.yarbel.core.exchange.HeadedTable;
import dev.yarbel.core.exchange.Plain;
import dev.yarbel.core.exchange.RosterTable;
import dev.yarbel.core.exchange.RosterTable.Field;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.ComingLifters;
import dev.yarbel.web.roster.EveryLifter;
import dev.yarbel.web.roster.GymChooser;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lifters that come in from a list: looked at, taken on, put away again. */
@Service
@Transactional
class BroughtRoster {

    private static final int MOST = 500;

    private static final List<String> IN_ORDER =
            List.of("sex", "birth-year", "sport", "weight-class", "height", "days", "minutes", "job");

    /** What a field of the table is called in the profile. */
    private static final Map<Field, String> CODES = Map.of(
            Field.BORN, "birth-year",
            Field.CLASS, "weight-class",
            Field.HEIGHT, "height",
            Field.DAYS, "days",
            Field.MINUTES, "minutes",
            Field.JOB, "job",
            Field.SEX, "sex",
            Field.SPORT, "sport",
            Field.UNIT, "unit");

    private final ComingLifters lifters;
    private final EveryLifter every;
    private final GymChooser gyms;
    private final Words words;
    private final Batches batches;
    private final Clock clock;

    BroughtRoster(
            ComingLifters lifters, EveryLifter every, GymChooser gyms, Words words, Batches batches, Clock clock) {
        this.lifters = lifters;
        this.every = every;
        this.gyms = gyms;
        this.words = words;
        this.batches = batches;
        this.clock = clock;
    }

    /**
     * What is said of the whole list.
     *
     * @param unit of those of whom the list says none
     * @param weighedOn when body masses were; empty where nobody said it: then they stay out
     */
    record Said(MassUnit unit, Optional<LocalDate> weighedOn) {}

    /** Whether somebody comes in. */
    enum State {
        COMES_IN,
        /** The club has somebody of this name. */
        KNOWN,
        /** The list has somebody of this name further up. */
        TWICE,
        /** There is no such name. */
        REFUSED
    }

    /**
     * Something that cannot come in as it stands.
     *
     * @param field its code
     * @param what it is called
     */
    public record Trouble(int line, String field, String what, String text, String why) {}

    /**
     * Somebody in the list.
     *
     * @param said what comes in of them, in words
     */
    public record Row(int line, State state, ComingLifters.Coming coming, List<String> said) {}

    /** What a list would do. */
    public record Look(List<Row> rows, List<Trouble> troubles, List<String> unread) {

        public Look {
            rows = List.copyOf(rows);
            troubles = List.copyOf(troubles);
            unread = List.copyOf(unread);
        }

        List<ComingLifters.Coming> coming() {
            return rows.stream()
                    .filter(row -> row.state() == State.COMES_IN)
                    .map(Row::coming)
                    .toList();
        }

        public int fresh() {
            return coming().size();
        }

        public long known() {
            return rows.stream().filter(row -> row.state() == State.KNOWN).count();
        }
    }

    /** @throws UnreadableException when it is no list of lifters */
    @Transactional(readOnly = true)
    public Look look(Person coach, HeadedTable table, Said said) {
        RosterTable.Read read = RosterTable.read(table, said.unit())
                .orElseThrow(() -> new UnreadableException("exchange.roster.error.heads").in("text"));
        if (read.lines().size() > MOST) {
            throw new UnreadableException("exchange.roster.error.long", MOST).in("text");
        }
        Set<String> known = every.of(coach.clubId()).stream()
                .map(one -> Plain.of(one.name()))
                .collect(Collectors.toSet());
        Map<String, Long> places = gyms.gyms(coach.clubId()).stream()
                .collect(Collectors.toMap(gym -> Plain.of(gym.name()), GymChooser.Choice::id, (one, other) -> one));
        Set<String> seen = new HashSet<>();
        List<Row> rows = new ArrayList<>();
        List<Trouble> troubles = new ArrayList<>();
        for (RosterTable.Line line : read.lines()) {
            List<Trouble> own = new ArrayList<>();
            ComingLifters.Coming coming = coming(coach, line, said, places, own);
            String name = Plain.of(line.name());
            State state = own.stream().anyMatch(trouble -> trouble.field().equals("name"))
                    ? State.REFUSED
                    : known.contains(name) ? State.KNOWN : seen.add(name) ? State.COMES_IN : State.TWICE;
            if (state == State.COMES_IN || state == State.REFUSED) {
                troubles.addAll(own);
            }
            rows.add(new Row(line.line(), state, coming, said(coming)));
        }
        read.nameless()
                .forEach(line -> troubles.add(new Trouble(
                        line, "name", words.say("profile.name"), "", words.say("exchange.roster.nameless"))));
        return new Look(rows, troubles, read.unread());
    }

    /** Somebody as they would come in: what cannot be kept is left open, and told. */
    private ComingLifters.Coming coming(
            Person coach, RosterTable.Line line, Said said, Map<String, Long> places, List<Trouble> troubles) {
        MassUnit unit = line.unit().orElse(said.unit());
        line.unclear()
                .forEach((field, text) ->
                        troubles.add(trouble(line, field, text, words.say("exchange.roster.unclear"))));
        Map<String, String> profile = new LinkedHashMap<>();
        line.sex().ifPresent(sex -> profile.put("sex", sex.name()));
        line.sport().ifPresent(sport -> profile.put("sport", sport.name()));
        line.said().forEach((field, text) -> {
            if (field != Field.GYM) {
                profile.put(CODES.get(field), text);
            }
        });
        Optional<String> place = Optional.ofNullable(line.said().get(Field.GYM));
        Optional<Long> gym = place.map(Plain::of).map(places::get);
        if (place.isPresent() && gym.isEmpty()) {
            troubles.add(trouble(line, Field.GYM, place.get(), words.say("exchange.roster.gym")));
        }
        Optional<ComingLifters.Weighed> weighed =
                line.body().flatMap(mass -> said.weighedOn().map(on -> new ComingLifters.Weighed(mass, on)));
        if (line.body().isPresent() && weighed.isEmpty()) {
            troubles.add(trouble(
                    line, Field.BODY, words.load(line.body().get(), unit), words.say("exchange.roster.no-day")));
        }
        ComingLifters.Coming whole = new ComingLifters.Coming(line.name(), unit, gym, profile, weighed);
        lifters.troubles(coach, whole).forEach((code, why) -> {
            troubles.add(new Trouble(
                    line.line(),
                    code,
                    words.say("profile." + code),
                    code.equals("name") ? line.name() : profile.get(code),
                    words.say(why.code(), why.parts())));
            profile.remove(code);
        });
        return new ComingLifters.Coming(line.name(), unit, gym, profile, weighed);
    }

    private Trouble trouble(RosterTable.Line line, Field field, String text, String why) {
        String what = field == Field.GYM
                ? words.say("exchange.roster.gym.field")
                : field == Field.BODY ? words.say("measured.BODY_MASS") : words.say("profile." + CODES.get(field));
        return new Trouble(line.line(), CODES.getOrDefault(field, ""), what, text, why);
    }

    private List<String> said(ComingLifters.Coming coming) {
        List<String> said = new ArrayList<>();
        for (String code : IN_ORDER) {
            String text = coming.profile().get(code);
            if (text != null) {
                said.add(words.say(
                        "exchange.roster.says",
                        words.say("profile." + code),
                        code.equals("sex") || code.equals("sport") ? words.choice(code, text) : text));
            }
        }
        coming.weighed().ifPresent(weighed -> said.add(words.load(weighed.mass(), coming.unit())));
        return said;
    }

    /** Takes those on whom a look would show now; how many they were. */
    public int take(Person coach, HeadedTable table, Said said) {
        List<ComingLifters.Coming> coming = look(coach, table, said).coming();
        if (!coming.isEmpty()) {
            batches.keep(coach, Batches.Of.LIFTERS, lifters.take(coach, coming));
        }
        return coming.size();
    }

    @Transactional(readOnly = true)
    public List<Batches.Before> latest(Person coach) {
        return batches.latest(coach, Batches.Of.LIFTERS);
    }

    /** Puts those of one list away again, once. */
    public void takeBack(Person coach, long id) {
        lifters.putAway(coach, batches.takeBack(coach, Batches.Of.LIFTERS, id));
    }

    /** The day of body masses, which must have come. */
    Optional<LocalDate> weighedOn(Person coach, LocalDate day) {
        return Optional.ofNullable(day)
                .map(on -> Reading.past("on", on, LocalDate.ofInstant(clock.instant(), coach.zone())));
    }
}
