package dev.yarbel.web.account;

import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.web.csrf.CsrfException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The door: name and password, then the second factor of whoever has one. */
@Controller
class SignInController {

    /** Where a refused sign-in is shown again; reached from within only. */
    static final String REFUSED = "/sign-in/refused";

    private static final Logger LOG = LoggerFactory.getLogger("dev.yarbel.web.account.sign-in");

    private final Accounts accounts;
    private final SecondFactors secondFactors;
    private final Access access;
    private final Throttle throttle;
    private final WhereTo whereTo;

    SignInController(
            Accounts accounts, SecondFactors secondFactors, Access access, Throttle throttle, WhereTo whereTo) {
        this.accounts = accounts;
        this.secondFactors = secondFactors;
        this.access = access;
        this.throttle = throttle;
        this.whereTo = whereTo;
    }

    @GetMapping("/sign-in")
    String signIn() {
        return accounts.anyClub() ? "account/sign-in" : "redirect:/first-run";
    }

    /** The page again, with the name that was typed and why it was not enough. */
    @RequestMapping(REFUSED)
    String refused(HttpServletRequest request, HttpServletResponse response, Model model) {
        Object why = request.getAttribute(REFUSED);
        if (why instanceof TooManyTriesException tooMany) {
            response.setStatus(HttpStatus.TOO_MANY_REQUESTS.value());
            response.setHeader(HttpHeaders.RETRY_AFTER, String.valueOf(tooMany.seconds()));
            model.addAttribute("pause", tooMany.seconds());
        } else if (why instanceof CsrfException) {
            response.setStatus(HttpStatus.FORBIDDEN.value());
            model.addAttribute("stale", true);
        } else if (why != null) {
            response.setStatus(HttpStatus.UNAUTHORIZED.value());
            model.addAttribute("wrong", true);
        }
        String name = request.getParameter("username");
        model.addAttribute("typed", name == null ? "" : Reading.visible(name));
        return "account/sign-in";
    }

    @GetMapping("/sign-in/code")
    String code() {
        return "account/code";
    }

    @PostMapping("/sign-in/code")
    String code(
            @AuthenticationPrincipal HalfSignedIn half,
            @RequestParam(defaultValue = "") String code,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        String key = String.valueOf(half.accountId());
        Optional<Duration> pause = throttle.tries(Throttle.Door.SECOND_FACTOR, key);
        if (pause.isPresent()) {
            response.setStatus(HttpStatus.TOO_MANY_REQUESTS.value());
            model.addAttribute("pause", pause.get().toSeconds());
            return "account/code";
        }
        if (Reading.hasControl(code) || !secondFactors.check(half.clubId(), half.accountId(), code)) {
            LOG.warn("second factor of account {} refused", half.accountId());
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("wrong", true);
            return "account/code";
        }
        throttle.forgive(Throttle.Door.SECOND_FACTOR, key);
        LOG.info("second factor of account {} given", half.accountId());
        Person person = accounts.person(half.username());
        Access.renew(request);
        access.goOnAs(person, request, response);
        return "redirect:" + whereTo.path(request, response);
    }
}
