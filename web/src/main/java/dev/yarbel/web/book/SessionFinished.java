package dev.yarbel.web.book;

/** A lifter finished a session. It is handled after it is kept, at least once; listeners must bear hearing it twice. */
public record SessionFinished(long clubId, long lifterId, long sessionId) {}
