package dev.yarbel.web.plan;

import dev.yarbel.core.block.BlockEdit;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.review.Gate;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.Words;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Templates and gates, from the forms beside the sheet. */
@Controller
@RequestMapping("/lifters/{id}/plan")
class SheetToolsController {

    private static final int LONGEST_SPOTTER = 80;

    private final Blocks blocks;
    private final TemplateForms templates;
    private final SheetPage pages;
    private final Words words;

    SheetToolsController(Blocks blocks, TemplateForms templates, SheetPage pages, Words words) {
        this.blocks = blocks;
        this.templates = templates;
        this.pages = pages;
        this.words = words;
    }

    /** Puts a template's day or scheme into the block. */
    @PostMapping("/use")
    ModelAndView use(
            @AuthenticationPrincipal Person person,
            LifterBlock plan,
            @RequestParam(defaultValue = "0") int at,
            Sent<TemplateForms.Use> sent,
            RedirectAttributes flash) {
        return pages.sent("use", sent, plan, Lens.day(at), form -> {
            BlockEdit edit = templates.use(person, plan, form);
            if (form.isFollowed()) {
                flash.addFlashAttribute("done", pages.said(blocks.follow(person, plan, edit)));
            }
            return "redirect:" + SheetPage.address(plan, Lens.day(at));
        });
    }

    /** Keeps the block, a day or a slot's doses as a template of the club. */
    @PostMapping("/templates")
    ModelAndView template(
            @AuthenticationPrincipal Person person,
            LifterBlock plan,
            @RequestParam(defaultValue = "0") int at,
            Sent<TemplateForms.Keep> sent,
            RedirectAttributes flash) {
        return pages.sent("template", sent, plan, Lens.day(at), form -> {
            templates.keep(person, plan, at, form);
            flash.addFlashAttribute("done", words.say("template.kept", form.name()));
            return "redirect:" + SheetPage.address(plan, Lens.day(at));
        });
    }

    /**
     * A gate that a coach opens, for a slot by its number.
     *
     * @param spotter who stands by
     */
    record GateForm(
            @NotNull Gate gate,
            @NotNull Long slot,
            @NotBlank @Size(max = LONGEST_SPOTTER) String spotter) {}

    /** Opens a gate of a slot in the coach's own name. */
    @PostMapping("/gates")
    ModelAndView gate(
            @AuthenticationPrincipal Person person,
            LifterBlock plan,
            @RequestParam(defaultValue = "0") int at,
            Sent<GateForm> sent,
            RedirectAttributes flash) {
        return pages.sent("gate", sent, plan, Lens.day(at), form -> {
            blocks.openGate(person, plan, new SlotId(form.slot()), form.gate(), form.spotter());
            flash.addFlashAttribute("done", words.say("gate.opened", words.say("gate." + form.gate())));
            return "redirect:" + SheetPage.address(plan, Lens.day(at));
        });
    }
}
