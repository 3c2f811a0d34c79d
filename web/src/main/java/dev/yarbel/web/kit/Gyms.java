package dev.yarbel.web.kit;

import dev.yarbel.core.equipment.AvailableLoads;
import dev.yarbel.core.equipment.Gym;
import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.ChangeLog;
import dev.yarbel.web.page.LiftNames;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.GymChooser;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the gyms of a club and what is in them. What is removed can be brought back, and all of it is in the ledger. */
@Service
@Transactional
class Gyms implements GymChooser {

    private static final Mass MOST_COLLARS = Mass.ofKg(20);
    /** The longest name of a gym. */
    static final int LONGEST_NAME = 60;

    private final GymRepository gyms;
    private final PieceRepository pieces;
    private final LifterGymRepository lifterGyms;
    private final KitShelf shelf;
    private final Roster roster;
    private final PlannedNeeds planned;
    private final ChangeLog changes;
    private final LiftNames liftNames;
    private final Words words;
    private final Clock clock;

    Gyms(
            GymRepository gyms,
            PieceRepository pieces,
            LifterGymRepository lifterGyms,
            KitShelf shelf,
            Roster roster,
            PlannedNeeds planned,
            ChangeLog changes,
            LiftNames liftNames,
            Words words,
            Clock clock) {
        this.gyms = gyms;
        this.pieces = pieces;
        this.lifterGyms = lifterGyms;
        this.shelf = shelf;
        this.roster = roster;
        this.planned = planned;
        this.changes = changes;
        this.liftNames = liftNames;
        this.words = words;
        this.clock = clock;
    }

    @Override
    @Transactional(readOnly = true)
    public List<Choice> gyms(long clubId) {
        return all(clubId).stream().map(gym -> new Choice(gym.id(), gym.name())).toList();
    }

    @Override
    @Transactional(readOnly = true)
    public Map<Long, String> usual(long clubId, Collection<Long> lifterIds) {
        return lifterIds.isEmpty()
                ? Map.of()
                : gyms.usual(clubId, lifterIds).stream()
                        .collect(Collectors.toMap(row -> (Long) row[0], row -> (String) row[1]));
    }

    @Override
    public void settle(LifterCard lifter, Optional<Long> gym) {
        gym.filter(chosen -> gyms.findByClubIdAndId(lifter.clubId(), chosen).isEmpty())
                .ifPresent(foreign -> {
                    throw new UnreadableException("read.choice").in("gym");
                });
        long id = gym.orElseGet(() -> shelf.add(lifter.clubId(), atHome(lifter), lifter.unit()));
        shelf.trainsIn(lifter, List.of(id));
    }

    /** A bar, and no plates yet. */
    private Gym atHome(LifterCard lifter) {
        Gym.Holder bar = new Gym.Holder(
                Implement.BARBELL,
                words.say("kit.first-bar." + lifter.unit()),
                firstBar(lifter.unit()),
                Optional.empty(),
                true);
        return new Gym(
                words.say("kit.at-home", lifter.name()), Mass.ZERO, Map.of(), List.of(bar), List.of(), List.of());
    }

    private static Mass firstBar(MassUnit unit) {
        return unit == MassUnit.LB ? Mass.ofLb(45) : Mass.ofKg(20);
    }

    @Transactional(readOnly = true)
    List<GymEntity> all(long clubId) {
        return gyms.all(clubId);
    }

    /** A gym with all that is in it. */
    record Stock(GymEntity gym, List<PieceEntity> pieces) {

        public List<PieceEntity> on(Shelf shelf) {
            return KitShelf.on(pieces, shelf);
        }

        Gym asGym() {
            return KitShelf.gym(gym, pieces);
        }

        Gym without(long pieceId) {
            return KitShelf.gym(
                    gym, pieces.stream().filter(piece -> piece.id() != pieceId).toList());
        }
    }

    @Transactional(readOnly = true)
    Stock stock(long clubId, long gymId) {
        List<Object[]> rows = gyms.findWithPieces(clubId, gymId);
        if (rows.isEmpty()) {
            throw new NotFoundException();
        }
        return new Stock(
                (GymEntity) rows.get(0)[0],
                rows.stream()
                        .map(row -> (PieceEntity) row[1])
                        .filter(piece -> piece != null)
                        .toList());
    }

    long addGym(Person coach, String name, MassUnit unit) {
        long id =
                gyms.save(new GymEntity(coach.clubId(), name, Mass.ZERO, unit)).id();
        write(coach, List.of("gym", name), "", name);
        return id;
    }

    void changeGym(Person coach, long gymId, String name, MassUnit unit, Mass collars) {
        GymEntity gym = gym(coach, gymId);
        if (collars.isGreaterThan(MOST_COLLARS)) {
            throw new UnreadableException("read.mass", MOST_COLLARS.format(unit, 0)).in("collars");
        }
        String before = described(gym);
        gym.change(name, collars, unit);
        if (!before.equals(described(gym))) {
            write(coach, List.of("gym", name), before, described(gym));
        }
    }

    private static String described(GymEntity gym) {
        return gym.name() + ", " + gym.collars().format(gym.unit(), 2);
    }

