package dev.yarbel.web.book;

/**
 * A lifter's log got sessions from a file, or lost those it had got. They are history: nobody judges them as if they were of today. It is
 * handled after it is kept, at least once; listeners must bear hearing it twice.
 */
public record LogImported(long clubId, long lifterId) {}
