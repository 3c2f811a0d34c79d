package dev.yarbel.web.plan;

import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Pdf;
import dev.yarbel.web.page.Words;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Sheets for a lifter without a phone: a week's sessions, and the whole block on a page; by the browser and as PDF. */
@Controller
class PaperController {

    /** Weeks that stand side by side on one page. */
    private static final int MOST_WEEKS = 16;
    /** The smallest print; whoever needs less puts a block on two pages. */
    private static final int SMALLEST = 5;

    private final Paper paper;
    private final Sheet sheet;
    private final Pdf pdf;
    private final PlanWorkbook workbook;
    private final Words words;

    PaperController(Paper paper, Sheet sheet, Pdf pdf, PlanWorkbook workbook, Words words) {
        this.paper = paper;
        this.sheet = sheet;
        this.pdf = pdf;
        this.workbook = workbook;
        this.words = words;
    }

    @GetMapping("/lifters/{id}/plan/print")
    ModelAndView show(LifterBlock plan, @RequestParam Optional<Integer> week) {
        Map<String, Object> model = sessions(plan, week);
        model.putAll(overview(plan));
        model.put("plan", plan);
        return new ModelAndView("plan/print", model);
    }

    /** A week's sessions, two or three to a page, and the lifter's own loads. */
    @GetMapping("/lifters/{id}/plan/print/sessions.pdf")
    ResponseEntity<byte[]> sessionsAsPdf(LifterBlock plan, @RequestParam Optional<Integer> week) {
        Map<String, Object> model = sessions(plan, week);
        return pdf.of("plan/paper-sessions", Pdf.Paper.PORTRAIT, model)
                .named(words.say("print.file.sessions", plan.lifter().name(), plan.name(), model.get("week")));
    }

    /** The whole block on one page, in the largest print that fits. */
    @GetMapping("/lifters/{id}/plan/print/overview.pdf")
    ResponseEntity<byte[]> overviewAsPdf(LifterBlock plan) {
        Map<String, Object> model = overview(plan);
        int pages = ((List<?>) model.get("overviews")).size();
        Pdf.Document document = pdf.of("plan/paper-overview", Pdf.Paper.LANDSCAPE, model);
        for (int print = (int) model.get("print") + 1; document.pages() > pages && print <= SMALLEST; print++) {
            model.put("print", print);
            document = pdf.of("plan/paper-overview", Pdf.Paper.LANDSCAPE, model);
        }
        return document.named(words.say("print.file.overview", plan.lifter().name(), plan.name()));
    }

    /** The block as a workbook, for whoever goes on with it in a spreadsheet. */
    @GetMapping("/lifters/{id}/plan/print/plan.xlsx")
    void asWorkbook(LifterBlock plan, HttpServletResponse response) throws IOException {
        response.setContentType("application/vnd.openxmlformats-officedocument.spreadsheetml.sheet");
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                        .filename(
                                words.say("plan.file.name", plan.lifter().name(), plan.name()), StandardCharsets.UTF_8)
                        .build()
                        .toString());
        workbook.write(plan, response.getOutputStream());
    }

    private Map<String, Object> sessions(LifterBlock plan, Optional<Integer> week) {
        int shown = week.map(w -> w - 1).orElse(plan.currentWeek());
        if (shown < 0 || shown >= plan.block().weeks()) {
            throw new NotFoundException();
        }
        Map<String, Object> model = new HashMap<>();
        model.put("lifter", plan.lifter());
        model.put("block", plan.name());
        model.put("weeks", plan.block().weeks());
        model.put("week", shown + 1);
        model.put("sessions", paper.sessions(plan, shown));
        model.put("charts", paper.charts(plan));
        return model;
    }

    private Map<String, Object> overview(LifterBlock plan) {
        BlockOverview overview = sheet.whole(plan).overview();
        Map<String, Object> model = new HashMap<>();
        model.put("lifter", plan.lifter());
        model.put("block", plan.name());
        model.put("overviews", overview.inParts(MOST_WEEKS));
        model.put("print", overview.print());
        return model;
    }
}
