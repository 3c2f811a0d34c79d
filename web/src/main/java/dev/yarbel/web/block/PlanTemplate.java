package dev.yarbel.web.block;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;

/** A row of doses, a day or a block that a club's coaches keep to start from. */
@Entity
class PlanTemplate {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private long clubId;

    @Enumerated(EnumType.STRING)
    private TemplateKind kind;

    private String name;
    private String body;
    private String madeBy;
    private Instant madeAt;
    private Instant removedAt;

    protected PlanTemplate() {}

    PlanTemplate(long clubId, TemplateKind kind, String name, String body, String madeBy, Instant madeAt) {
        this.clubId = clubId;
        this.kind = kind;
        this.name = name;
        this.body = body;
        this.madeBy = madeBy;
        this.madeAt = madeAt;
    }

    long id() {
        return id;
    }

    TemplateKind kind() {
        return kind;
    }

    String name() {
        return name;
    }

    String body() {
        return body;
    }

    String madeBy() {
        return madeBy;
    }

    Instant madeAt() {
        return madeAt;
    }

    void removed(Instant at) {
        removedAt = at;
    }
}
