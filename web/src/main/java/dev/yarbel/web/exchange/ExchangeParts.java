package dev.yarbel.web.exchange;

import dev.yarbel.web.kept.Kept;
import dev.yarbel.web.kept.LifterParts;
import java.util.List;
import org.springframework.stereotype.Component;

/** Files that were brought of a lifter are theirs to be deleted; what came of them is in the log. */
@Component
class ExchangeParts implements LifterParts {

    @Override
    public List<Kept> parts() {
        return List.of();
    }

    @Override
    public List<String> erase() {
        return List.of(
                "delete from import_file where club_id = ? and lifter_id = any (?)",
                "delete from import_shape where club_id = ? and account_id in"
                        + " (select id from account where role = 'LIFTER' and lifter_id = any (?))");
    }
}
