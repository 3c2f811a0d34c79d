package dev.yarbel.web.roster;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface LifterRepository extends Repository<Lifter, Long> {

    List<Lifter> findByClubIdAndCoachIdOrderByName(long clubId, long coachId);

    Optional<Lifter> findByClubIdAndId(long clubId, long id);

    Optional<Lifter> findByClubIdAndCoachIdAndId(long clubId, long coachId, long id);

    Lifter save(Lifter lifter);
}
