package dev.yarbel.web.exchange;

import dev.yarbel.core.exchange.Plain;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.kept.AllKept;
import dev.yarbel.web.kept.Kept;
import dev.yarbel.web.kept.Numbers;
import dev.yarbel.web.kept.Taking;
import dev.yarbel.web.kept.Trouble;
import dev.yarbel.web.page.LiftNames;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.EveryLifter;
import dev.yarbel.web.roster.GymChooser;
import java.io.InputStream;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.context.NoSuchMessageException;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Reads files of lifters and clubs back: all of it is read before anything is kept, and all is kept or nothing. A club's file adds what the
 * club does not have; a lifter's adds somebody whose name nobody has.
 */
@Service
@Transactional
class WholeFiles {

    private static final int MOST_TROUBLES = 20;
    private static final String CLUB = "yarbel-club";
    private static final String LIFTER = "lifter";

    private final List<Kept> ofLifters;
    private final List<Kept> ofClub;
    private final AllKept kept;
    private final FileSchema schema;
    private final FileReading reading;
    private final EveryLifter every;
    private final GymChooser gyms;
    private final LiftNames lifts;
    private final Arrival arrival;
    private final JdbcClient jdbc;

    WholeFiles(
            AllKept kept,
            FileSchema schema,
            EveryLifter every,
            GymChooser gyms,
            LiftNames lifts,
            Arrival arrival,
            JdbcClient jdbc,
            JsonMapper json) {
        this.ofLifters = kept.ofLifters().stream().filter(Kept::isReadBack).toList();
        this.ofClub = kept.ofClub().stream().filter(Kept::isReadBack).toList();
        this.kept = kept;
        this.schema = schema;
        this.reading = new FileReading(json);
        this.every = every;
        this.gyms = gyms;
        this.lifts = lifts;
        this.arrival = arrival;
        this.jdbc = jdbc;
    }

    /**
     * Somebody in a file.
     *
     * @param number by which the file refers to them; 0 in a file of one
     * @param known the number of whoever has this name here; empty for somebody who comes in
     */
    record Someone(
            String name, long number, Optional<Long> known, int sessions, int sets, int blocks, int maxes, int gates) {}

    /**
     * What a file would do.
     *
     * @param club whether it is a club's
     * @param name what that is called
     * @param things what of the club would come in, and what is here, by what it is called in the file
     * @param without what stays out of a lifter's file, by what it is called there, and how much of it
     */
    record Look(
            boolean club,
            String name,
            Optional<Instant> madeAt,
            List<Someone> lifters,
            Map<String, Taking.Count> things,
            Map<String, Integer> without,
            List<Trouble> troubles) {

        List<Someone> coming() {
            return lifters.stream().filter(one -> one.known().isEmpty()).toList();
        }

        public int gates() {
            return coming().stream().mapToInt(Someone::gates).sum();
        }

        public boolean comesIn() {
            return troubles.isEmpty()
                    && (!coming().isEmpty() || things.values().stream().anyMatch(count -> count.came() > 0));
        }
    }

    /** A file as it was read once. */
    private record Read(ObjectNode rest, Look look) {}

    /** What a file would do; nothing is kept. */
    @Transactional(readOnly = true)
    public Look look(Person coach, Locale language, InputStream file) {

        return refusing(() -> read(coach, language, file).look());
    }

