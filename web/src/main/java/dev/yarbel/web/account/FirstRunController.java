package dev.yarbel.web.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;

/** The page that sets up the club; gone as soon as there is one. */
@Controller
@RequestMapping("/first-run")
class FirstRunController {

    private static final List<String> ZONES = ZoneId.getAvailableZoneIds().stream()
            .filter(zone ->
                    zone.matches("(Africa|America|Antarctica|Asia|Atlantic|Australia|Europe|Indian|Pacific)/.+|UTC"))
            .sorted()
            .toList();

    private final FirstRun firstRun;
    private final Accounts accounts;
    private final Throttle throttle;

    FirstRunController(FirstRun firstRun, Accounts accounts, Throttle throttle) {
        this.firstRun = firstRun;
        this.accounts = accounts;
        this.throttle = throttle;
    }

    @GetMapping
    String show(Model model) {
        return accounts.anyClub() ? "redirect:/sign-in" : page(model, FirstRunForm.EMPTY, Map.of());
    }

    @PostMapping
    String setUp(
            @ModelAttribute FirstRunForm form, HttpServletRequest request, HttpServletResponse response, Model model) {
        if (accounts.anyClub()) {
            return "redirect:/sign-in";
        }
        Map<String, String> errors = form.errors();
        if (errors.isEmpty()
                && throttle.tries(Throttle.Door.CODE, request.getRemoteAddr()).isPresent()) {
            errors = Map.of("code", "too-fast");
        } else if (errors.isEmpty()) {
            FirstRun.Outcome outcome = firstRun.setUp(form);
            if (outcome == FirstRun.Outcome.DONE) {
                return "redirect:/sign-in?ready";
            }
            if (outcome == FirstRun.Outcome.TOO_LATE) {
                return "redirect:/sign-in";
            }
            errors = Map.of("code", "wrong-code");
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return page(model, form, errors);
    }

    private static String page(Model model, FirstRunForm form, Map<String, String> errors) {
        model.addAttribute("form", form);
        model.addAttribute("errors", errors);
        model.addAttribute("zones", ZONES);
        return "account/first-run";
    }
}
