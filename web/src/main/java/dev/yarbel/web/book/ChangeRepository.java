package dev.yarbel.web.book;

import dev.yarbel.web.page.ChangeKind;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.repository.Repository;

interface ChangeRepository extends Repository<ChangeEntry, Long> {

    List<ChangeEntry> findByClubIdAndLifterIdOrderByIdDesc(long clubId, long lifterId, Limit limit);

    List<ChangeEntry> findByClubIdAndLifterIdAndKindOrderByIdDesc(
            long clubId, long lifterId, ChangeKind kind, Limit limit);

    List<ChangeEntry> findByClubIdAndLifterIdAndKindInAndIdLessThanOrderByIdDesc(
            long clubId, long lifterId, Collection<ChangeKind> kinds, long before, Limit limit);

    List<ChangeEntry> findByClubIdAndLifterIdIsNullOrderByIdDesc(long clubId, Limit limit);

    ChangeEntry save(ChangeEntry entry);

    List<ChangeEntry> findByClubIdAndLifterIdAndBlockIdAndMadeAtGreaterThanEqualOrderByIdDesc(
            long clubId, long lifterId, long blockId, Instant since, Limit limit);

    Optional<ChangeEntry> findByClubIdAndId(long clubId, long id);

    /**
     * Those of some decisions that something stands on: of one that moved nothing or a working max, whatever moved that lift's since;
     * of one that wrote into a block, whatever undid it.
     */
    @NativeQuery("""
            select e.id from change_entry e
            where e.club_id = :clubId and e.id in (:entries) and exists (
              select 1 from change_entry l
              where l.club_id = e.club_id and l.lifter_id = e.lifter_id and l.id > e.id
                and case when e.block_id is null
                  then l.subject[1] = e.subject[1] and (l.kind = 'WORKING_MAX'
                    or l.kind in ('CALL_TAKEN', 'CALL_BY_ITSELF', 'CALL_CHANGED', 'CALL_TAKEN_BACK')
                      and l.payload is not null and l.block_id is null)
                  else l.undoes = e.id end)""")
    List<Long> decidedSince(long clubId, Collection<Long> entries);

    /** The decisions on the working max of a lift, oldest first. */
    @NativeQuery("""
            select * from change_entry
            where club_id = :clubId and lifter_id = :lifterId and subject[1] = :lift
              and block_id is null and kind in ('WORKING_MAX', 'CALL_TAKEN', 'CALL_BY_ITSELF', 'CALL_CHANGED', 'CALL_TAKEN_BACK') order by id""")
    List<ChangeEntry> findDecisionsOnWorkingMax(long clubId, long lifterId, String lift);

    List<ChangeEntry> findByClubIdAndIdIn(long clubId, Collection<Long> ids);
}
