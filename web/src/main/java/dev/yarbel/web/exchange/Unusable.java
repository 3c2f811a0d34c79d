package dev.yarbel.web.exchange;

/** A file is no table that could be read, for a reason that the bundle words. */
final class Unusable extends Exception {

    private static final long serialVersionUID = 1;

    Unusable(String code) {
        super(code);
    }

    /** The reason's code behind {@code exchange.error.}. */
    String code() {
        return getMessage();
    }
}
