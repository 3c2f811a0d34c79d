package dev.yarbel.web.weekly;

import dev.yarbel.web.block.LifterBlock;
import dev.yarbel.web.page.Pdf;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Words;
import java.util.HashMap;
import java.util.Map;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.ModelAndView;

/** A block's report, for lifter and coach: as a page and on paper. */
@Controller
@RequestMapping("/lifters/{id}/report")
class BlockReportController {

    private final Pdf pdf;
    private final Words words;

    BlockReportController(Pdf pdf, Words words) {
        this.pdf = pdf;
        this.words = words;
    }

    @GetMapping
    ModelAndView report(@AuthenticationPrincipal Person person, LifterBlock plan) {
        return new ModelAndView("weekly/report", model(person, plan));
    }

    @GetMapping("/report.pdf")
    ResponseEntity<byte[]> paper(@AuthenticationPrincipal Person person, LifterBlock plan) {
        return pdf.of("weekly/paper-report", Pdf.Paper.PORTRAIT, model(person, plan))
                .named(words.say("report.file", plan.lifter().name(), plan.name()));
    }

    private static Map<String, Object> model(Person person, LifterBlock plan) {
        Map<String, Object> model = new HashMap<>();
        model.put("lifter", plan.lifter());
        model.put("plan", plan);
        model.put("report", BlockReport.of(plan));
        model.put("coach", person.isCoach());
        return model;
    }
}
