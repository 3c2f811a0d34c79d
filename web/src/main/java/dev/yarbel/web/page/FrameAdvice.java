package dev.yarbel.web.page;

import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.CookieValue;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Gives every page its frame. */
@ControllerAdvice
class FrameAdvice {

    private final LifterChooser chooser;
    private final OpenCalls calls;

    FrameAdvice(LifterChooser chooser, OpenCalls calls) {
        this.chooser = chooser;
        this.calls = calls;
    }

    @ModelAttribute("theme")
    Theme theme(@CookieValue(name = ThemeController.COOKIE, required = false) String theme) {
        return Theme.of(theme);
    }

    @ModelAttribute("frame")
    Frame frame(Authentication authentication) {
        return authentication != null && authentication.getPrincipal() instanceof Person person
                ? new Frame(person, chooser, calls)
                : null;
    }
}
