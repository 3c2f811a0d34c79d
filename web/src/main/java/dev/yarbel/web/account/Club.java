package dev.yarbel.web.account;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;

@Entity
class Club {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private String name;
    private String zone;

    protected Club() {}

    Club(String name, String zone) {
        this.name = name;
        this.zone = zone;
    }

    long id() {
        return id;
    }

    String name() {
        return name;
    }

    String zone() {
        return zone;
    }
}
