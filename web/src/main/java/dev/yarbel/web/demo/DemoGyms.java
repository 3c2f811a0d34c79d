package dev.yarbel.web.demo;

import dev.yarbel.core.equipment.Band;
import dev.yarbel.core.equipment.Gym;
import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.equipment.Plate;
import dev.yarbel.core.measure.Length;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.kit.KitShelf;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The invented gyms: a boat shed in kg with strongman's kit, a net loft in lb, and a garage with few plates. */
final class DemoGyms {

    private DemoGyms() {}

    static Gym boatShed() {
        Map<Plate, Integer> plates = new HashMap<>(plates("25:8 20:8 15:6 10:6 5:6 2.5:4 1.25:4", MassUnit.KG));
        plates.put(new Plate(Mass.ofKg(25), MassUnit.KG, true), 4);
        return new Gym(
                "Boat shed",
                Mass.ZERO,
                plates,
                List.of(
                        holder(Implement.BARBELL, "20 kg bar", "20"),
                        holder(Implement.BARBELL, "Light bar", "15"),
                        new Gym.Holder(
                                Implement.SAFETY_BAR,
                                "Safety bar",
                                Mass.of("29.5", MassUnit.KG),
                                Optional.empty(),
                                true,
                                Optional.of("hole 5")),
                        holder(Implement.AXLE, "Axle", "12"),
                        holder(Implement.LOG, "Log", "30"),
                        holder(Implement.YOKE, "Yoke", "88"),
                        holder(Implement.FRAME, "Frame", "64"),
                        holder(Implement.HANDLES, "Carry handles", "14")),
                pieces(),
                List.of(
                        new Gym.Stack("Pulldown", "lat-pulldown", Mass.ofKg(10), Mass.ofKg(5), Mass.ofKg(95)),
                        new Gym.Stack("Leg press", "leg-press", Mass.ofKg(40), Mass.ofKg(20), Mass.ofKg(300))));
    }

    private static List<Gym.Piece> pieces() {
        List<Gym.Piece> pieces = new ArrayList<>();
        for (int kg : new int[] {60, 80, 100, 120, 140, 160}) {
            pieces.add(new Gym.Piece(Implement.STONE, kg + " kg stone", Mass.ofKg(kg)));
        }
        for (int kg : new int[] {60, 80, 100}) {
            pieces.add(new Gym.Piece(Implement.SANDBAG, kg + " kg sandbag", Mass.ofKg(kg)));
        }
        pieces.add(new Gym.Piece(Implement.KEG, "Keg", Mass.ofKg(72)));
        pieces.add(new Gym.Piece(Implement.EVENT_DUMBBELL, "Thick dumbbell", Mass.ofKg(52)));
        return pieces;
    }

    static Gym netLoft() {
        return new Gym(
                "Net loft",
                Mass.ZERO,
                plates("45:10 35:2 25:4 10:4 5:4 2.5:4", MassUnit.LB),
                List.of(holder(Implement.BARBELL, "45 lb bar", Mass.ofLb(45))),
                List.of(),
                List.of());
    }

    static Gym garage() {
        return new Gym(
                "Ida's garage",
                Mass.ZERO,
                plates("45:4 25:2 10:4 5:2 2.5:2", MassUnit.LB),
                List.of(holder(Implement.BARBELL, "35 lb bar", Mass.ofLb(35))),
                List.of(),
                List.of());
    }

    /** Dumbbells whose handle of 2.5 kg is not on the head. */
    static void dumbbells(KitShelf kits, long club, long gym) {
        for (int marked : new int[] {10, 15, 20, 25, 30}) {
            kits.addDumbbell(club, gym, Mass.ofKg(marked), Mass.of(marked + 2 + ".5", MassUnit.KG));
        }
    }

    /** Chains and two pairs of bands, one of which is no pair. */
    static void accommodation(KitShelf kits, long club, long gym) {
        kits.addChains(club, gym, "Mooring chain", Mass.of("6.4", MassUnit.KG), Length.ofCm(150), 4);
        Band green = band("Skua", 2024, "9", "31");
        kits.addBands(club, gym, "Green pair", green, green);
        kits.addBands(club, gym, "Odd pair", band("Skua", 2021, "14", "44"), band("Gannet", 2025, "17", "51"));
    }

    private static Band band(String make, int year, String shorter, String longer) {
        return new Band(
                make,
                Optional.of(year),
                Length.ofCm(60),
                Mass.of(shorter, MassUnit.KG),
                Length.ofCm(150),
                Mass.of(longer, MassUnit.KG));
    }

    private static Gym.Holder holder(Implement kind, String name, String kg) {
        return holder(kind, name, Mass.of(kg, MassUnit.KG));
    }

    private static Gym.Holder holder(Implement kind, String name, Mass mass) {
        return new Gym.Holder(kind, name, mass, Optional.empty(), true);
    }

    /** Plates such as {@code 25:8}, eight of 25. */
    private static Map<Plate, Integer> plates(String text, MassUnit unit) {
        Map<Plate, Integer> plates = new HashMap<>();
        for (String part : text.split(" ")) {
            String[] figures = part.split(":");
            plates.put(Plate.of(figures[0], unit), Integer.parseInt(figures[1]));
        }
        return plates;
    }
}
