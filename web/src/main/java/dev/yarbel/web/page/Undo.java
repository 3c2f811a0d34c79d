package dev.yarbel.web.page;

import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Offers, on the page that comes next, to bring back what was just struck. */
public final class Undo {

    private Undo() {}

    /** @param address where a post brings it back */
    public static void offer(RedirectAttributes flash, String address) {
        flash.addFlashAttribute("undo", address);
    }
}
