package dev.yarbel.web.clips;

import dev.yarbel.core.clip.BarTrack;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;

/** Where the plate was followed in a clip. */
@Entity
class ClipTrack {

    @Id
    private Long clipId;

    private long clubId;
    private double rimAcross;
    private double rimDown;
    private double rimWidth;
    private String pictures;
    private long trackedBy;
    private Instant trackedAt;

    protected ClipTrack() {}

    ClipTrack(long clubId, long clipId) {
        this.clubId = clubId;
        this.clipId = clipId;
    }

    void follow(BarTrack track, long by, Instant at) {
        rimAcross = track.rim().x();
        rimDown = track.rim().y();
        rimWidth = track.rim().width();
        pictures = track.written();
        trackedBy = by;
        trackedAt = at;
    }

    BarTrack track() {
        return BarTrack.parse(new BarTrack.Rim(rimAcross, rimDown, rimWidth), pictures);
    }
}
