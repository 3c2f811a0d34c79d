package dev.yarbel.web.calls;

/** How a slip can be answered. */
enum How {
    TAKE("taken"),
    CHANGE("changed"),
    LEAVE("left");

    private final String done;

    How(String done) {
        this.done = done;
    }

    /** The form of the page that sends it. */
    String form() {
        return this == CHANGE ? "change" : "answer";
    }

    /** The word for it once it is done. */
    String done() {
        return done;
    }
}