    /**
     * Closes a gym that nobody uses, or brings one back.
     *
     * @throws UnreadableException when a lifter still trains there
     */
    void closed(Person coach, long gymId, boolean closed) {
        GymEntity gym = gym(coach, gymId);
        if (closed && lifterGyms.existsByClubIdAndGymId(coach.clubId(), gymId)) {
            throw new UnreadableException("kit.in-use").in("close");
        }
        if (gym.isRemoved() != closed) {
            gym.remove(closed ? clock.instant() : null);
            write(coach, List.of("gym", gym.name()), closed ? gym.name() : "", closed ? "" : gym.name());
        }
    }

    private GymEntity gym(Person coach, long gymId) {
        return gyms.findByClubIdAndId(coach.clubId(), gymId).orElseThrow(NotFoundException::new);
    }

    /** @return the number of the piece */
    long add(Person coach, long gymId, Shelf on, PieceForm form) {
        GymEntity gym = gym(coach, gymId);
        PieceEntity piece = new PieceEntity(coach.clubId(), gymId, on.read(answers(coach, form, gym.unit())));
        pieces.save(piece);
        write(coach, List.of(on.name(), gym.name()), "", described(piece));
        return piece.id();
    }

    /** Whether a piece is in its gym. */
    @Transactional(readOnly = true)
    boolean has(Person coach, long pieceId) {
        return !piece(coach, pieceId).isRemoved();
    }

    private PieceAnswers answers(Person coach, PieceForm form, MassUnit unitless) {
        return PieceAnswers.typed(form, unitless, name -> liftNames.read(coach.clubId(), name));
    }

    void change(Person coach, long pieceId, PieceForm form) {
        PieceEntity piece = piece(coach, pieceId);
        String before = described(piece);
        piece.change(piece.shelf().read(answers(coach, form, piece.piece().unit())));
        String after = described(piece);
        if (!before.equals(after)) {
            write(coach, List.of(piece.shelf().name(), gym(coach, piece.gymId()).name()), before, after);
        }
    }

    /** What is on the page about a piece, in one line. */
    private String described(PieceEntity piece) {
        List<String> parts = new ArrayList<>();
        for (PieceField field : piece.shelf().fields()) {
            String text = piece.text(field);
            if (!text.isEmpty() && field.input() != PieceField.Input.TICK) {
                parts.add(
                        switch (field) {
                            case COUNT -> "× " + text;
                            case IMPLEMENT -> words.say("implement." + text);
                            case MADE_FOR -> words.liftOf(text);
                            default -> text;
                        });
            }
        }
        return String.join(" ", parts);
    }

    /**
     * Removes a piece.
     *
     * @return the planned slots that miss it, in words
     */
    List<String> remove(Person coach, long pieceId) {
        PieceEntity piece = piece(coach, pieceId);
        Stock stock = stock(coach.clubId(), piece.gymId());
        Gym with = stock.asGym();
        Gym without = stock.without(pieceId);
        Map<Gym.Need, Boolean> missed = new HashMap<>();
        List<PlannedNeeds.Planned> needing = planned.needing(
                coach.clubId(),
                roster.names(coach.clubId(), gyms.usualOf(coach.clubId(), piece.gymId())),
                need -> missed.computeIfAbsent(need, n -> misses(n, with, without)));
        piece.remove(clock.instant());
        write(coach, List.of(piece.shelf().name(), stock.gym().name()), described(piece), "");
        return needing.stream()
                .map(slot ->
                        words.say("kit.needing", slot.lifter(), slot.day(), slot.letter(), words.lift(slot.lift())))
                .toList();
    }

    /** Whether a lift would be done with something else, or with fewer loads to choose among. */
    private boolean misses(Gym.Need need, Gym with, Gym without) {
        Optional<AvailableLoads> before = with.loads(need, shelf::loader);
        Optional<AvailableLoads> after = without.loads(need, shelf::loader);
        return before.isPresent()
                && (after.isEmpty()
                        || !after.get().name().equals(before.get().name())
                        || !after.get().loads().equals(before.get().loads()));
    }

    void restore(Person coach, long pieceId) {
        PieceEntity piece = piece(coach, pieceId);
        if (piece.isRemoved()) {
            piece.remove(null);
            write(coach, List.of(piece.shelf().name(), gym(coach, piece.gymId()).name()), "", described(piece));
        }
    }

    long gymOf(Person coach, long pieceId) {
        return piece(coach, pieceId).gymId();
    }

    private PieceEntity piece(Person coach, long pieceId) {
        return pieces.findByClubIdAndId(coach.clubId(), pieceId).orElseThrow(NotFoundException::new);
    }

    private void write(Person who, List<String> subject, String before, String after) {
        changes.write(who, Optional.empty(), ChangeKind.KIT, subject, Optional.empty(), before, after);
    }

    /** The implements of a gym's rows that are picked up whole, in order. */
    static List<Implement> rows(Stock stock) {
        return stock.on(Shelf.PIECES).stream()
                .map(piece -> ((WholePiece) piece.piece()).implement())
                .distinct()
                .sorted()
                .toList();
    }
}
