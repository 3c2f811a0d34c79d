package dev.yarbel.web.kit;

import dev.yarbel.web.page.ChangeKind;
import dev.yarbel.web.page.ChangeLog;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.LifterCard;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps which gyms a lifter trains in, and what they take there. */
@Service
@Transactional
class LifterGyms {

    private final GymRepository gyms;
    private final LifterGymRepository lifterGyms;
    private final GymDayRepository days;
    private final KitShelf shelf;
    private final ChangeLog changes;

    LifterGyms(
            GymRepository gyms,
            LifterGymRepository lifterGyms,
            GymDayRepository days,
            KitShelf shelf,
            ChangeLog changes) {
        this.gyms = gyms;
        this.lifterGyms = lifterGyms;
        this.days = days;
        this.shelf = shelf;
        this.changes = changes;
    }

    /** A lifter's gyms, the usual one first. */
    @Transactional(readOnly = true)
    List<GymEntity> of(LifterCard lifter) {
        return gyms.ofLifter(lifter.clubId(), lifter.id());
    }

    /** Has a lifter train in a gym too, or no more, or usually. */
    void train(Person coach, LifterCard lifter, long gymId, Training how) {
        List<Long> before =
                new ArrayList<>(of(lifter).stream().map(GymEntity::id).toList());
        String beforeNames = names(lifter);
        before.remove(gymId);
        switch (how) {
            case USUALLY -> before.add(0, gymId);
            case ALSO -> before.add(gymId);
            case NO_MORE -> {
                if (before.isEmpty()) {
                    throw new UnreadableException("kit.last-gym").in("gym");
                }
            }
        }
        shelf.trainsIn(lifter, before);
        changes.write(
                coach,
                Optional.of(lifter.id()),
                ChangeKind.GYMS,
                List.of(how.name()),
                Optional.empty(),
                beforeNames,
                names(lifter));
    }

    /**
     * A gym of a lifter's.
     *
     * @param bars what it has to lift with
     * @param usualBar the name of the one they take; null for the first
     */
    record Own(GymEntity gym, List<String> bars, String usualBar) {}

    /** A lifter's gyms with their bars, the usual gym first. */
    @Transactional(readOnly = true)
    List<Own> own(LifterCard lifter) {
        Map<Long, List<PieceEntity>> bars =
                gyms.barsOf(lifter.clubId(), lifter.id()).stream().collect(Collectors.groupingBy(PieceEntity::gymId));
        Map<Long, Long> usual = new HashMap<>();
        lifterGyms
                .findByClubIdAndLifterIdOrderByPosition(lifter.clubId(), lifter.id())
                .forEach(gym -> usual.put(gym.gymId(), gym.barId()));
        return of(lifter).stream()
                .map(gym -> own(gym, bars.getOrDefault(gym.id(), List.of()), usual.get(gym.id())))
                .toList();
    }

    private static Own own(GymEntity gym, List<PieceEntity> bars, Long usual) {
        return new Own(
                gym,
                bars.stream().map(PieceEntity::label).toList(),
                bars.stream()
                        .filter(bar -> bar.id().equals(usual))
                        .map(PieceEntity::label)
                        .findFirst()
                        .orElse(null));
    }

    /** Has a lifter take a bar in a gym; blank for the first there is. */
    void takesBar(Person coach, LifterCard lifter, long gymId, String bar) {
        String before = own(lifter).stream()
                .filter(own -> own.gym().id() == gymId)
                .findFirst()
                .map(own -> own.usualBar() == null ? "" : own.usualBar())
                .orElseThrow(NotFoundException::new);
        if (!before.equals(bar)) {
            shelf.takesBar(lifter, gymId, bar.isEmpty() ? Optional.empty() : Optional.of(bar));
            changes.write(
                    coach, Optional.of(lifter.id()), ChangeKind.GYMS, List.of("BAR"), Optional.empty(), before, bar);
        }
    }

    private String names(LifterCard lifter) {
        return of(lifter).stream().map(GymEntity::name).collect(Collectors.joining(", "));
    }

    /** How a lifter trains in a gym from now on. */
    enum Training {
        USUALLY,
        ALSO,
        NO_MORE
    }

    /** Has a lifter train elsewhere on one day; loads of that day are made with what is there. */
    void trainOn(Person who, LifterCard lifter, LocalDate day, long gymId) {
        GymEntity gym = gyms.findByClubIdAndId(lifter.clubId(), gymId)
                .filter(open -> !open.isRemoved())
                .orElseThrow(NotFoundException::new);
        days.findByClubIdAndLifterIdAndOnDate(lifter.clubId(), lifter.id(), day)
                .ifPresentOrElse(
                        chosen -> chosen.gym(gymId),
                        () -> days.save(new GymDay(lifter.clubId(), lifter.id(), day, gymId)));
        changes.write(
                who,
                Optional.of(lifter.id()),
                ChangeKind.GYMS,
                List.of("DAY"),
                Optional.empty(),
                "",
                day + ", " + gym.name());
    }
}
