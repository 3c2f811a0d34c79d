package dev.yarbel.web.calls;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.repository.Repository;

interface RuleSettingRepository extends Repository<RuleSetting, Long> {

    List<RuleSetting> findByClubIdAndAccountId(long clubId, long accountId);

    Optional<RuleSetting> findByClubIdAndAccountIdAndRule(long clubId, long accountId, String rule);

    /** As the coach of a lifter has them. */
    @NativeQuery("""
            select s.* from rule_setting s
            join lifter l on l.club_id = s.club_id and l.coach_id = s.account_id
            where l.club_id = :clubId and l.id = :lifterId""")
    List<RuleSetting> findForLifter(long clubId, long lifterId);

    RuleSetting save(RuleSetting setting);
}
