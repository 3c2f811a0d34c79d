package dev.yarbel.web.book;

import dev.yarbel.core.lift.Lift;
import dev.yarbel.core.lift.SetUpMeasure;
import dev.yarbel.web.roster.LifterCard;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The set-up cards of lifters: which hole, how wide, how high. */
@Service
@Transactional(readOnly = true)
class SetUps {

    private final SetUpRepository setUps;

    SetUps(SetUpRepository setUps) {
        this.setUps = setUps;
    }

    /** A lifter's cards, lift by lift; a lift without figures has none. */
    Map<Lift, Map<SetUpMeasure, String>> cards(LifterCard lifter) {
        Map<Lift, Map<SetUpMeasure, String>> cards = new LinkedHashMap<>();
        setUps.findByClubIdAndLifterIdOrderById(lifter.clubId(), lifter.id())
                .forEach(figure -> cards.computeIfAbsent(figure.lift(), lift -> new EnumMap<>(SetUpMeasure.class))
                        .put(figure.measure(), figure.figure()));
        return cards;
    }

    /** The card of one lift. */
    Map<SetUpMeasure, String> card(LifterCard lifter, Lift lift) {
        return cards(lifter).getOrDefault(lift, Map.of());
    }
}
