package dev.yarbel.web.book;

import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface ChangeRepository extends Repository<ChangeEntry, Long> {

    List<ChangeEntry> findByClubIdAndLifterIdOrderByIdDesc(long clubId, long lifterId, Limit limit);

    @Query("""
            select e from ChangeEntry e
            where e.clubId = :clubId and e.lifterId = :lifterId and e.kind = :kind and e.subject = :subject
            order by e.id desc""")
    List<ChangeEntry> findLast(long clubId, long lifterId, ChangeKind kind, List<String> subject, Limit limit);

    ChangeEntry save(ChangeEntry entry);
}
