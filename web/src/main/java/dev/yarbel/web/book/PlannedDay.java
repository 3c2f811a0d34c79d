package dev.yarbel.web.book;

/** The day of a plan that a session answers, known to the book by its numbers only; the week counts from 0. */
public record PlannedDay(long day, int week) {}
