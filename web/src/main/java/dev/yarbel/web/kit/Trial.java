package dev.yarbel.web.kit;

import dev.yarbel.core.equipment.Accommodation;
import dev.yarbel.core.equipment.Band;
import dev.yarbel.core.equipment.ChangingLoad;
import dev.yarbel.core.equipment.Gym;
import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.equipment.Loads;
import dev.yarbel.core.equipment.Rounding;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.LengthUnit;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Typed;
import dev.yarbel.web.page.UnreadableException;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Tries loads on a gym's kit, plain ones and ones that chains and bands change. */
@Component
class Trial {

    private static final Length LOWEST = Length.ZERO;
    private static final Length HIGHEST = Length.ofCm(400);

    private final KitShelf shelf;

    Trial(KitShelf shelf) {
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
        stock.on(Shelf.BARS).forEach(bar -> choices.add(new Choice("bar-" + bar.id(), bar.name, bar.implement)));
        Gyms.rows(stock).forEach(row -> choices.add(new Choice("row-" + row, "", row)));
        stock.on(Shelf.MACHINES)
                .forEach(
                        machine -> choices.add(new Choice("machine-" + machine.id(), machine.name, Implement.MACHINE)));
        return choices;
    }

    /** The loads of a choice. */
    Optional<Loads> loads(Gyms.Stock stock, String key) {
        Gym gym = stock.asGym();
        for (PieceEntity bar : stock.on(Shelf.BARS)) {
            if (key.equals("bar-" + bar.id())) {
                return Optional.of(shelf.loader(gym.kit(bar.holder())));
            }
        }
        for (PieceEntity machine : stock.on(Shelf.MACHINES)) {
            if (key.equals("machine-" + machine.id())) {
                return gym.loads(new Gym.Need(Implement.MACHINE, machine.madeFor, false), shelf::loader);
            }
        }
        return Gyms.rows(stock).stream()
                .filter(row -> key.equals("row-" + row))
                .findFirst()
                .flatMap(row -> gym.loads(new Gym.Need(row, "", false), shelf::loader));
    }

    /** A load tried on what was chosen. */
    Optional<TryView> trial(Gyms.Stock stock, Typed typed) {
        if (typed.isBlank("load")) {
            return Optional.empty();
        }
        MassUnit unit = Reading.unit(typed.text("load"), stock.gym().unit());
        Mass asked = typed.read("load", text -> Reading.mass(text, unit));
        return loads(stock, typed.text("with")).map(loads -> TryView.of(loads, asked, unit));
    }

    /** A load with chains or bands on a bar. */
    Optional<ChangingView> changing(Gyms.Stock stock, Typed typed) {
        if (typed.isBlank("wanted")) {
            return Optional.empty();
        }
        MassUnit unit = Reading.unit(typed.text("wanted"), stock.gym().unit());
        Mass wanted = typed.read("wanted", text -> Reading.mass(text, unit));
        Length bottom = height(typed, "bottom");
        Length top = height(typed, "top");
        if (!top.isGreaterThan(bottom)) {
            throw new UnreadableException("kit.top-above").in("top");
        }
        List<Accommodation> with = new ArrayList<>();
        Set<Band.Unlike> unlike = EnumSet.noneOf(Band.Unlike.class);
        find(stock, Shelf.CHAINS, typed.text("chain")).ifPresent(chain -> with.add(chains(chain, typed)));
        boolean reverse = typed.text("from").equals("above");
        Optional<PieceEntity> bands = find(stock, Shelf.BANDS, typed.text("band"));
        bands.ifPresent(pair -> {
            unlike.addAll(pair.band().unlike(pair.otherBand()));
            with.add(bands(pair, typed, reverse, top));
        });
        if (with.isEmpty()) {
            throw new UnreadableException("kit.nothing-on").in("chain");
        }
        Loads bar = loads(stock, typed.text("with"))
                .filter(Loads::takesPlates)
                .orElseThrow(() -> new UnreadableException("read.choice").in("with"));
        ChangingLoad bare = new ChangingLoad(wanted, with, bottom, top);
        Mass asked =
                switch (typed.text("at")) {
                    case "bottom" -> bare.barForBottom(wanted);
                    case "top" -> bare.barForTop(wanted);
                    default -> wanted;
                };
        if (asked.isLessThan(bar.lightest()) || asked.isGreaterThan(bar.heaviest())) {
            throw new UnreadableException(
                            "kit.bar-cannot",
                            asked.format(unit, 1),
                            bar.lightest().format(unit, 1),
                            bar.heaviest().format(unit, 1))
                    .in("wanted");
        }
        ChangingLoad loaded = bare.withBar(bar.round(asked, Rounding.NEAREST));
        return Optional.of(
                ChangingView.of(loaded, asked, unit, unlike, bands.isPresent(), bands.isPresent() && reverse));
    }

    private static Optional<PieceEntity> find(Gyms.Stock stock, Shelf on, String id) {
        return stock.on(on).stream()
                .filter(piece -> piece.id().toString().equals(id))
                .findFirst();
    }

    private static Accommodation chains(PieceEntity chain, Typed typed) {
        int aSide = typed.read("a-side", text -> Reading.number(text, 1, 10));
        if (aSide * 2 > chain.count) {
            throw new UnreadableException("kit.chains", String.valueOf(chain.count)).in("a-side");
        }
        Length drop = typed.readIfAny("drop", text -> Reading.length(text, LengthUnit.CM, LOWEST, HIGHEST))
                .orElse(Length.ZERO);
        return new Accommodation.Chains(chain.mass, chain.length, aSide, drop);
    }

    private static Accommodation bands(PieceEntity pair, Typed typed, boolean reverse, Length top) {
        Length anchor = typed.read("anchor", text -> Reading.length(text, LengthUnit.CM, LOWEST, HIGHEST));
        if (reverse && !anchor.isGreaterThan(top)) {
            throw new UnreadableException("kit.anchor-above").in("anchor");
        }
        return reverse
                ? new Accommodation.ReverseBands(pair.band(), pair.otherBand(), anchor)
                : new Accommodation.Bands(pair.band(), pair.otherBand(), anchor);
    }

    private static Length height(Typed typed, String field) {
        return typed.read(field, text -> Reading.length(text, LengthUnit.CM, LOWEST, HIGHEST));
    }
}
