package dev.yarbel.web.calls;

import dev.yarbel.web.block.BlockRefused;
import dev.yarbel.web.block.Strips;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Frame;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.GymChooser;
import dev.yarbel.web.roster.MiniStrip;
import dev.yarbel.web.roster.TrainingOverview;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

@Controller
@RequestMapping("/calls")
class CallsController {

    private static final int LONGEST_REASON = 500;

    private final Slips slips;
    private final Strips strips;
    private final GymChooser gyms;
    private final TrainingOverview training;
    private final Words words;
    private final Clock clock;

    CallsController(Slips slips, Strips strips, GymChooser gyms, TrainingOverview training, Words words, Clock clock) {
        this.slips = slips;
        this.strips = strips;
        this.gyms = gyms;
        this.training = training;
        this.words = words;
        this.clock = clock;
    }

    /**
     * An answer as it was sent.
     *
     * @param shown the mark of what the coach was shown
     * @param own their own figure
     * @param confirmed the figure they were asked about and stand by
     */
    record Answer(
            String shown,
            String own,
            String confirmed,
            @Size(max = LONGEST_REASON) String reason) {

        Reply reply() {
            return new Reply(
                    Objects.requireNonNullElse(shown, ""),
                    Objects.requireNonNullElse(own, ""),
                    own != null && own.equals(confirmed),
                    Optional.ofNullable(reason));
        }
    }

    private static boolean waits(SlipLine line) {
        return !line.isQuiet() && line.putOff().isEmpty();
    }

    /** Which calls are looked at, as the address says. */
    @ModelAttribute("sieve")
    Sieve sieve(@RequestParam(required = false) String gym, @RequestParam(required = false) String kind) {
        return Sieve.of(gym, kind);
    }

    /**
     * Whose queue it is, of the lifters that the frame around the page lists too.
     *
     * @param whole all that is open
     * @param sifted what of it is looked at
     * @param gyms what the lifters' usual gyms are called
     */
    private record Queue(List<SlipLine> whole, List<SlipLine> sifted, Map<Long, String> gyms) {

        Optional<SlipLine> line(long id) {
            return whole.stream().filter(line -> line.id() == id).findFirst();
        }

        List<String> gymNames() {
            return gyms.values().stream().distinct().sorted().toList();
        }
    }

    private Queue queue(Person coach, Frame frame, Sieve sieve) {
        List<SlipLine> whole = slips.queue(coach, frame.choices());
        frame.waiting(whole.stream()
                .filter(CallsController::waits)
                .collect(Collectors.groupingBy(line -> line.lifter().id(), Collectors.counting())));
        Map<Long, String> usual = gyms.usual(
                coach.clubId(),
                whole.stream().map(line -> line.lifter().id()).distinct().toList());
        return new Queue(whole, sieve.sift(whole, usual), usual);
    }

    @GetMapping
    ModelAndView calls(
            @AuthenticationPrincipal Person coach,
            @ModelAttribute("frame") Frame frame,
            @ModelAttribute("sieve") Sieve sieve) {
        Queue queue = queue(coach, frame, sieve);
        return page(
                coach, queue.sifted().stream().filter(CallsController::waits).findFirst(), queue, FormState.NONE);
    }

    @GetMapping("/{id}")
    ModelAndView slip(
            @AuthenticationPrincipal Person coach,
            @PathVariable long id,
            @ModelAttribute("frame") Frame frame,
            @ModelAttribute("sieve") Sieve sieve,
            RedirectAttributes flash) {
        return again(coach, id, new Look(frame, sieve), FormState.NONE, flash);
    }

    /** What was answered, newest first. */
    @GetMapping("/answered")
    ModelAndView answeredSlips(@AuthenticationPrincipal Person coach, @ModelAttribute("frame") Frame frame) {
        return new ModelAndView("calls/answered").addObject("answered", slips.answered(coach, frame.choices()));
    }

