package dev.yarbel.web.book;

import dev.yarbel.web.page.ChangeKind;
import java.time.Instant;
import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.data.repository.Repository;

interface ChangeRepository extends Repository<ChangeEntry, Long> {

    List<ChangeEntry> findByClubIdAndLifterIdOrderByIdDesc(long clubId, long lifterId, Limit limit);

    List<ChangeEntry> findByClubIdAndLifterIdAndKindOrderByIdDesc(
            long clubId, long lifterId, ChangeKind kind, Limit limit);

    List<ChangeEntry> findByClubIdAndLifterIdIsNullOrderByIdDesc(long clubId, Limit limit);

    ChangeEntry save(ChangeEntry entry);

    List<ChangeEntry> findByClubIdAndLifterIdAndBlockIdAndMadeAtGreaterThanEqualOrderByIdDesc(
            long clubId, long lifterId, long blockId, Instant since, Limit limit);
}
