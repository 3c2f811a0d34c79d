package dev.yarbel.web.calls;

import dev.yarbel.core.adjust.Verdict;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface JudgedCallRepository extends Repository<JudgedCall, Long> {

    JudgedCall save(JudgedCall judged);

    @Modifying
    @Query("delete from JudgedCall j where j.clubId = :clubId and j.slipId = :slipId")
    void forget(long clubId, long slipId);

    /** A lifter's answers given before a moment to what these rules found, and not looked at again yet. */
    @Query("""
            select s from Slip s
            where s.clubId = :clubId and s.lifterId = :lifterId
            and s.status in ('TAKEN', 'CHANGED', 'BY_ITSELF', 'LEFT') and s.answeredAt < :before
            and s.rule in :rules and s.proposes <> 'ask-lifter'
            and not exists (select 1 from JudgedCall j where j.slipId = s.id)
            order by s.id""")
    List<Slip> toJudge(long clubId, long lifterId, Instant before, Collection<String> rules);

    /** How many answers of a kind came to what. */
    record Tally(String rule, boolean isLeft, String verdict, long answers) {

        Verdict judged() {
            return Verdict.valueOf(verdict);
        }
    }

    @NativeQuery("""
            select s.rule, s.status = 'LEFT', j.verdict, count(*)
            from judged_call j join slip s on s.id = j.slip_id
            where j.club_id = :clubId and s.club_id = j.club_id and s.lifter_id in (:lifterIds) and s.answered_by = :coach
              and s.status in ('TAKEN', 'CHANGED', 'LEFT')
            group by 1, 2, 3""")
    List<Tally> tally(long clubId, Collection<Long> lifterIds, long coach);

    /** The latest that were looked at again, newest first, each with what followed. */
    @Query("""
            select s, j from JudgedCall j join Slip s on s.id = j.slipId
            where j.clubId = :clubId and s.clubId = j.clubId and s.lifterId in :lifterIds and s.answeredBy = :coach
            and s.status in ('TAKEN', 'CHANGED', 'LEFT')
            order by s.answeredAt desc, s.id desc""")
    List<Object[]> latest(long clubId, Collection<Long> lifterIds, long coach, Limit most);
}
