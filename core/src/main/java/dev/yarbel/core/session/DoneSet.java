package dev.yarbel.core.session;

import dev.yarbel.core.record.LiftedSet;

/** A set lifted today, with the task of the day it answered. */
public record DoneSet(TaskKey task, LiftedSet set) {}