    @PostMapping("/{id}/take-back")
    String takeBack(@AuthenticationPrincipal Person coach, @PathVariable long id, RedirectAttributes flash) {
        boolean done = takenBack(coach, id);
        flash.addFlashAttribute("notice", words.say(done ? "calls.taken-back" : "calls.stands"));
        return "redirect:/calls/answered";
    }

    private boolean takenBack(Person coach, long id) {
        try {
            return slips.takeBack(coach, id);
        } catch (BlockRefused overtaken) {
            return false;
        }
    }

    /** The slip as things stand now; or the queue, and who answered the slip. */
    private ModelAndView again(Person coach, long id, Look look, FormState state, RedirectAttributes flash) {
        Queue queue = queue(coach, look.frame(), look.sieve());
        Optional<SlipLine> open = queue.line(id);
        if (open.isPresent()) {
            return page(coach, open, queue, state);
        }
        SlipAnswer answer = slips.answer(coach, id);
        flash.addFlashAttribute(
                "notice",
                words.say("calls.answered." + answer.how(), answer.who(), words.moment(answer.at(), coach.zone())));
        return new ModelAndView("redirect:/calls" + look.sieve().query());
    }

    @PostMapping("/{id}/take")
    ModelAndView take(
            @AuthenticationPrincipal Person coach,
            @PathVariable long id,
            Sent<Answer> sent,
            @ModelAttribute("frame") Frame frame,
            @ModelAttribute("sieve") Sieve sieve,
            RedirectAttributes flash) {
        return answered(coach, new Answered(id, How.TAKE), sent, new Look(frame, sieve), flash);
    }

    @PostMapping("/{id}/change")
    ModelAndView change(
            @AuthenticationPrincipal Person coach,
            @PathVariable long id,
            Sent<Answer> sent,
            @ModelAttribute("frame") Frame frame,
            @ModelAttribute("sieve") Sieve sieve,
            RedirectAttributes flash) {
        return answered(coach, new Answered(id, How.CHANGE), sent, new Look(frame, sieve), flash);
    }

    /** A slip put off, as it was sent. */
    record Until(LocalDate until) {}

    @PostMapping("/{id}/put-off")
    ModelAndView putOff(
            @AuthenticationPrincipal Person coach,
            @PathVariable long id,
            Sent<Until> sent,
            @ModelAttribute("frame") Frame frame,
            @ModelAttribute("sieve") Sieve sieve,
            RedirectAttributes flash) {
        Look look = new Look(frame, sieve);
        return sent.answer(
                "put-off",
                form -> {
                    if (form.until() == null) {
                        throw new UnreadableException("read.needed").in("until");
                    }
                    String next = next(coach, id, look);
                    if (slips.putOff(coach, id, form.until()) == Slips.Came.ANSWERED_ALREADY) {
                        return again(coach, id, new Look(frame, sieve), FormState.NONE, flash);
                    }
                    flash.addFlashAttribute("notice", words.say("calls.done.put-off", words.fullDay(form.until())));
                    return new ModelAndView("redirect:" + next);
                },
                state -> again(coach, id, look, state, flash));
    }

    @PostMapping("/{id}/leave")
    ModelAndView leave(
            @AuthenticationPrincipal Person coach,
            @PathVariable long id,
            Sent<Answer> sent,
            @ModelAttribute("frame") Frame frame,
            @ModelAttribute("sieve") Sieve sieve,
            RedirectAttributes flash) {
        return answered(coach, new Answered(id, How.LEAVE), sent, new Look(frame, sieve), flash);
    }

    /** What is around a slip: the frame, and which others are looked at. */
    private record Look(Frame frame, Sieve sieve) {}

    /** Which slip is answered, and how. */
    private record Answered(long id, How how) {}

