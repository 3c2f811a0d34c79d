package dev.yarbel.web.kit;

import static dev.yarbel.web.kept.Field.moment;
import static dev.yarbel.web.kept.Field.number;
import static dev.yarbel.web.kept.Field.object;
import static dev.yarbel.web.kept.Field.text;
import static dev.yarbel.web.kept.Field.within;

import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.web.kept.ClubParts;
import dev.yarbel.web.kept.Kept;
import java.util.List;
import org.springframework.stereotype.Component;

/** Gyms and what is in them. */
@Component
class GymParts implements ClubParts {

    private final Gyms gyms;

    GymParts(Gyms gyms) {
        this.gyms = gyms;
    }

    @Override
    public List<Kept> parts() {
        return List.of(Kept.ofClub(
                        "gyms",
                        "gym",
                        "id",
                        text("name"),
                        text("unit").of(MassUnit.class),
                        number("collars"),
                        moment("struckAt", "removed_at"),
                        within(Kept.within(
                                "pieces",
                                "piece",
                                "gym_id",
                                "id",
                                text("shelf").of(Shelf.class),
                                object("fields", "fields"),
                                moment("struckAt", "removed_at"))))
                .knownBy("name", "struckAt")
                .struckUnless(IN_USE));
    }

    /** Somebody who still trains in the club trains there. */
    private static final String IN_USE = """
            exists (select from lifter_gym g join lifter l on l.id = g.lifter_id and l.club_id = g.club_id
            where g.gym_id = {t}.id and g.club_id = {t}.club_id and l.archived_at is null)""";

    @Override
    public void readBack(long clubId) {
        gyms.gyms(clubId).forEach(gym -> gyms.stock(clubId, gym.id()).asGym());
    }
}
