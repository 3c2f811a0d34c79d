package dev.yarbel.web.clips;

import dev.yarbel.core.clip.BarPath;
import dev.yarbel.core.clip.BarTrack;
import dev.yarbel.core.clip.RepMarks;
import dev.yarbel.core.lift.Checklist;
import dev.yarbel.core.record.CoachSeen;
import dev.yarbel.core.record.RepsSeen;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.web.book.Book;
import dev.yarbel.web.book.NamedSets.NamedSet;
import dev.yarbel.web.book.Sessions;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.LifterCard;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Looking at a clip: which repetitions are clean, what whoever looks says of the set, and what the bar did. */
@Service
@Transactional
class ClipLook {

    private final Clips clips;
    private final ClipTrackRepository tracks;
    private final Sessions sessions;
    private final Book book;
    private final Clock clock;

    ClipLook(Clips clips, ClipTrackRepository tracks, Sessions sessions, Book book, Clock clock) {
        this.clips = clips;
        this.tracks = tracks;
        this.sessions = sessions;
        this.book = book;
        this.clock = clock;
    }

    /** What is known of a clip; nothing of the bar where nobody had it followed. */
    record Looked(
            ClipEntity clip,
            NamedSet set,
            List<Checklist.Point> checklist,
            Optional<BarTrack> track,
            Optional<BarPath> path) {}

    @Transactional(readOnly = true)
    public Looked look(LifterCard lifter, long id) {
        Clips.Filmed filmed = clips.filmed(lifter, id);
        Optional<BarTrack> track =
                tracks.findByClubIdAndClipId(lifter.clubId(), id).map(ClipTrack::track);
        return new Looked(
                filmed.clip(),
                filmed.set(),
                Checklist.of(filmed.set().done().set().lift(), book.catalogue(lifter.clubId())),
                track,
                track.map(BarPath::of));
    }

    /** Keeps what a coach marked in a clip and says of its set. */
    public void seen(LifterCard lifter, long id, RepMarks marks, CoachSeen said) {
        Clips.Filmed filmed = mark(lifter, id, marks);
        Optional<RepsSeen> reps = reps(filmed, marks);
        CoachSeen.Form form =
                reps.filter(seen -> !seen.areClean()).isPresent() ? CoachSeen.Form.BROKEN : CoachSeen.Form.CLEAN;
        witness(
                lifter,
                filmed,
                details -> details.seenBy(new CoachSeen(
                        said.rating(),
                        // what was said of the set as a whole stays where its repetitions were not marked
                        reps.map(seen -> form).or(() -> details.coach().form()),
                        said.link(),
                        said.note(),
                        reps.or(() -> details.coach().reps()))));
    }

    /** Keeps what a lifter marked in a clip, and whether it looks easier or harder than it felt. */
    public void found(LifterCard lifter, long id, RepMarks marks, Optional<SetDetails.Video> judged) {
        Clips.Filmed filmed = mark(lifter, id, marks);
        Optional<RepsSeen> reps = reps(filmed, marks);
        witness(lifter, filmed, details -> details.found(reps.or(details::reps)).judged(judged));
    }

    private Clips.Filmed mark(LifterCard lifter, long id, RepMarks marks) {
        Clips.Filmed filmed = clips.filmed(lifter, id);
        filmed.clip().mark(marks);
        return filmed;
    }

    private static Optional<RepsSeen> reps(Clips.Filmed filmed, RepMarks marks) {
        int made = filmed.set().done().set().reps();
        if (marks.reps().size() > made) {
            throw new UnreadableException("clips.error.marks", made).in("marks");
        }
        return marks.seen(made);
    }

    /** Keeps where the plate was followed; a speed that is to be relied on stands by the set, unless a sensor measured one. */
    public void follow(Person person, LifterCard lifter, long id, BarTrack track) {
        Clips.Filmed filmed = clips.filmed(lifter, id);
        ClipTrack kept =
                tracks.findByClubIdAndClipId(lifter.clubId(), id).orElseGet(() -> new ClipTrack(lifter.clubId(), id));
        kept.follow(track, person.accountId(), clock.instant());
        tracks.save(kept);
        BarPath.of(track)
                .speedOfTheLast(filmed.set().done().set().reps())
                .ifPresent(speed -> witness(
                        lifter,
                        filmed,
                        details -> details.speed().isEmpty() || details.filmed() ? details.filmed(speed) : details));
    }

    private void witness(LifterCard lifter, Clips.Filmed filmed, UnaryOperator<SetDetails> shown) {
        sessions.witness(lifter, filmed.set().session(), filmed.set().done().task(), shown);
    }
}
