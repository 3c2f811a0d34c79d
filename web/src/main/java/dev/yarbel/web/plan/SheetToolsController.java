package dev.yarbel.web.plan;

import dev.yarbel.core.block.BlockEdit;
import dev.yarbel.core.block.SlotId;
import dev.yarbel.core.review.Gate;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Reading;
import dev.yarbel.web.page.Words;
import java.util.Map;
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
            @RequestParam Map<String, String> parameters,
            RedirectAttributes flash) {
        return pages.sent("use", parameters, plan, at, typed -> {
            BlockEdit edit = templates.use(person, plan, typed);
            if (SheetController.follows(parameters)) {
                flash.addFlashAttribute("done", pages.said(blocks.follow(person, plan, edit)));
            }
            return "redirect:" + SheetPage.address(plan, at);
        });
    }

    /** Keeps the block, a day or a slot's doses as a template of the club. */
    @PostMapping("/templates")
    ModelAndView template(
            @AuthenticationPrincipal Person person,
            LifterBlock plan,
            @RequestParam(defaultValue = "0") int at,
            @RequestParam Map<String, String> parameters,
            RedirectAttributes flash) {
        return pages.sent("template", parameters, plan, at, typed -> {
            templates.keep(person, plan, at, typed);
            flash.addFlashAttribute("done", words.say("template.kept", typed.text("name")));
            return "redirect:" + SheetPage.address(plan, at);
        });
    }

    /** Opens a gate of a slot in the coach's own name. */
    @PostMapping("/gates")
    ModelAndView gate(
            @AuthenticationPrincipal Person person,
            LifterBlock plan,
            @RequestParam(defaultValue = "0") int at,
            @RequestParam Gate gate,
            @RequestParam Map<String, String> parameters,
            RedirectAttributes flash) {
        return pages.sent("gate", parameters, plan, at, typed -> {
            SlotId slot = new SlotId(typed.read("slot", BlockForms::number));
            String spotter = typed.read("spotter", text -> Reading.words(text, LONGEST_SPOTTER));
            blocks.openGate(person, plan, slot, gate, spotter);
            flash.addFlashAttribute("done", words.say("gate.opened", words.say("gate." + gate)));
            return "redirect:" + SheetPage.address(plan, at);
        });
    }
}
