package dev.yarbel.web.plan;

import dev.yarbel.web.block.BlockHistory;
import dev.yarbel.web.block.BlockRefused;
import dev.yarbel.web.block.Blocks;
import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Undo;
import dev.yarbel.web.roster.InTraining;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.MiniStrip;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** All blocks of a lifter, to look at, to take away and to bring back. */
@Controller
@RequestMapping("/lifters/{id}/plan/blocks")
class BlocksController {

    private final BlockHistory history;
    private final Blocks blocks;
    private final SheetPage pages;
    private final Clock clock;

    BlocksController(BlockHistory history, Blocks blocks, SheetPage pages, Clock clock) {
        this.history = history;
        this.blocks = blocks;
        this.pages = pages;
        this.clock = clock;
    }

    /** A block in the list, with its sessions in small. */
    record Row(BlockHistory.Line line, MiniStrip strip) {

        /** How many sessions it asks for up to where it ends. */
        public int sessions() {
            return line.sessions().size();
        }

        public boolean isRemoved() {
            return line.state() == BlockHistory.State.REMOVED;
        }

        /** Whether a session was begun or lifted in it. */
        public boolean isLifted() {
            return line.sessions().stream()
                    .map(InTraining.Planned::state)
                    .anyMatch(state -> state == InTraining.State.DONE || state == InTraining.State.BEGUN);
        }
    }

    @GetMapping
    ModelAndView list(@AuthenticationPrincipal Person person, LifterCard lifter) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), person.zone());
        List<Row> rows = history.of(lifter, person.zone()).stream()
                .map(line -> new Row(line, MiniStrip.of(line.block(), line.sessions(), line.contest(), today)))
                .toList();
        return new ModelAndView("plan/blocks")
                .addObject("lifter", lifter)
                .addObject("rows", rows)
                .addObject("today", today);
    }

    @PostMapping("/remove")
    String remove(@AuthenticationPrincipal Person person, LifterBlock block, RedirectAttributes flash) {
        String list = "/lifters/" + block.lifter().id() + "/plan/blocks";
        try {
            blocks.remove(person, block);
            Undo.offer(flash, list + "/" + block.blockId() + "/bring-back");
        } catch (BlockRefused refused) {
            flash.addFlashAttribute("refused", pages.said(refused));
        }
        return "redirect:" + list;
    }

    @PostMapping("/{block}/bring-back")
    String bringBack(@AuthenticationPrincipal Person person, LifterCard lifter, @PathVariable long block) {
        blocks.bringBack(person, lifter, block);
        return "redirect:/lifters/" + lifter.id() + "/plan/blocks";
    }
}
