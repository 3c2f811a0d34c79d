package dev.yarbel.web.plan;

import dev.yarbel.core.block.BlockWeek;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.prescription.Dose;
import dev.yarbel.core.shape.Deload;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.IntUnaryOperator;
import java.util.stream.IntStream;

/**
 * A block as it is being changed, its days and slots known by their numbers, those taken away among them.
 *
 * <p>It falls into {@linkplain #pieces() pieces}, each a text under a key; what an edit did is the pieces that differ before
 * and after it, and undoing it is putting the old ones back. A day or slot that is taken away has an empty piece.
 */
final class BlockDraft {

    private static final String HEAD = "block";
    private static final String SEPARATOR = "\t";

    /** A training day. */
    record Day(long id, int position, int offset, String name, boolean removed) {

        static Day of(DayEntity day) {
            return new Day(day.id(), day.position(), day.dayOffset(), day.name(), day.isRemoved());
        }

        private String piece() {
            return removed ? "" : String.join(SEPARATOR, String.valueOf(position), String.valueOf(offset), name);
        }

        private Day with(String piece) {
            if (piece.isEmpty()) {
                return new Day(id, position, offset, name, true);
            }
            String[] parts = piece.split(SEPARATOR, -1);
            return new Day(id, Integer.parseInt(parts[0]), Integer.parseInt(parts[1]), parts[2], false);
        }

        Day removed(boolean gone) {
            return new Day(id, position, offset, name, gone);
        }
    }

    /** A slot of a day. */
    record Slot(
            long id,
            long dayId,
            int position,
            String letter,
            Lift lift,
            Optional<String> school,
            Optional<String> reason,
            boolean removed) {

        static Slot of(SlotEntity slot) {
            return new Slot(
                    slot.id(),
                    slot.dayId(),
                    slot.position(),
                    slot.letter(),
                    slot.lift(),
                    slot.school(),
                    slot.reason(),
                    slot.isRemoved());
        }

        private String piece() {
            return removed
                    ? ""
                    : String.join(
                            SEPARATOR,
                            String.valueOf(position),
                            letter,
                            lift.key(),
                            school.orElse(""),
                            reason.orElse(""));
        }

        private Slot with(String piece) {
            if (piece.isEmpty()) {
                return removed(true);
            }
            String[] parts = piece.split(SEPARATOR, -1);
            return new Slot(
                    id,
                    dayId,
                    Integer.parseInt(parts[0]),
                    parts[1],
                    new Lift(parts[2]),
                    Optional.of(parts[3]).filter(text -> !text.isEmpty()),
                    Optional.of(parts[4]).filter(text -> !text.isEmpty()),
                    false);
        }

        Slot removed(boolean gone) {
            return new Slot(id, dayId, position, letter, lift, school, reason, gone);
        }

        Slot at(int place, String called) {
            return new Slot(id, dayId, place, called, lift, school, reason, removed);
        }

        Slot with(Lift other) {
            return new Slot(id, dayId, position, letter, other, school, reason, removed);
        }

        Slot because(Optional<String> why) {
            return new Slot(id, dayId, position, letter, lift, school, why, removed);
        }
    }

    String name;
    LocalDate start;
    Optional<LocalDate> contest;
    List<BlockWeek> weeks;
    final Map<Long, Day> days = new TreeMap<>();
    final Map<Long, Slot> slots = new TreeMap<>();
    private Map<CellKey, String> cells = new HashMap<>();

    BlockDraft(BlockEntity block) {
        name = block.name();
        start = block.startOn();
        contest = block.contestOn();
        weeks = new ArrayList<>(block.shape());
    }

    // ---- deloads

    /** A deload that was written over ends once none of its doses is lighter than those of the week trained before. */
    void endDeloads(Collection<CellKey> rewritten) {
        rewritten.stream()
                .map(CellKey::week)
                .distinct()
                .filter(week -> weeks.get(week).deload())
                .filter(week -> slots.values().stream().noneMatch(slot -> isLight(slot, week)))
                .forEach(week -> weeks.set(week, weeks.get(week).asTraining()));
    }

    private boolean isLight(Slot slot, int week) {
        String text = cell(new CellKey(slot.id(), week));
        Optional<String> before = before(slot, week);
        return !slot.removed()
                && before.isPresent()
                && (text.isEmpty() || Deload.isLighter(Dose.parse(text), Dose.parse(before.get())));
    }

    private Optional<String> before(Slot slot, int week) {
        return IntStream.iterate(week - 1, w -> w >= 0, w -> w - 1)
                .filter(w -> !weeks.get(w).deload())
                .mapToObj(w -> cell(new CellKey(slot.id(), w)))
                .filter(text -> !text.isEmpty())
                .findFirst();
    }

