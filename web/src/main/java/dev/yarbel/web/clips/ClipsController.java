package dev.yarbel.web.clips;

import dev.yarbel.core.session.TaskKey;
import dev.yarbel.web.book.NamedSets.NamedSet;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.roster.LifterCard;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.validator.constraints.Range;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;

/** Clips of a lifter's sets: all of them, those of one set, and what is seen in one. */
@Controller
@RequestMapping("/lifters/{id}/clips")
class ClipsController {

    /** What was looked at is not fetched again while one looks at it. */
    private static final CacheControl SHORTLY =
            CacheControl.maxAge(Duration.ofHours(1)).cachePrivate();

    private final Clips clips;

    ClipsController(Clips clips) {
        this.clips = clips;
    }

    @GetMapping
    ModelAndView all(LifterCard lifter) {
        return new ModelAndView("clips/clips").addObject("lifter", lifter).addObject("sets", clips.all(lifter));
    }

    @GetMapping("/of")
    ModelAndView ofSet(LifterCard lifter, @RequestParam long session, @RequestParam TaskKey task) {
        return page(lifter, session, task, FormState.NONE);
    }

    private ModelAndView page(LifterCard lifter, long session, TaskKey task, FormState state) {
        Clips.SetClips set = clips.of(lifter, session, task);
        List<Clips.SetClips> like = set.clips().isEmpty() ? List.of() : clips.like(set, clips.all(lifter));
        return new ModelAndView("clips/set")
                .addObject("lifter", lifter)
                .addObject("set", set)
                .addObject("like", like)
                .addObject("most", Clips.MOST_OF_A_SET)
                .addObject("clipsSent", true)
                .addObject("state", state);
    }

    /**
     * @param set the name of the set
     * @param session that it is in
     */
    record ClipForm(MultipartFile file, UUID set, Long session, TaskKey task) {}

    @PostMapping
    ModelAndView add(@AuthenticationPrincipal Person person, LifterCard lifter, Sent<ClipForm> sent) {
        return sent.answer(
                "clip",
                form -> {
                    if (form.file() == null || form.file().isEmpty()) {
                        throw new UnreadableException("clips.error.nothing").in("file");
                    }
                    NamedSet set = clips.add(person, lifter, Reading.needed("file", form.set()), form.file());
                    return new ModelAndView("redirect:" + address(lifter, set));
                },
                state -> again(lifter, sent, state));
    }

    private ModelAndView again(LifterCard lifter, Sent<ClipForm> sent, FormState state) {
        try {
            return page(lifter, Long.parseLong(sent.text("session")), TaskKey.parse(sent.text("task")), state);
        } catch (IllegalArgumentException ofNoSet) {
            throw new NotFoundException();
        }
    }

    /** Two clips side by side, in step by the bar's start. */
    @GetMapping("/pair")
    ModelAndView pair(LifterCard lifter, @RequestParam long one, @RequestParam long other) {
        return new ModelAndView("clips/pair")
                .addObject("lifter", lifter)
                .addObject("films", List.of(clips.filmed(lifter, one), clips.filmed(lifter, other)));
    }

    /** @param millis from the beginning of the clip */
    record StartForm(@NotNull @Range(min = 0, max = 60_000) Integer millis) {}

    @PostMapping("/{clip}/bar-start")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void starts(LifterCard lifter, @PathVariable long clip, @Valid StartForm form) {
        clips.starts(lifter, clip, Duration.ofMillis(form.millis()));
    }

    @GetMapping("/{clip}/film")
    ResponseEntity<Resource> film(LifterCard lifter, @PathVariable long clip) {
        Clips.Seen seen = clips.see(lifter, clip);
        return file(seen, seen.clip().type().media(), seen.clip().type().ending());
    }

    @GetMapping("/{clip}/preview")
    ResponseEntity<Resource> preview(LifterCard lifter, @PathVariable long clip) {
        return file(clips.preview(lifter, clip), MediaType.IMAGE_JPEG, "jpg");
    }

    private static ResponseEntity<Resource> file(Clips.Seen seen, MediaType type, String ending) {
        return ResponseEntity.ok()
                .contentType(type)
                .cacheControl(SHORTLY)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename("clip-" + seen.clip().id() + "." + ending)
                                .build()
                                .toString())
                .body(seen.file());
    }

    @PostMapping("/{clip}/remove")
    String remove(LifterCard lifter, @PathVariable long clip) {
        Optional<NamedSet> set = clips.remove(lifter, clip);
        return "redirect:" + set.map(one -> address(lifter, one)).orElseGet(() -> "/lifters/" + lifter.id() + "/clips");
    }

    private static String address(LifterCard lifter, NamedSet set) {
        return "/lifters/" + lifter.id() + "/clips/of?session=" + set.session() + "&task="
                + set.done().task();
    }
}
