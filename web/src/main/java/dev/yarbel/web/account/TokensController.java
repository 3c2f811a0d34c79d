package dev.yarbel.web.account;

import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.UnreadableException;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Objects;
import org.hibernate.validator.constraints.Range;
import org.springframework.http.HttpHeaders;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.ModelAndView;

/** Everybody's own tokens: what programs come with. */
@Controller
@RequestMapping("/me/tokens")
class TokensController {

    private static final int USUAL_DAYS = 90;

    private final AccessTokens tokens;
    private final OwnPassword passwords;

    TokensController(AccessTokens tokens, OwnPassword passwords) {
        this.tokens = tokens;
        this.passwords = passwords;
    }

    /** @param current the password of whoever makes it */
    record TokenForm(
            @NotBlank @Size(max = 60) String name,
            List<Scope> scopes,

            @NotNull @Range(min = 1, max = AccessTokens.MOST_DAYS)
            Integer days,

            String current) {}

    @GetMapping
    ModelAndView tokens(@AuthenticationPrincipal Person person) {
        return page(person, FormState.NONE);
    }

    private ModelAndView page(Person person, FormState state) {
        return new ModelAndView("account/tokens")
                .addObject("tokens", tokens.of(person))
                .addObject(
                        "scopes",
                        Arrays.stream(Scope.values())
                                .filter(scope -> person.isCoach() || scope.isForLifters())
                                .toList())
                .addObject("usual", USUAL_DAYS)
                .addObject("zone", person.zone())
                .addObject("state", state);
    }

    /** Shows the secret this once, and nowhere but here. */
    @PostMapping
    ModelAndView make(@AuthenticationPrincipal Person person, Sent<TokenForm> sent, HttpServletResponse response) {
        return sent.answer(
                "token",
                form -> {
                    if (form.scopes() == null || form.scopes().stream().noneMatch(Objects::nonNull)) {
                        throw new UnreadableException("tokens.error.scopes").in("scopes");
                    }
                    passwords
                            .trouble(person, Objects.requireNonNullElse(form.current(), ""))
                            .ifPresent(trouble -> {
                                throw new UnreadableException("me.error." + trouble).in("current");
                            });
                    String secret =
                            tokens.make(person, form.name().strip(), EnumSet.copyOf(form.scopes()), form.days());
                    response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
                    return page(person, FormState.NONE).addObject("made", secret);
                },
                state -> page(person, state));
    }

    @PostMapping("/{id}/end")
    String end(@AuthenticationPrincipal Person person, @PathVariable long id) {
        tokens.end(person, id);
        return "redirect:/me/tokens";
    }
}
