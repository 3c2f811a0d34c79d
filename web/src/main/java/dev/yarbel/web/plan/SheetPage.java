package dev.yarbel.web.plan;

import dev.yarbel.web.block.BlockRefused;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.Followed;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.FormState;
import dev.yarbel.web.page.Sent;
import dev.yarbel.web.page.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.ModelAndView;

/** The page of the sheet, and what comes of the forms on it. */
@Component
class SheetPage {

    private final Blocks blocks;
    private final Sheet sheet;
    private final StripMaker strips;
    private final Words words;

    SheetPage(Blocks blocks, Sheet sheet, StripMaker strips, Words words) {
        this.blocks = blocks;
        this.sheet = sheet;
        this.strips = strips;
        this.words = words;
    }

    /** The page with what a lens shows of the block. */
    ModelAndView page(LifterBlock block, Lens lens, FormState state) {
        Lens within = Lens.within(block.block(), lens.day(), lens.week());
        return page(block, within.day() < 0 ? sheet.empty(block) : sheet.view(block, within), state);
    }

    ModelAndView page(LifterBlock block, SheetView view, FormState state) {
        return new ModelAndView("plan/page")
                .addObject("lifter", block.lifter())
                .addObject("plan", block)
                .addObject("today", block.today())
                .addObject("sheet", view)
                .addObject("state", state)
                .addObject("lifts", liftChoices(block))
                .addObject("toSheet", view.day() >= 0)
                .addObject("strip", strips.draw(block));
    }

    /** Part of the page. */
    ModelAndView part(String fragment, LifterBlock block) {
        return new ModelAndView("plan/sheet :: " + fragment)
                .addObject("lifter", block.lifter())
                .addObject("plan", block);
    }

    /** Does what a form beside the sheet asks; what cannot be done is said on the page, with what was typed. */
    <F> ModelAndView sent(String name, Sent<F> sent, LifterBlock block, Lens lens, Function<F, String> work) {
        try {
            return sent.answer(
                    name,
                    form -> new ModelAndView(work.apply(form)),
                    state -> page(blocks.reopened(block), lens, state));
        } catch (BlockRefused refused) {
            ModelAndView page =
                    page(blocks.reopened(block), lens, FormState.NONE).addObject("refused", said(refused));
            page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
            return page;
        }
    }

    /** Why a change was not made, in words. */
    String said(BlockRefused refused) {
        return words.say(refused.wordsCode(), refused.wordsParts());
    }

    /** What became of an edit on the blocks given from this one, in words. */
    String said(Followed followed) {
        String told = words.say("plan.followed", followed.blocks());
        return followed.blocks() == 0 || followed.not().isEmpty()
                ? told
                : told + " " + words.say("plan.followed.not", String.join(", ", followed.not()));
    }

    /** Every lift of the club by name. */
    private List<Map.Entry<String, String>> liftChoices(LifterBlock block) {
        List<Map.Entry<String, String>> lifts = new ArrayList<>();
        block.standing()
                .catalogue()
                .all()
                .forEach(variation -> lifts.add(Map.entry(variation.lift().key(), words.lift(variation.lift()))));
        lifts.sort(Map.Entry.comparingByValue());
        return lifts;
    }

    /** Where the page shows that of the block. */
    static String address(LifterBlock block, Lens lens) {
        return "/lifters/" + block.lifter().id() + "/plan?block=" + block.blockId() + "&day=" + Math.max(0, lens.day())
                + lens.in();
    }
}
