package dev.yarbel.web.book;

import java.time.Instant;
import java.util.Optional;

/** One entry of the ledger: who changed what, when and why; before and after in the words of the room that wrote it. */
public record Change(
        Instant at, String who, ChangeKind kind, String subject, Optional<String> why, String before, String after) {}
