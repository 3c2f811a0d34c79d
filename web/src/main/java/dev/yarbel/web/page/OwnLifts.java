package dev.yarbel.web.page;

import dev.yarbel.core.lift.Lift;
import java.util.List;

/** The lifts that a club's coaches added to the catalogue; the book knows. */
public interface OwnLifts {

    List<Lift> ownLifts(long clubId);
}
