package dev.yarbel.web.roster;

/** Whether small changes of a lifter's numbers are made without asking; as long as nobody decided, not. */
enum LetBe {
    NO,
    YES
}
