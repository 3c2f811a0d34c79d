package dev.yarbel.web.roster;

/** An ache of a lifter's was cleared. It is handled after it is kept, at least once; listeners must bear hearing it twice. */
public record AcheCleared(long clubId, long lifterId) {}