    private Read read(Person coach, Locale language, InputStream file) {
        Map<String, Long> names = new TreeMap<>();
        every.of(coach.clubId()).forEach(one -> names.putIfAbsent(Plain.of(one.name()), one.id()));
        List<Someone> lifters = new ArrayList<>();
        List<Trouble> troubles = new ArrayList<>();
        Set<String> spoken = new HashSet<>();
        ObjectNode rest = reading.read(file, one -> {
            String place = "lifters[" + lifters.size() + "]";
            List<Trouble> own = new ArrayList<>(schema.ofLifterOfClub(one, language));
            own.addAll(own.isEmpty() ? Taking.troubles(ofLifters, one) : List.of());
            own.forEach(trouble -> troubles.add(trouble.within(place)));
            spoken.addAll(Taking.lifts(ofLifters, one));
            lifters.add(someone(one, names));
        });
        boolean club = rest.path("format").asString("").equals(CLUB);
        List<Trouble> own = new ArrayList<>(club ? schema.ofClub(rest, language) : schema.ofLifter(rest, language));
        if (own.isEmpty()) {
            own.addAll(Taking.troubles(club ? ofClub : ofLifters, rest));
            spoken.addAll(Taking.lifts(club ? ofClub : ofLifters, rest));
            own.addAll(Taking.troubles(kept.lifts(), rest));
            if (!club) {
                lifters.add(someone(rest, names));
            }
            own.addAll(unknown(coach, rest, spoken));
        }
        troubles.addAll(0, own);
        Map<String, Taking.Count> things = troubles.isEmpty()
                ? taking(coach, Numbers.ofFile()).would(club ? ofClub : kept.lifts(), rest)
                : Map.of();
        Look look = new Look(
                club,
                rest.path("name").asString(""),
                madeAt(rest),
                List.copyOf(lifters),
                things,
                club || !troubles.isEmpty() ? Map.of() : without(coach, rest),
                troubles.stream().limit(MOST_TROUBLES).toList());
        return new Read(rest, look);
    }

    private static Optional<Instant> madeAt(ObjectNode rest) {
        try {
            return Optional.of(
                    OffsetDateTime.parse(rest.path("madeAt").asString("")).toInstant());
        } catch (DateTimeParseException unsaid) {
            return Optional.empty();
        }
    }

    private Taking taking(Person coach, Numbers numbers) {
        return new Taking(jdbc, new Taking.Reader(coach.clubId(), coach.accountId(), "look"), numbers);
    }

    private static Someone someone(ObjectNode one, Map<String, Long> names) {
        String name = one.at("/profile/0/name").asString("");
        int sets = 0;
        for (JsonNode session : one.path("sessions")) {
            sets += session.path("sets").size();
        }
        int gates = 0;
        for (JsonNode block : one.path("blocks")) {
            for (JsonNode slot : block.findValues("slots")) {
                gates += slot.findValues("confirmed").stream()
                        .mapToInt(JsonNode::size)
                        .sum();
            }
        }
        return new Someone(
                name,
                one.path("number").asLong(0),
                Optional.ofNullable(names.get(Plain.of(name))),
                one.path("sessions").size(),
                sets,
                one.path("blocks").size(),
                one.path("maxes").size(),
                gates);
    }

    /** Lifts that neither the catalogue nor the club nor the file knows. */
    private List<Trouble> unknown(Person coach, ObjectNode rest, Set<String> spoken) {
        Set<String> known = lifts.named(coach.clubId()).stream()
                .map(LiftNames.Named::lift)
                .map(Lift::key)
                .collect(Collectors.toSet());
        rest.path("lifts").forEach(own -> known.add(own.path("lift").asString("")));
        return spoken.stream()
                .filter(lift -> !known.contains(lift))
                .map(lift -> new Trouble("", Trouble.Kind.LIFT, lift))
                .toList();
    }

    /** What a lifter's file has that only their club could keep. */
    private Map<String, Integer> without(Person coach, ObjectNode file) {
        Set<String> places = gyms.gyms(coach.clubId()).stream()
                .map(gym -> gym.name().toLowerCase(Locale.ROOT))
                .collect(Collectors.toSet());
        Map<String, Integer> without = new TreeMap<>();
        count(without, "contests", file.path("contests"), one -> true);
        count(without, "calls", file.path("calls"), call -> !call.has("session"));
        count(
                without,
                "gyms",
                file.path("gyms"),
                gym -> !places.contains(gym.path("name").asString("").toLowerCase(Locale.ROOT)));
        return without;
    }

