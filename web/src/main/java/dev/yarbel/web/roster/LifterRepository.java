package dev.yarbel.web.roster;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface LifterRepository extends Repository<Lifter, Long> {

    @Query(
            "select l from Lifter l where l.clubId = :clubId and l.coachId = :coachId and l.archivedAt is null order by l.name")
    List<Lifter> ofCoach(long clubId, long coachId);

    /** By part of a name, of one coach or of all, in pages. */
    @Query("""
            select l from Lifter l where l.clubId = :clubId
            and (:coachId is null or l.coachId = :coachId)
            and (:archived = true and l.archivedAt is not null or :archived = false and l.archivedAt is null)
            and lower(l.name) like :like escape '!'
            and (l.name > :afterName or l.name = :afterName and l.id > :afterId)
            order by l.name, l.id""")
    List<Lifter> search(
            long clubId, Long coachId, boolean archived, String like, String afterName, long afterId, Limit limit);

    @Query(
            "select new dev.yarbel.web.roster.EveryLifter$Named(l.id, l.name) from Lifter l where l.clubId = :clubId order by l.id")
    List<EveryLifter.Named> named(long clubId);

    Optional<Lifter> findByClubIdAndId(long clubId, long id);

    /**
     * A lifter, of one coach or of any, with the aches that nobody has cleared or somebody did since a day, one row for each, at
     * least one; and what they last weighed in kg.
     */
    @Query("""
            select l, a, (select m.figure from Measurement m where m.clubId = :clubId and m.lifterId = :id
                and m.kind = dev.yarbel.web.roster.MeasureKind.BODY_MASS and m.removedAt is null
                order by m.onDate desc, m.id desc limit 1)
            from Lifter l
            left join AcheEntity a on a.clubId = l.clubId and a.lifterId = l.id
                and (a.clearedOn is null or a.clearedOn >= :healedSince)
            where l.clubId = :clubId and l.id = :id and (:coachId is null or l.coachId = :coachId)
            order by a.since, a.id""")
    List<Object[]> findWithAches(long clubId, Long coachId, long id, LocalDate healedSince);

    Optional<Lifter> findByClubIdAndCoachIdAndId(long clubId, long coachId, long id);

    List<Lifter> findByClubIdAndIdInAndArchivedAtIsNull(long clubId, Collection<Long> ids);

    Lifter save(Lifter lifter);

    long countByClubIdAndCoachIdAndArchivedAtIsNull(long clubId, long coachId);

    /** Notes the newest week that was written about. */
    @Modifying
    @Query("""
            update Lifter l set l.weekWritten = :monday
            where l.clubId = :clubId and l.id = :id and (l.weekWritten is null or l.weekWritten < :monday)""")
    void wrote(long clubId, long id, LocalDate monday);

    @Modifying
    @Query("update Lifter l set l.wordsAt = :at, l.wordsWaiting = :waits where l.clubId = :clubId and l.id = :id")
    void spoke(long clubId, long id, Instant at, boolean waits);
}
