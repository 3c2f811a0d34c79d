package dev.yarbel.web.calendar;

import dev.yarbel.web.calendar.CalendarAddresses.Subscribed;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.Roster;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** Sessions and contests in the calendar that people have anyway. */
@Controller
class CalendarController {

    private static final String TYPE = "text/calendar;charset=UTF-8";

    private final CalendarAddresses addresses;
    private final CalendarFile file;
    private final Roster roster;
    private final Words words;

    CalendarController(CalendarAddresses addresses, CalendarFile file, Roster roster, Words words) {
        this.addresses = addresses;
        this.file = file;
        this.roster = roster;
        this.words = words;
    }

    @GetMapping("/calendar")
    ModelAndView calendar(@AuthenticationPrincipal Person person) {
        return new ModelAndView("calendar/calendar")
                .addObject("address", addresses.of(person).orElse(null))
                .addObject("lifters", roster.lifters(person))
                .addObject("zone", person.zone());
    }

    /** Shows the address this once: of its secret nothing is kept that could show it again. */
    @PostMapping("/calendar/address")
    String make(
            @AuthenticationPrincipal Person person,
            @RequestParam(defaultValue = "false") boolean sessions,
            Locale language,
            RedirectAttributes flash) {
        String secret = addresses.make(person, sessions, language);
        URI made = ServletUriComponentsBuilder.fromCurrentContextPath()
                .path("/calendar/{secret}.ics")
                .build(secret);
        flash.addFlashAttribute("made", made.toString());
        // devices open their calendar for this scheme, and fetch by the usual one
        flash.addFlashAttribute("webcal", made.toString().replaceFirst("^https?", "webcal"));
        return "redirect:/calendar";
    }

    @PostMapping("/calendar/address/end")
    String end(@AuthenticationPrincipal Person person) {
        addresses.end(person);
        return "redirect:/calendar";
    }

    /**
     * @param lifter whose; all that the person sees where nobody is named
     */
    @GetMapping("/calendar.ics")
    void download(
            @AuthenticationPrincipal Person person,
            @RequestParam(required = false) Long lifter,
            HttpServletResponse response)
            throws IOException {
        URI base = base();
        CalendarFile.Content content = lifter == null
                ? file.of(person, true, base)
                : CalendarFile.of(person, roster.lifter(person, lifter), base);
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                        .filename(words.say("calendar.file") + ".ics", StandardCharsets.UTF_8)
                        .build()
                        .toString());
        send(content, response);
    }

    /**
     * What a calendar fetches: it is not signed in, and bears the secret.
     *
     * @throws NotFoundException when the secret opens nothing, whatever the reason
     */
    @GetMapping("/calendar/{secret}.ics")
    void fetch(@PathVariable String secret, HttpServletResponse response) throws IOException {
        Subscribed subscribed = addresses.open(secret).orElseThrow(NotFoundException::new);
        LocaleContextHolder.setLocale(subscribed.language());
        send(file.of(subscribed.person(), subscribed.sessions(), base()), response);
    }

    private static URI base() {
        return ServletUriComponentsBuilder.fromCurrentContextPath()
                .path("/")
                .build()
                .toUri();
    }

    private void send(CalendarFile.Content content, HttpServletResponse response) throws IOException {
        response.setContentType(TYPE);
        Writer out = new OutputStreamWriter(response.getOutputStream(), StandardCharsets.UTF_8);
        file.write(content, out);
        out.flush();
    }
}
