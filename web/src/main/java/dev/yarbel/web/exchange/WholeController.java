package dev.yarbel.web.exchange;

import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import java.io.IOException;
import java.io.InputStream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;

/** Files of a lifter or a club, as they leave here, brought back. */
@Controller
@RequestMapping("/exchange/whole")
class WholeController {

    private final BroughtWhole brought;
    private final FileStore files;
    private final Words words;

    WholeController(BroughtWhole brought, FileStore files, Words words) {
        this.brought = brought;
        this.files = files;
        this.words = words;
    }

    record WholeForm(MultipartFile file) {}

    @GetMapping
    ModelAndView show(@AuthenticationPrincipal Person coach) {
        return page(coach, FormState.NONE);
    }

    private ModelAndView page(Person coach, FormState state) {
        return new ModelAndView("exchange/whole")
                .addObject("state", state)
                .addObject("files", files.latest(coach))
                .addObject("zone", coach.zone());
    }

    @PostMapping
    ModelAndView bring(@AuthenticationPrincipal Person coach, Sent<WholeForm> sent) {
        return sent.answer("whole", form -> to(bring(coach, form.file())), state -> page(coach, state));
    }

    private long bring(Person coach, MultipartFile file) {
        if (file == null || file.isEmpty()) {
            throw new UnreadableException("exchange.whole.error.nothing").in("file");
        }
        try (InputStream in = file.getInputStream()) {
            return brought.bring(coach, ExchangeController.name(file), in);
        } catch (IOException broken) {
            throw new UnreadableException("exchange.error.broken").in("file");
        }
    }

    private static ModelAndView to(long id) {
        return new ModelAndView("redirect:/exchange/whole/" + id);
    }

    private FileStore.Stored file(Person coach, long id) {
        return files.find(coach, id).orElseThrow(NotFoundException::new);
    }

    @GetMapping("/{whole}")
    ModelAndView one(@AuthenticationPrincipal Person coach, @PathVariable("whole") long id) {
        FileStore.Stored file = file(coach, id);
        ModelAndView page = new ModelAndView("exchange/whole-one")
                .addObject("file", file)
                .addObject("zone", coach.zone())
                .addObject("going", false)
                .addObject("stuck", false);
        switch (file.status()) {
            case OPEN -> open(coach, file, page);
            case TAKING -> {
                boolean stuck = brought.isStuck(file);
                page.addObject("stuck", stuck)
                        .addObject("going", !stuck)
                        .addObject("percent", brought.progress(id).orElse(0));
            }
            default -> {
                // it is over
            }
        }
        return page;
    }

    private void open(Person coach, FileStore.Stored file, ModelAndView page) {
        brought.failure(file.id()).ifPresent(why -> page.addObject("failure", words.say(why.code(), why.parts())));
        Jobs.Job<WholeFiles.Look> job = brought.look(coach, file);
        if (!job.isDone()) {
            page.addObject("going", true).addObject("percent", job.progress().percent());
            return;
        }
        try {
            WholeFiles.Look look = job.outcome();
            page.addObject("look", look).addObject("mayTake", look.comesIn() && (!look.club() || coach.isHeadCoach()));
        } catch (UnreadableException why) {
            page.addObject("failure", words.say(why.code(), why.parts()));
        }
    }

    /** A club's file is its head coach's to take in. */
    @PostMapping("/{whole}/take")
    ModelAndView take(@AuthenticationPrincipal Person coach, @PathVariable("whole") long id) {
        brought.take(coach, file(coach, id));
        return to(id);
    }

    @PostMapping("/{whole}/take-back")
    ModelAndView takeBack(@AuthenticationPrincipal Person coach, @PathVariable("whole") long id) {
        brought.takeBack(coach, file(coach, id));
        return to(id);
    }

    @PostMapping("/{whole}/again")
    ModelAndView again(@AuthenticationPrincipal Person coach, @PathVariable("whole") long id) {
        brought.again(coach, file(coach, id));
        return to(id);
    }

    @PostMapping("/{whole}/remove")
    ModelAndView remove(@AuthenticationPrincipal Person coach, @PathVariable("whole") long id) {
        files.remove(coach, file(coach, id).id());
        return new ModelAndView("redirect:/exchange/whole");
    }
}
