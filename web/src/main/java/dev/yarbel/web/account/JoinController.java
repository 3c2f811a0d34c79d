package dev.yarbel.web.account;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.Optional;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;

/** The page behind an invitation's link. */
@Controller
@RequestMapping("/join/{token}")
class JoinController {

    private final Invites invites;

    JoinController(Invites invites) {
        this.invites = invites;
    }

    @GetMapping
    String show(@PathVariable String token, HttpServletResponse response, Model model) {
        Optional<Invites.Open> open = invites.open(token);
        return open.map(invite -> page(invite, new JoinForm(invite.name(), "", ""), Map.of(), model))
                .orElseGet(() -> gone(response));
    }

    @PostMapping
    String join(@PathVariable String token, @ModelAttribute JoinForm typed, HttpServletResponse response, Model model) {
        Optional<Invites.Open> open = invites.open(token);
        if (open.isEmpty()) {
            return gone(response);
        }
        JoinForm form = open.get()
                .username()
                .map(username -> new JoinForm(open.get().name(), username, typed.password()))
                .orElse(typed);
        Map<String, String> errors = form.errors();
        if (errors.isEmpty()) {
            switch (accept(token, form)) {
                case DONE -> {
                    return "redirect:/sign-in?joined";
                }
                case GONE -> {
                    return gone(response);
                }
                case NAME_TAKEN -> errors = Map.of("username", "taken");
            }
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return page(open.get(), form, errors, model);
    }

    /** Two who choose the same name at the same moment: the database lets one of them have it. */
    private Invites.Outcome accept(String token, JoinForm form) {
        try {
            return invites.accept(token, form);
        } catch (DataIntegrityViolationException taken) {
            return Invites.Outcome.NAME_TAKEN;
        }
    }

    private static String page(Invites.Open invite, JoinForm form, Map<String, String> errors, Model model) {
        model.addAttribute("invite", invite);
        model.addAttribute("form", form);
        model.addAttribute("errors", errors);
        return "account/join";
    }

    private static String gone(HttpServletResponse response) {
        response.setStatus(HttpStatus.GONE.value());
        return "account/gone";
    }
}
