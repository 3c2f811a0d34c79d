package dev.yarbel.web.clips;

import dev.yarbel.core.clip.BarTrack;
import dev.yarbel.core.clip.RepMarks;
import dev.yarbel.core.effort.Rpe;
import dev.yarbel.core.record.CoachSeen;
import dev.yarbel.core.record.SetDetails;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.LifterCard;
import jakarta.validation.constraints.Size;
import java.util.Optional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.ModelAndView;

/** One clip, looked at closely. */
@Controller
@RequestMapping("/lifters/{id}/clips/{clip}")
class ClipLookController {

    private final ClipLook looks;
    private final ClipWriter writer;

    ClipLookController(ClipLook looks, ClipWriter writer) {
        this.looks = looks;
        this.writer = writer;
    }

    @GetMapping
    ModelAndView look(LifterCard lifter, @PathVariable long clip) {
        return page(lifter, clip, FormState.NONE);
    }

    /** What a coach marked and says. */
    record SeenForm(
            String marks,
            Rpe rating,
            CoachSeen.WeakLink link,
            @Size(max = SetDetails.LONGEST_NOTE) String note) {

        CoachSeen seen() {
            return new CoachSeen(
                    Optional.ofNullable(rating),
                    Optional.empty(),
                    Optional.ofNullable(link),
                    Optional.ofNullable(note),
                    Optional.empty());
        }
    }

    @PostMapping("/judged")
    ModelAndView seen(LifterCard lifter, @PathVariable long clip, Sent<SeenForm> sent) {
        return sent.answer(
                "seen",
                form -> {
                    looks.seen(lifter, clip, marks(form.marks()), form.seen());
                    return back(lifter, clip);
                },
                state -> page(lifter, clip, state));
    }

    /** What a lifter marked and says. */
    record FoundForm(String marks, SetDetails.Video video) {}

    @PostMapping("/found")
    ModelAndView found(LifterCard lifter, @PathVariable long clip, Sent<FoundForm> sent) {
        return sent.answer(
                "seen",
                form -> {
                    looks.found(lifter, clip, marks(form.marks()), Optional.ofNullable(form.video()));
                    return back(lifter, clip);
                },
                state -> page(lifter, clip, state));
    }

    private static RepMarks marks(String text) {
        try {
            return text == null ? RepMarks.NONE : RepMarks.parse(text);
        } catch (IllegalArgumentException noMarks) {
            throw new UnreadableException("clips.error.marks.none").in("marks");
        }
    }

    /**
     * The rim as it was marked, in pixels, and where it was followed.
     *
     * @param pictures a line each
     */
    record TrackForm(Double rimX, Double rimY, Double rimWidth, String pictures) {}

    @PostMapping("/bar")
    ModelAndView track(
            @AuthenticationPrincipal Person person, LifterCard lifter, @PathVariable long clip, Sent<TrackForm> sent) {
        return sent.answer(
                "track",
                form -> {
                    looks.follow(person, lifter, clip, track(form));
                    return back(lifter, clip, "#bar");
                },
                state -> page(lifter, clip, state));
    }

    private static BarTrack track(TrackForm form) {
        if (form.rimX() == null || form.rimY() == null || form.rimWidth() == null) {
            throw new UnreadableException("clips.error.rim").in("rimWidth");
        }
        BarTrack.Rim rim;
        try {
            rim = new BarTrack.Rim(form.rimX(), form.rimY(), form.rimWidth());
        } catch (IllegalArgumentException noRim) {
            throw new UnreadableException("clips.error.rim").in("rimWidth");
        }
        try {
            return BarTrack.parse(rim, Optional.ofNullable(form.pictures()).orElse(""));
        } catch (IllegalArgumentException noTrack) {
            throw new UnreadableException("clips.error.track").in("rimWidth");
        }
    }

    private ModelAndView page(LifterCard lifter, long clip, FormState state) {
        return new ModelAndView("clips/look")
                .addObject("lifter", lifter)
                .addObject("clipLooked", writer.write(looks.look(lifter, clip)))
                .addObject("links", CoachSeen.WeakLink.values())
                .addObject("videos", SetDetails.Video.values())
                .addObject("state", state);
    }

    private static ModelAndView back(LifterCard lifter, long clip) {
        return back(lifter, clip, "");
    }

    private static ModelAndView back(LifterCard lifter, long clip, String place) {
        return new ModelAndView("redirect:/lifters/" + lifter.id() + "/clips/" + clip + place);
    }
}