    private ModelAndView answered(
            Person coach, Answered answered, Sent<Answer> sent, Look look, RedirectAttributes flash) {
        long id = answered.id();
        return sent.answer(
                answered.how().form(),
                answer -> {
                    String next = next(coach, id, look);
                    Slips.Outcome outcome = outcome(coach, answered, answer);
                    return switch (outcome.came()) {
                        case CHANGED_MEANWHILE -> {
                            ModelAndView page = again(
                                            coach,
                                            id,
                                            look,
                                            sent.typed(answered.how().form()),
                                            flash)
                                    .addObject("notice", words.say("calls.changed-meanwhile"));
                            page.setStatus(HttpStatus.CONFLICT);
                            yield page;
                        }
                        case ANSWERED_ALREADY ->
                            again(coach, id, look, sent.typed(answered.how().form()), flash);
                        case DONE -> {
                            flash.addFlashAttribute("notice", done(answered.how(), outcome));
                            flash.addFlashAttribute("answered", id);
                            yield new ModelAndView("redirect:" + next);
                        }
                    };
                },
                state -> again(coach, id, look, state, flash));
    }

    private Slips.Outcome outcome(Person coach, Answered answered, Answer answer) {
        try {
            return slips.answer(coach, answered.id(), answered.how(), answer.reply());
        } catch (BlockRefused changed) {
            return Slips.Outcome.of(Slips.Came.CHANGED_MEANWHILE);
        }
    }

    /** Where to go once a slip is answered: to the one behind it, else to the first that waits. */
    private String next(Person coach, long id, Look look) {
        List<Long> waiting = queue(coach, look.frame(), look.sieve()).sifted().stream()
                .filter(CallsController::waits)
                .map(SlipLine::id)
                .toList();
        int at = waiting.indexOf(id);
        return (at >= 0 && at + 1 < waiting.size() ? "/calls/" + waiting.get(at + 1) : "/calls")
                + look.sieve().query();
    }

    private String done(How how, Slips.Outcome outcome) {
        String said = words.say("calls.done." + how.done());
        return outcome.learnt()
                .map(learnt -> said + " "
                        + words.say(
                                "calls.learnt",
                                words.say("calls.line." + learnt.rule()),
                                words.figure(
                                        learnt.threshold().stripTrailingZeros().toPlainString())))
                .orElse(said);
    }

    private ModelAndView page(Person coach, Optional<SlipLine> open, Queue all, FormState state) {
        List<SlipLine> queue = all.sifted();
        List<SlipLine> quiet = queue.stream()
                .filter(line -> line.isQuiet() && line.putOff().isEmpty())
                .toList();
        ModelAndView page = new ModelAndView("calls/calls")
                .addObject(
                        "queue", queue.stream().filter(CallsController::waits).toList())
                .addObject("quiet", quiet)
                .addObject("strips", strips(coach, quiet))
                .addObject("gyms", all.gymNames())
                .addObject(
                        "kinds",
                        all.whole().stream()
                                .map(SlipLine::urgency)
                                .distinct()
                                .sorted()
                                .toList())
                .addObject(
                        "putOff",
                        queue.stream().filter(line -> line.putOff().isPresent()).toList())
                .addObject(
                        "inAWeek",
                        LocalDate.ofInstant(clock.instant(), coach.zone()).plusWeeks(1))
                .addObject("state", state);
        open.ifPresent(line -> {
            int at = queue.indexOf(line);
            page.addObject("earlier", at > 0 ? queue.get(at - 1).id() : null)
                    .addObject(
                            "later", at + 1 < queue.size() ? queue.get(at + 1).id() : null);
            SlipView slip = slips.view(coach, line);
            page.addObject("slip", slip)
                    .addObject("lifter", slip.plan().lifter())
                    .addObject("strip", strips.draw(slip.plan()));
        });
        return page;
    }

    /** The blocks of those of whom there is only something to be known, each in a line. */
    private Map<Long, MiniStrip> strips(Person coach, List<SlipLine> quiet) {
        if (quiet.isEmpty()) {
            return Map.of();
        }
        LocalDate today = LocalDate.ofInstant(clock.instant(), coach.zone());
        List<Long> lifters =
                quiet.stream().map(line -> line.lifter().id()).distinct().toList();
        Map<Long, MiniStrip> strips = new HashMap<>();
        training.of(coach.clubId(), lifters, today)
                .forEach((lifter, known) -> strips.put(lifter, MiniStrip.of(known, today)));
        return strips;
    }
}
