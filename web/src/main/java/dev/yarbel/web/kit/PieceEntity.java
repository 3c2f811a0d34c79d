package dev.yarbel.web.kit;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Transient;
import java.time.Instant;
import java.util.EnumMap;
import java.util.Map;
import java.util.TreeMap;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A piece of kit in a gym; its fields are kept as they read in its form. */
@Entity
@Table(name = "piece")
class PieceEntity {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long gymId;

    @Enumerated(EnumType.STRING)
    private Shelf shelf;

    @JdbcTypeCode(SqlTypes.JSON)
    private Map<String, String> fields;

    private Instant removedAt;

    @Transient
    private Piece piece;

    protected PieceEntity() {}

    PieceEntity(long clubId, long gymId, Piece piece) {
        this.clubId = clubId;
        this.gymId = gymId;
        this.shelf = piece.shelf();
        change(piece);
    }

    public Long id() {
        return id;
    }

    long gymId() {
        return gymId;
    }

    public Shelf shelf() {
        return shelf;
    }

    void remove(Instant at) {
        removedAt = at;
    }

    boolean isRemoved() {
        return removedAt != null;
    }

    /** What is known of it. */
    Piece piece() {
        if (piece == null) {
            Map<PieceField, String> texts = new EnumMap<>(PieceField.class);
            fields.forEach((field, text) -> texts.put(PieceField.valueOf(field), text));
            piece = shelf.read(PieceAnswers.kept(texts));
        }
        return piece;
    }

    void change(Piece now) {
        Map<String, String> texts = new TreeMap<>();
        now.texts().forEach((field, text) -> texts.put(field.name(), text));
        fields = texts;
        piece = now;
    }

    /** What to call it: its name, else its mass. */
    public String label() {
        return piece().label();
    }

    /** What is kept in a field, as it is typed. */
    public String text(PieceField field) {
        return fields.getOrDefault(field.name(), "");
    }
}
