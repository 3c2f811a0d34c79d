package dev.yarbel.web.roster;

import dev.yarbel.web.page.Person;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;

/** What lifter or coach want, or a note, in its author's words. */
@Entity
class LifterNote {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;
    private long lifterId;

    @Enumerated(EnumType.STRING)
    private NoteKind kind;

    private String text;
    private Instant writtenAt;
    private long writtenBy;
    private String author;
    private Instant removedAt;

    protected LifterNote() {}

    LifterNote(long clubId, long lifterId, NoteKind kind, String text, Person author, Instant at) {
        this.clubId = clubId;
        this.lifterId = lifterId;
        this.kind = kind;
        this.text = text;
        this.writtenAt = at;
        this.writtenBy = author.accountId();
        this.author = author.personName();
    }

    public long id() {
        return id;
    }

    public NoteKind kind() {
        return kind;
    }

    public String text() {
        return text;
    }

    public String author() {
        return author;
    }

    public Instant writtenAt() {
        return writtenAt;
    }

    /** Whether this person may strike it and bring it back: a coach, or whoever wrote it. */
    public boolean isStruckBy(Person person) {
        return person.isCoach() || writtenBy == person.accountId();
    }

    void remove(Instant at) {
        removedAt = at;
    }

    boolean isRemoved() {
        return removedAt != null;
    }
}