    private static void count(Map<String, Integer> without, String name, JsonNode things, Predicate<JsonNode> out) {
        int some = 0;
        for (JsonNode thing : things) {
            some += out.test(thing) ? 1 : 0;
        }
        if (some > 0) {
            without.put(name, some);
        }
    }

    /**
     * What came of a file.
     *
     * @param struck what came in that can be struck again, by the tables
     */
    record Came(List<Long> lifters, Map<String, List<Long>> struck) {}

    /**
     * Keeps what a look would show now.
     *
     * @param file opens it: it is read twice
     * @throws UnreadableException when something of it cannot be kept; nothing is, then
     */
    public Came take(Person coach, Locale language, Supplier<InputStream> file) {

        Read read = refusing(() -> read(coach, language, file.get()));
        if (read.look.club() && !coach.isHeadCoach()) {
            throw new UnreadableException("exchange.whole.error.head");
        }
        if (!read.look.troubles().isEmpty()) {
            throw new UnreadableException("exchange.whole.error.troubles");
        }
        return refusing(() -> {
            Came came = keep(coach, read, file);
            kept.readBack(coach.clubId(), came.lifters());
            arrival.of(coach, came.lifters());
            return came;
        });
    }

    /** Does something with what stands in a file: what cannot be done with it is the file's, and said so. */
    private static <T> T refusing(Supplier<T> work) {
        try {
            return work.get();
        } catch (DataAccessException refused) {
            throw new UnreadableException("exchange.whole.error.refused", rule(refused));
        } catch (IllegalArgumentException
                | NoSuchElementException
                | IndexOutOfBoundsException
                | NoSuchMessageException
                | JacksonException unread) {
            throw new UnreadableException("exchange.whole.error.refused", String.valueOf(unread.getMessage()));
        }
    }

    /** What the database says was broken; its last line names values of others. */
    private static String rule(DataAccessException refused) {
        return String.valueOf(refused.getMostSpecificCause().getMessage())
                .lines()
                .findFirst()
                .orElse("");
    }

    private Came keep(Person coach, Read read, Supplier<InputStream> file) {
        jdbc.sql("set constraints all deferred").update();
        Numbers numbers = Numbers.ofFile();
        List<Long> fresh = jdbc.sql("select nextval(pg_get_serial_sequence('lifter', 'id')) from generate_series(1, ?)")
                .param(read.look.coming().size())
                .query(Long.class)
                .list();
        Iterator<Long> next = fresh.iterator();
        List<Optional<Long>> places = new ArrayList<>();
        for (Someone one : read.look.lifters()) {
            Optional<Long> id = one.known().isEmpty() ? Optional.of(next.next()) : Optional.empty();
            places.add(id);
            numbers.put(LIFTER, one.number(), id.or(one::known).orElseThrow());
        }
        Taking.Reader reader = new Taking.Reader(
                coach.clubId(), coach.accountId(), UUID.randomUUID().toString());
        Taking club = new Taking(jdbc, reader, numbers);
        club.take(read.look.club() ? ofClub : kept.lifts(), read.rest, Optional.empty());
        Iterator<Optional<Long>> ids = places.iterator();
        Consumer<ObjectNode> take = lifter -> ids.next().ifPresent(id -> {
            if (!coach.isHeadCoach() || !read.look.club()) {
                // whoever brings one lifter coaches them
                ((ObjectNode) lifter.at("/profile/0")).remove("coach");
            }
            new Taking(jdbc, reader, numbers.ofLifter()).take(ofLifters, lifter, Optional.of(id));
        });
        if (read.look.club()) {
            reading.read(file.get(), take);
        } else {
            take.accept(read.rest);
        }
        jdbc.sql("set constraints all immediate").update();
        return new Came(fresh, club.struck());
    }
}
