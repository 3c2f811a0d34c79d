package dev.yarbel.web.calls;

import static dev.yarbel.web.kept.Field.named;
import static dev.yarbel.web.kept.Field.number;
import static dev.yarbel.web.kept.Field.text;
import static dev.yarbel.web.kept.Field.whole;
import static dev.yarbel.web.kept.Field.yes;

import dev.yarbel.web.kept.ClubParts;
import dev.yarbel.web.kept.Kept;
import java.util.List;
import org.springframework.stereotype.Component;

/** How each coach set the rules of judgement. */
@Component
class RuleParts implements ClubParts {

    @Override
    public List<Kept> parts() {
        return List.of(Kept.ofClub(
                        "rules",
                        "rule_setting",
                        "account_id, rule",
                        named("coach", "account_id", NAME, COACH),
                        text("rule"),
                        yes("on", "switched_on"),
                        number("threshold"),
                        whole("lefts"))
                .knownBy("coach", "rule")
                .keptIf("account_id is not null"));
    }

    private static final String NAME =
            "(select a.name from account a where a.id = {t}.account_id and a.club_id = {t}.club_id)";

    private static final String COACH = """
            (select min(a.id) from account a where a.club_id = :club and a.role <> 'LIFTER' and a.closed_at is null
            and lower(a.name) = lower({v}))""";
}
