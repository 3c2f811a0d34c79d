package dev.yarbel.web.account;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

@Controller
class SignInController {

    private final Accounts accounts;

    SignInController(Accounts accounts) {
        this.accounts = accounts;
    }

    @GetMapping("/sign-in")
    String signIn() {
        if (!accounts.anyClub()) {
            return "redirect:/first-run";
        }
        return "account/sign-in";
    }
}
