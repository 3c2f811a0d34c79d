package dev.yarbel.web.exchange;

import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.TableOut;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** A workbook of one table or of all, as a file where it is made at once, else a page that tells how far it is. */
@Controller
class WorkbookController {

    private final MadeWorkbooks workbooks;
    private final TablesAsked asked;

    WorkbookController(MadeWorkbooks workbooks, TablesAsked asked) {
        this.workbooks = workbooks;
        this.asked = asked;
    }

    @GetMapping("/exchange/workbook")
    ModelAndView workbook(
            @AuthenticationPrincipal Person person,
            @RequestParam(required = false) String table,
            @RequestParam(required = false) Long lifter,
            HttpServletResponse response)
            throws IOException {
        List<LifterCard> lifters = asked.lifters(person, lifter);
        List<TableOut> wanted = asked.tables(person, table);
        if (!workbooks.of(person, wanted, lifters).isDone()) {
            return page(person, table, lifter);
        }
        TablesAsked.begin(response, TablesAsked.WORKBOOK, asked.name(person, table, lifters) + ".xlsx");
        workbooks.give(person, wanted, lifters, response.getOutputStream());
        return null;
    }

    /** How far it is; once it is made, where to get it. */
    @GetMapping("/exchange/workbook/progress")
    ModelAndView progress(
            @AuthenticationPrincipal Person person,
            @RequestParam(required = false) String table,
            @RequestParam(required = false) Long lifter) {
        return page(person, table, lifter);
    }

    private ModelAndView page(Person person, String table, Long lifter) {
        Jobs.Job<?> job = workbooks.of(person, asked.tables(person, table), asked.lifters(person, lifter));
        return new ModelAndView("exchange/workbook")
                .addObject("going", !job.isDone())
                .addObject("percent", job.progress().percent())
                .addObject("table", table)
                .addObject("whose", lifter);
    }
}
