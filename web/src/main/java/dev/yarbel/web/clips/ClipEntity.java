package dev.yarbel.web.clips;

import dev.yarbel.core.clip.RepMarks;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

@Entity
@Table(name = "clip")
class ClipEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long lifterId;
    private UUID setToken;
    private UUID file;

    @Enumerated(EnumType.STRING)
    private ClipType type;

    private long bytes;
    private Integer millis;
    private int startsAtMillis;
    private String marks = "";
    private UUID preview;
    private long addedBy;
    private Instant addedAt;

    protected ClipEntity() {}

    ClipEntity(
            long clubId,
            long lifterId,
            UUID setToken,
            UUID file,
            CheckedClip clip,
            Optional<UUID> preview,
            long addedBy,
            Instant addedAt) {
        this.clubId = clubId;
        this.lifterId = lifterId;
        this.setToken = setToken;
        this.file = file;
        this.type = clip.type();
        this.bytes = clip.bytes();
        this.millis = clip.length().map(length -> (int) length.toMillis()).orElse(null);
        this.preview = preview.orElse(null);
        this.addedBy = addedBy;
        this.addedAt = addedAt;
    }

    public long id() {
        return id;
    }

    UUID setToken() {
        return setToken;
    }

    UUID file() {
        return file;
    }

    ClipType type() {
        return type;
    }

    /** When the bar starts to move. */
    public Duration start() {
        return Duration.ofMillis(startsAtMillis);
    }

    void startsAt(Duration moment) {
        startsAtMillis = (int) moment.toMillis();
    }

    /** What somebody marked in it. */
    public RepMarks marks() {
        return RepMarks.parse(marks);
    }

    void mark(RepMarks marked) {
        marks = marked.toString();
    }

    Optional<UUID> preview() {
        return Optional.ofNullable(preview);
    }

    public boolean hasPreview() {
        return preview != null;
    }

    public Instant addedAt() {
        return addedAt;
    }
}
