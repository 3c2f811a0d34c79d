package dev.yarbel.web.book;

import dev.yarbel.core.lift.Catalogue;
import dev.yarbel.core.lift.Lift;
import dev.yarbel.web.page.OwnLifts;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The lifts a club knows: ours and its own. */
@Service
@Transactional(readOnly = true)
class ClubLifts implements OwnLifts {

    private final OwnVariationRepository variations;

    ClubLifts(OwnVariationRepository variations) {
        this.variations = variations;
    }

    @Override
    public List<Lift> ownLifts(long clubId) {
        return variations.findByClubIdOrderById(clubId).stream()
                .map(OwnVariation::lift)
                .toList();
    }

    Catalogue catalogue(long clubId) {
        Catalogue catalogue = Catalogue.STANDARD;
        for (OwnVariation own : variations.findByClubIdOrderById(clubId)) {
            catalogue = catalogue.with(List.of(own.in(catalogue)));
        }
        return catalogue;
    }
}
