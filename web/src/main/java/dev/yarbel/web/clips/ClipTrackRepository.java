package dev.yarbel.web.clips;

import java.util.Optional;
import org.springframework.data.repository.Repository;

interface ClipTrackRepository extends Repository<ClipTrack, Long> {

    Optional<ClipTrack> findByClubIdAndClipId(long clubId, long clipId);

    ClipTrack save(ClipTrack track);
}
