package dev.yarbel.web.clips;

import dev.yarbel.core.clip.BarPath;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.record.LiftedSet;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.web.book.NamedSets.NamedSet;
import dev.yarbel.web.page.Words;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Writes what is known of a clip as its page shows it. */
@Component
class ClipWriter {

    private final Words words;

    ClipWriter(Words words) {
        this.words = words;
    }

    /**
     * A clip's page.
     *
     * @param checklist what makes a repetition clean, in words
     * @param onRecord the rating that counts; null where there is none
     * @param moved whether that is another than the lifter's own
     * @param bar null where nobody had it followed
     */
    record Page(
            ClipEntity clip,
            NamedSet set,
            String marks,
            String checklist,
            String onRecord,
            boolean moved,
            String rating,
            String link,
            String note,
            String video,
            Bar bar) {}

    /**
     * What the bar did.
     *
     * @param way of its middle, as a drawing's path in the pixels of the film
     * @param doubts in words
     * @param kept whether the last repetition's speed stands by the set
     */
    record Bar(Rim rim, String way, List<Rep> reps, List<String> doubts, boolean kept, String speed) {}

    /** The rim as it was marked, in pixels. */
    record Rim(String x, String y, String width, String half) {}

    /**
     * A repetition.
     *
     * @param speed metres a second, with how far that may be off
     * @param range how far it went, in centimetres
     * @param slowestAt where it sticks, as a share of the way; null where nowhere
     */
    record Rep(
            int number,
            int from,
            String speed,
            String give,
            String range,
            String drift,
            Integer slowest,
            Long slowestAt) {}

    Page write(ClipLook.Looked looked) {
        LiftedSet set = looked.set().done().set();
        SetDetails details = set.details();
        String onRecord = set.ratingOnRecord().map(Rpe::toString).orElse(null);
        return new Page(
                looked.clip(),
                looked.set(),
                looked.clip().marks().toString(),
                looked.checklist().stream()
                        .map(point -> words.say("check." + point))
                        .collect(Collectors.joining(", ")),
                onRecord,
                onRecord != null && !set.ratingOnRecord().equals(set.effort().rating()),
                details.coach().rating().map(Rpe::toString).orElse(""),
                details.coach().link().map(Enum::name).orElse(""),
                details.coach().note().orElse(""),
                details.video().map(Enum::name).orElse(""),
                looked.track()
                        .map(track -> bar(
                                new Rim(
                                        pixels(track.rim().x()),
                                        pixels(track.rim().y()),
                                        pixels(track.rim().width()),
                                        pixels(track.rim().width() / 2)),
                                looked.path().orElseThrow(),
                                details))
                        .orElse(null));
    }

    private Bar bar(Rim rim, BarPath path, SetDetails details) {
        return new Bar(
                rim,
                way(path),
                path.reps().stream().map(this::rep).toList(),
                path.doubts().stream()
                        .map(doubt -> words.say("clips.doubt." + doubt))
                        .toList(),
                details.filmed(),
                details.speed().map(speed -> words.figure(speed.toHundredths())).orElse(null));
    }

    private Rep rep(BarPath.Rep rep) {
        return new Rep(
                rep.number(),
                rep.fromMillis(),
                words.figure(rep.speed().toHundredths()),
                words.figure(String.format(Locale.ROOT, "%.2f", Math.max(0.01, rep.give() / 1000.0))),
                String.valueOf(Math.round(100 * rep.range())),
                String.valueOf(Math.round(100 * rep.drift())),
                rep.slowest().map(BarPath.Slowest::millis).orElse(null),
                rep.slowest().map(at -> Math.round(100 * at.height())).orElse(null));
    }

    /** A line begins anew wherever the bar was out of sight. */
    private static String way(BarPath path) {
        StringBuilder way = new StringBuilder();
        int before = Integer.MIN_VALUE / 2;
        for (BarPath.Point point : path.points()) {
            way.append(point.millis() - before > 250 ? 'M' : 'L')
                    .append(pixels(point.x()))
                    .append(' ')
                    .append(pixels(point.y()));
            before = point.millis();
        }
        return way.toString();
    }

    private static String pixels(double figure) {
        return String.format(Locale.ROOT, "%.1f", figure);
    }
}
