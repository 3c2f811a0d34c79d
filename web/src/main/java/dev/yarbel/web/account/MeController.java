package dev.yarbel.web.account;

import dev.yarbel.web.page.Person;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Everybody's own sign-in: the password, where they are signed in, the second factor. */
@Controller
@RequestMapping("/me")
class MeController {

    /** A secret shown and not yet set up, in the session of whoever sets it up. */
    private static final String PROPOSED = "second-factor-proposed";

    private final Accounts accounts;
    private final Access access;
    private final SecondFactors secondFactors;
    private final Throttle throttle;
    private final OwnPassword passwords;

    MeController(
            Accounts accounts, Access access, SecondFactors secondFactors, Throttle throttle, OwnPassword passwords) {
        this.accounts = accounts;
        this.access = access;
        this.secondFactors = secondFactors;
        this.throttle = throttle;
        this.passwords = passwords;
    }

    @GetMapping
    String me(@AuthenticationPrincipal Person person, HttpServletRequest request, Model model) {
        return page(person, Map.of(), request, model);
    }

    private String page(Person person, Map<String, String> errors, HttpServletRequest request, Model model) {
        model.addAttribute("errors", errors);
        model.addAttribute("places", access.places(username(person), here(request)));
        model.addAttribute("secondFactor", secondFactors.has(person));
        model.addAttribute("signsInAs", username(person));
        return "account/me";
    }

    private static String username(Person person) {
        return ((UserDetails) person).getUsername();
    }

    private static String here(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        return session == null ? "" : session.getId();
    }

    @PostMapping("/password")
    String password(
            @AuthenticationPrincipal Person person,
            @RequestParam(defaultValue = "") String current,
            @RequestParam(defaultValue = "") String password,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        Optional<Map<String, String>> wrong = Passwords.trouble(
                        password, List.of(person.personName(), username(person)))
                .map(trouble -> Map.of("password", trouble))
                .or(() -> current(person, current));
        if (wrong.isPresent()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(person, wrong.get(), request, model);
        }
        accounts.changePassword(person, password, here(request));
        Access.renew(request);
        return "redirect:/me?changed";
    }

    private Optional<Map<String, String>> current(Person person, String current) {
        return passwords.trouble(person, current).map(trouble -> Map.of("current", trouble));
    }

    @PostMapping("/sessions/{key}/end")
    String end(@AuthenticationPrincipal Person person, @PathVariable String key, HttpServletRequest request) {
        access.end(person, username(person), key, here(request));
        return "redirect:/me";
    }

    @PostMapping("/sessions/end")
    String endOthers(@AuthenticationPrincipal Person person, HttpServletRequest request) {
        access.endAll(person.clubId(), username(person), here(request));
        return "redirect:/me";
    }

    @GetMapping("/second-factor")
    String secondFactor(@AuthenticationPrincipal Person person, HttpServletRequest request, Model model) {
        byte[] secret = Optional.ofNullable((byte[]) request.getSession().getAttribute(PROPOSED))
                .orElseGet(secondFactors::secret);
        request.getSession().setAttribute(PROPOSED, secret);
        model.addAttribute("proposal", SecondFactors.proposal(username(person), secret));
        model.addAttribute("owed", person instanceof Member member && member.owesSecondFactor());
        return "account/second-factor";
    }

    @PostMapping("/second-factor")
    String setUp(
            @AuthenticationPrincipal Person person,
            @RequestParam(defaultValue = "") String code,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        byte[] secret = (byte[]) request.getSession().getAttribute(PROPOSED);
        boolean tooFast = throttle.tries(Throttle.Door.SECOND_FACTOR, String.valueOf(person.accountId()))
                .isPresent();
        Optional<List<String>> recovery = secret == null || tooFast
                ? Optional.empty()
                : secondFactors.setUp(person, secret, code.replaceAll("\\s", ""));
        if (recovery.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("error", tooFast ? "too-fast" : "code");
            return secondFactor(person, request, model);
        }
        request.getSession().removeAttribute(PROPOSED);
        access.endAll(person.clubId(), username(person), here(request));
        Access.renew(request);
        access.goOnAs(accounts.person(username(person)), request, response);
        model.addAttribute("recovery", recovery.get());
        return "account/recovery";
    }

    @PostMapping("/second-factor/end")
    String endSecondFactor(
            @AuthenticationPrincipal Person person,
            @RequestParam(defaultValue = "") String current,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        Optional<Map<String, String>> wrong = current(person, current);
        if (wrong.isPresent()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(person, Map.of("end", wrong.get().get("current")), request, model);
        }
        secondFactors.end(person);
        access.goOnAs(accounts.person(username(person)), request, response);
        return "redirect:/me";
    }
}
