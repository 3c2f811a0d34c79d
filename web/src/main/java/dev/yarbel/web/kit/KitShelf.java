package dev.yarbel.web.kit;

import dev.yarbel.core.equipment.AccommodatingResistance;
import dev.yarbel.core.equipment.Band;
import dev.yarbel.core.equipment.BarKit;
import dev.yarbel.core.equipment.BarLoads;
import dev.yarbel.core.equipment.Gym;
import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.equipment.Plate;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.roster.LifterCard;
import java.time.LocalDate;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the gyms of a club can load. What a kit can load is worked out once and kept for as long as it stays the same. */
@Service
@Transactional(readOnly = true)
public class KitShelf {

    private static final int KEPT = 200;
    /** A day on which nobody chose another gym. */
    private static final LocalDate NO_DAY = LocalDate.of(1, 1, 1);

    private final GymRepository gyms;
    private final PieceRepository pieces;
    private final LifterGymRepository lifterGyms;
    private final Map<BarKit, BarLoads> loaders = Collections.synchronizedMap(new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<BarKit, BarLoads> eldest) {
            return size() > KEPT;
        }
    });

    KitShelf(GymRepository gyms, PieceRepository pieces, LifterGymRepository lifterGyms) {
        this.gyms = gyms;
        this.pieces = pieces;
        this.lifterGyms = lifterGyms;
    }

    /** What a lifter has in their usual gym. */
    public AvailableKit usual(LifterCard lifter) {
        return on(lifter, NO_DAY);
    }

    /** What a lifter has in the gym they train in on a day. */
    public AvailableKit on(LifterCard lifter, LocalDate day) {
        return new AvailableKit(() -> contents(gyms.findAtHand(lifter.clubId(), lifter.id(), day)), this::loader);
    }

    private static AvailableKit.Contents contents(List<Object[]> rows) {
        return rows.isEmpty()
                ? new AvailableKit.Contents(
                        0, new Gym("", Mass.ZERO, Map.of(), List.of(), List.of(), List.of()), List.of())
                : new AvailableKit.Contents(((GymEntity) rows.get(0)[0]).id(), gym(rows), changing(rows));
    }

    private static List<AccommodatingResistance> changing(List<Object[]> rows) {
        return rows.stream()
                .map(row -> (PieceEntity) row[1])
                .filter(Objects::nonNull)
                .map(PieceEntity::piece)
                .flatMap(piece -> changing(piece).stream())
                .toList();
    }

    /** What a piece adds to a bar as a pair. */
    private static Optional<AccommodatingResistance> changing(Piece piece) {
        return switch (piece.shelf()) {
            case BANDS -> Optional.of(((BandPiece) piece).changing());
            case CHAINS -> ((ChainPiece) piece).changing();
            case BARS, PLATES, PIECES, MACHINES -> Optional.empty();
        };
    }

    BarLoads loader(BarKit kit) {
        return loaders.computeIfAbsent(kit, BarLoads::of);
    }

    /** A gym with its pieces as the core knows it, a lifter's usual bar first. */
    static Gym gym(List<Object[]> rows) {
        GymEntity gym = (GymEntity) rows.get(0)[0];
        Object usualBar = rows.get(0).length > 2 ? rows.get(0)[2] : null;
        List<PieceEntity> all = rows.stream()
                .map(row -> (PieceEntity) row[1])
                .filter(piece -> piece != null)
                .sorted(Comparator.comparing(piece -> !piece.id().equals(usualBar)))
                .toList();
        return gym(gym, all);
    }

    static Gym gym(GymEntity gym, List<PieceEntity> all) {
        Map<Plate, Integer> plates = new HashMap<>();
        of(all, PlatePiece.class).forEach(pile -> plates.merge(pile.plate(), pile.count(), Integer::sum));
        return new Gym(
                gym.name(),
                gym.collars(),
                plates,
                of(all, BarPiece.class).map(BarPiece::holder).toList(),
                of(all, WholePiece.class).map(WholePiece::piece).toList(),
                of(all, MachinePiece.class).map(MachinePiece::stack).toList());
    }

    private static <P extends Piece> Stream<P> of(List<PieceEntity> all, Class<P> kind) {
        return all.stream().map(PieceEntity::piece).filter(kind::isInstance).map(kind::cast);
    }

    static List<PieceEntity> on(List<PieceEntity> all, Shelf shelf) {
        return all.stream().filter(piece -> piece.shelf() == shelf).toList();
    }

    /** Sets up a gym with what the core says of one, and gives its number. */
    @Transactional
    public long add(long clubId, Gym gym, MassUnit unit) {
        long id = gyms.save(new GymEntity(clubId, gym.name(), gym.collars(), unit))
                .id();
        gym.holders().forEach(holder -> keep(clubId, id, new BarPiece(holder, unit)));
        gym.plates().entrySet().stream()
                .sorted(Map.Entry.<Plate, Integer>comparingByKey().reversed())
                .forEach(pile -> keep(clubId, id, new PlatePiece(pile.getKey(), pile.getValue())));
        gym.pieces()
                .forEach(whole -> keep(
                        clubId, id, new WholePiece(whole.kind(), whole.name(), Optional.empty(), whole.mass(), unit)));
        gym.stacks().forEach(stack -> keep(clubId, id, new MachinePiece(stack, unit)));
        return id;
    }

    private void keep(long clubId, long gymId, Piece piece) {
        pieces.save(new PieceEntity(clubId, gymId, piece));
    }

    /** Adds a dumbbell to a gym, with what is marked on its head and what it really weighs. */
    @Transactional
    public void addDumbbell(long clubId, long gymId, Mass nominal, Mass mass) {
        keep(clubId, gymId, new WholePiece(Implement.DUMBBELL, "", Optional.of(nominal), mass, MassUnit.KG));
    }

    /** Adds chains to a gym. */
    @Transactional
    public void addChains(long clubId, long gymId, String name, Mass perMetre, Length length, int count) {
        keep(clubId, gymId, new ChainPiece(name, perMetre, length, count, MassUnit.KG));
    }

    /** Adds a pair of bands, both measured at the same two lengths, to a gym. */
    @Transactional
    public void addBands(long clubId, long gymId, String name, Band one, Band other) {
        keep(clubId, gymId, new BandPiece(name, one, other, MassUnit.KG));
    }

    /** Has a lifter train in these gyms, the usual one first. */
    @Transactional
    public void trainsIn(LifterCard lifter, List<Long> gymIds) {
        if (gyms.countByClubIdAndIdInAndRemovedAtIsNull(lifter.clubId(), gymIds) < gymIds.size()) {
            throw new NotFoundException();
        }
        List<LifterGym> before = lifterGyms.findByClubIdAndLifterIdOrderByPosition(lifter.clubId(), lifter.id());
        before.stream().filter(gym -> !gymIds.contains(gym.gymId())).forEach(lifterGyms::delete);
        for (int i = 0; i < gymIds.size(); i++) {
            long gymId = gymIds.get(i);
            int place = i;
            before.stream()
                    .filter(gym -> gym.gymId() == gymId)
                    .findFirst()
                    .ifPresentOrElse(
                            gym -> gym.position(place),
                            () -> lifterGyms.save(new LifterGym(lifter.clubId(), lifter.id(), gymId, place)));
        }
    }

    /** Has a lifter take this bar in a gym wherever a lift has none of its own; none takes the first there is. */
    @Transactional
    public void takesBar(LifterCard lifter, long gymId, Optional<String> barName) {
        Long bar = barName.map(name -> gyms.findWithPieces(lifter.clubId(), gymId).stream()
                        .map(row -> (PieceEntity) row[1])
                        .filter(piece -> piece != null
                                && piece.shelf() == Shelf.BARS
                                && piece.label().equals(name))
                        .findFirst()
                        .orElseThrow(NotFoundException::new)
                        .id())
                .orElse(null);
        lifterGyms.findByClubIdAndLifterIdOrderByPosition(lifter.clubId(), lifter.id()).stream()
                .filter(gym -> gym.gymId() == gymId)
                .forEach(gym -> gym.bar(bar));
    }
}