    // ---- what is there

    /** The slots of a day that are there, in order. */
    List<Slot> slotsOf(long day) {
        return slots.values().stream()
                .filter(slot -> slot.dayId() == day && !slot.removed())
                .sorted(Comparator.comparingInt(Slot::position).thenComparingLong(Slot::id))
                .toList();
    }

    /** The days that are there, in order. */
    List<Day> daysInOrder() {
        return days.values().stream()
                .filter(day -> !day.removed())
                .sorted(Comparator.comparingInt(Day::position).thenComparingLong(Day::id))
                .toList();
    }

    String cell(CellKey key) {
        return cells.getOrDefault(key, "");
    }

    void cell(CellKey key, String shorthand) {
        if (shorthand.isEmpty()) {
            cells.remove(key);
        } else {
            cells.put(key, shorthand);
        }
    }

    // ---- weeks

    /** Puts a week in, empty or like another. */
    void insertWeek(int at, Optional<Integer> like) {
        Map<CellKey, String> copied = new HashMap<>();
        like.ifPresent(from -> cells.forEach((key, dose) -> {
            if (key.week() == from) {
                copied.put(new CellKey(key.slotId(), at), dose);
            }
        }));
        BlockWeek week = like.map(weeks::get).orElse(BlockWeek.PLAIN);
        renumber(w -> w >= at ? w + 1 : w);
        cells.putAll(copied);
        weeks.add(at, week);
    }

    void removeWeek(int at) {
        cells.keySet().removeIf(key -> key.week() == at);
        renumber(w -> w > at ? w - 1 : w);
        weeks.remove(at);
    }

    void moveWeek(int from, int to) {
        renumber(w -> w == from ? to : w > from && w <= to ? w - 1 : w < from && w >= to ? w + 1 : w);
        weeks.add(to, weeks.remove(from));
    }

    private void renumber(IntUnaryOperator week) {
        Map<CellKey, String> renumbered = new HashMap<>();
        cells.forEach((key, dose) -> renumbered.put(new CellKey(key.slotId(), week.applyAsInt(key.week())), dose));
        cells = renumbered;
    }

    // ---- pieces

    /** Every piece by its key. */
    Map<String, String> pieces() {
        Map<String, String> pieces = new TreeMap<>();
        pieces.put(
                HEAD,
                String.join(
                        SEPARATOR,
                        name,
                        start.toString(),
                        WeekCodes.of(weeks),
                        contest.map(LocalDate::toString).orElse("")));
        days.values().forEach(day -> pieces.put("day." + day.id(), day.piece()));
        slots.values().forEach(slot -> pieces.put("slot." + slot.id(), slot.piece()));
        cells.forEach((key, dose) -> pieces.put("cell." + key, dose));
        return pieces;
    }

    /** Puts a piece back. */
    void put(String key, String piece) {
        if (key.equals(HEAD)) {
            String[] parts = piece.split(SEPARATOR, -1);
            name = parts[0];
            start = LocalDate.parse(parts[1]);
            weeks = new ArrayList<>(WeekCodes.parse(parts[2], parts[2].split(",", -1).length));
            contest = Optional.of(parts[3]).filter(day -> !day.isEmpty()).map(LocalDate::parse);
            return;
        }
        String id = key.substring(key.indexOf('.') + 1);
        if (key.startsWith("day.")) {
            days.computeIfPresent(Long.valueOf(id), (number, day) -> day.with(piece));
        } else if (key.startsWith("slot.")) {
            slots.computeIfPresent(Long.valueOf(id), (number, slot) -> slot.with(piece));
        } else {
            cell(cellKey(key), piece);
        }
    }

    /** Whether a piece is a dose. */
    static boolean isCell(String key) {
        return key.startsWith("cell.");
    }

    static CellKey cellKey(String key) {
        String[] parts = key.split("\\.");
        return new CellKey(Long.parseLong(parts[1]), Integer.parseInt(parts[2]));
    }

    /** Tells by one word whether days, slots and weeks are what somebody saw who wants to change them. */
    String stamp() {
        return stamp(pieces().entrySet().stream()
                .filter(piece -> !isCell(piece.getKey()) && !piece.getValue().isEmpty())
                .map(piece -> piece.getKey() + "=" + piece.getValue())
                .toList());
    }

    private static String stamp(Collection<String> pieces) {
        return UUID.nameUUIDFromBytes(String.join("\n", pieces).getBytes(StandardCharsets.UTF_8))
                .toString();
    }
}
