package dev.yarbel.web.kit;

import dev.yarbel.core.equipment.AccommodatedLoad;
import dev.yarbel.core.equipment.Accommodation;
import dev.yarbel.core.equipment.AvailableLoads;
import dev.yarbel.core.equipment.Band;
import dev.yarbel.core.equipment.Gym;
import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.UnreadableException;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Tries loads on a gym's kit, plain ones and ones that chains and bands change. */
@Component
class PlateCalculator {

    private static final Length LOWEST = Length.ZERO;
    private static final Length HIGHEST = Length.ofCm(400);

    private final KitShelf shelf;

    PlateCalculator(KitShelf shelf) {
        this.shelf = shelf;
    }

    /**
     * What a load can be tried on: a bar by its number, or a row by its implement.
     *
     * @param name of a bar; empty for a row, which is named by its implement
     */
    record Choice(String key, String name, Implement implement) {}

    /** The bars and rows of a gym. */
    static List<Choice> choices(Gyms.Stock stock) {
        List<Choice> choices = new ArrayList<>();
        stock.on(Shelf.BARS)
                .forEach(bar -> choices.add(
                        new Choice("bar-" + bar.id(), bar.label(), holder(bar).kind())));
        Gyms.rows(stock).forEach(row -> choices.add(new Choice("row-" + row, "", row)));
        stock.on(Shelf.MACHINES)
                .forEach(machine ->
                        choices.add(new Choice("machine-" + machine.id(), machine.label(), Implement.MACHINE)));
        return choices;
    }

    /** The loads of a choice. */
    Optional<AvailableLoads> loads(Gyms.Stock stock, String key) {
        Gym gym = stock.asGym();
        for (PieceEntity bar : stock.on(Shelf.BARS)) {
            if (key.equals("bar-" + bar.id())) {
                return Optional.of(shelf.loader(gym.kit(holder(bar))));
            }
        }
        for (PieceEntity machine : stock.on(Shelf.MACHINES)) {
            if (key.equals("machine-" + machine.id())) {
                return gym.loads(
                        new Gym.Need(
                                Implement.MACHINE,
                                ((MachinePiece) machine.piece()).stack().madeFor(),
                                false),
                        shelf::loader);
            }
        }
        return Gyms.rows(stock).stream()
                .filter(row -> key.equals("row-" + row))
                .findFirst()
                .flatMap(row -> gym.loads(new Gym.Need(row, "", false), shelf::loader));
    }

    private static Gym.Holder holder(PieceEntity bar) {
        return ((BarPiece) bar.piece()).holder();
    }

    /** Where a wanted load is meant. */
    enum At {
        BAR,
        BOTTOM,
        TOP
    }

    /** Where bands hang from. */
    enum From {
        FLOOR,
        ABOVE
    }

    /**
     * A load to try, or one that is wanted with chains or bands; heights and figures are text, for what they mean hangs on each other.
     *
     * @param with what it is tried on, as {@link Choice} names it
     * @param chain and band by their numbers; null for none
     */
    record Form(
            String load,
            String with,
            String wanted,
            At at,
            String bottom,
            String top,
            Long chain,
            Integer aSide,
            String drop,
            Long band,
            From from,
            String anchor) {}

    /** A load tried on what was chosen. */
    Optional<TryView> trial(Gyms.Stock stock, Form form) {
        if (form.load() == null) {
            return Optional.empty();
        }
        MassUnit unit = Reading.unit(form.load(), stock.gym().unit());
        Mass asked = Reading.field("load", form.load(), text -> Reading.mass(text, unit));
        return loads(stock, with(form)).map(loads -> TryView.of(loads, asked, unit));
    }

    private static String with(Form form) {
        return Objects.requireNonNullElse(form.with(), "");
    }

    /** A load with chains or bands on a bar. */
    Optional<AccommodatedView> changing(Gyms.Stock stock, Form form) {
        if (form.wanted() == null) {
            return Optional.empty();
        }
        MassUnit unit = Reading.unit(form.wanted(), stock.gym().unit());
        Mass wanted = Reading.field("wanted", form.wanted(), text -> Reading.mass(text, unit));
        Length bottom = height("bottom", form.bottom());
        Length top = height("top", form.top());
        if (!top.isGreaterThan(bottom)) {
            throw new UnreadableException("kit.top-above").in("top");
        }
        List<Accommodation> with = new ArrayList<>();
        find(stock, Shelf.CHAINS, form.chain()).ifPresent(chain -> with.add(chains((ChainPiece) chain, form)));
        boolean reverse = form.from() == From.ABOVE;
        Optional<BandPiece> bands = find(stock, Shelf.BANDS, form.band()).map(BandPiece.class::cast);
        bands.ifPresent(pair -> with.add(bands(pair, form, reverse, top)));
        if (with.isEmpty()) {
            throw new UnreadableException("kit.nothing-on").in("chain");
        }
        AvailableLoads bar = loads(stock, with(form))
                .filter(AvailableLoads::takesPlates)
                .orElseThrow(() -> new UnreadableException("read.choice").in("with"));
        AccommodatedLoad bare = new AccommodatedLoad(wanted, with, bottom, top);
        Mass asked =
                switch (form.at() == null ? At.BAR : form.at()) {
                    case BOTTOM -> bare.barForBottom(wanted);
                    case TOP -> bare.barForTop(wanted);
                    case BAR -> wanted;
                };
        if (asked.isLessThan(bar.lightest()) || asked.isGreaterThan(bar.heaviest())) {
            throw new UnreadableException(
                            "kit.bar-cannot",
                            asked.format(unit, 1),
                            bar.lightest().format(unit, 1),
                            bar.heaviest().format(unit, 1))
                    .in("wanted");
        }
        AccommodatedLoad loaded = bare.withBar(bar.round(asked, Rounding.NEAREST));
        Set<Band.Unlike> unlike =
                bands.map(pair -> pair.one().unlike(pair.other())).orElse(Set.of());
        return Optional.of(
                AccommodatedView.of(loaded, asked, unit, unlike, bands.isPresent(), bands.isPresent() && reverse));
    }

    private static Optional<Piece> find(Gyms.Stock stock, Shelf on, Long id) {
        return stock.on(on).stream()
                .filter(piece -> piece.id().equals(id))
                .findFirst()
                .map(PieceEntity::piece);
    }

    private static Accommodation chains(ChainPiece chain, Form form) {
        int aSide = Reading.within("aSide", form.aSide(), 1, 10);
        if (aSide * 2 > chain.count()) {
            throw new UnreadableException("kit.chains", String.valueOf(chain.count())).in("aSide");
        }
        Length drop =
                Reading.fieldIfAny("drop", form.drop(), PlateCalculator::height).orElse(Length.ZERO);
        return new Accommodation.Chains(chain.perMetre(), chain.length(), aSide, drop);
    }

    private static Accommodation bands(BandPiece pair, Form form, boolean reverse, Length top) {
        Length anchor = height("anchor", form.anchor());
        if (reverse && !anchor.isGreaterThan(top)) {
            throw new UnreadableException("kit.anchor-above").in("anchor");
        }
        return reverse
                ? new Accommodation.ReverseBands(pair.one(), pair.other(), anchor)
                : new Accommodation.Bands(pair.one(), pair.other(), anchor);
    }

    private static Length height(String field, String typed) {
        return Reading.field(field, typed, PlateCalculator::height);
    }

    private static Length height(String text) {
        return Reading.length(text, LengthUnit.CM, LOWEST, HIGHEST);
    }
}
