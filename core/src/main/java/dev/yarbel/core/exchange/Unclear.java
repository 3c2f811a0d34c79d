package dev.yarbel.core.exchange;

/** A text cannot be taken for what it should be. */
final class Unclear extends Exception {

    private static final long serialVersionUID = 1;

    private final Trouble.Kind kind;

    Unclear(Trouble.Kind kind) {
        super(kind.name(), null, false, false);
        this.kind = kind;
    }

    Trouble.Kind kind() {
        return kind;
    }
}
