package dev.yarbel.web.book;

import dev.yarbel.core.lift.Lift;
import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface LifterQuestionRepository extends Repository<LifterQuestion, Long> {

    /** Those that wait for an answer, each with its set, oldest first. */
    @Query("""
            select q, s, t from LifterQuestion q
            join LoggedSet s on s.clubId = q.clubId and s.sessionId = q.sessionId and s.task = q.task
            join TrainingSession t on t.clubId = q.clubId and t.id = q.sessionId
            where q.clubId = :clubId and q.lifterId = :lifterId and q.answeredAt is null order by q.id""")
    List<Object[]> findOpen(long clubId, long lifterId);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select q from LifterQuestion q where q.clubId = :clubId and q.lifterId = :lifterId and q.id = :id")
    Optional<LifterQuestion> lock(long clubId, long lifterId, long id);

    boolean existsByClubIdAndSessionIdAndTask(long clubId, long sessionId, String task);

    LifterQuestion save(LifterQuestion question);

    @Modifying
    @Query("""
            delete from LifterQuestion q
            where q.clubId = :clubId and q.sessionId = :sessionId and q.answeredAt is null and q.task in (
              select s.task from LoggedSet s
              where s.clubId = :clubId and s.sessionId = :sessionId and s.lift = :lift)""")
    void withdraw(long clubId, long sessionId, Lift lift);
}
