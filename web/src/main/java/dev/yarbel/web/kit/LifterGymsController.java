package dev.yarbel.web.kit;

import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.UnreadableException;
import dev.yarbel.web.page.Words;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.Roster;
import jakarta.servlet.http.HttpServletResponse;
import java.time.LocalDate;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The gyms one lifter trains in, usually and on one day. */
@Controller
class LifterGymsController {

    private final Roster roster;
    private final Gyms gyms;
    private final LifterGyms own;
    private final KitShelf shelf;
    private final Words words;

    LifterGymsController(Roster roster, Gyms gyms, LifterGyms own, KitShelf shelf, Words words) {
        this.roster = roster;
        this.gyms = gyms;
        this.own = own;
        this.shelf = shelf;
        this.words = words;
    }

    /** @param on a day for which to choose another gym, and its place in the block to go back to */
    @GetMapping("/lifters/{id}/gyms")
    String gyms(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam Optional<LocalDate> on,
            @RequestParam(defaultValue = "0") int day,
            @RequestParam(defaultValue = "0") int week,
            Model model) {
        LifterCard lifter = roster.lifter(person, id);
        on.ifPresent(date -> {
            model.addAttribute("on", date);
            model.addAttribute("day", day);
            model.addAttribute("week", week);
            model.addAttribute("there", shelf.on(lifter, date).gymId());
        });
        return page(person, lifter, model);
    }

    private String page(Person person, LifterCard lifter, Model model) {
        model.addAttribute("lifter", lifter);
        model.addAttribute("own", own.own(lifter));
        model.addAttribute("gyms", gyms.all(person.clubId()));
        return "kit/lifter-gyms";
    }

    @PostMapping("/lifters/{id}/gyms")
    String train(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam long gym,
            @RequestParam LifterGyms.Training how,
            HttpServletResponse response,
            Model model) {
        try {
            own.train(person, roster.lifter(person, id), gym, how);
        } catch (UnreadableException unreadable) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("error", words.say(unreadable.code(), unreadable.parts()));
            return page(person, roster.lifter(person, id), model);
        }
        return "redirect:/lifters/" + id + "/gyms";
    }

    /** The bar a lifter takes in a gym where a lift has none of its own. */
    @PostMapping("/lifters/{id}/gyms/{gym}/bar")
    String bar(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @PathVariable long gym,
            @RequestParam(defaultValue = "") String bar) {
        own.takesBar(person, roster.lifter(person, id), gym, bar);
        return "redirect:/lifters/" + id + "/gyms";
    }

    /** Training elsewhere on one day, from the floor. */
    @PostMapping("/lifters/{id}/gym-of-the-day")
    String trainOn(
            @AuthenticationPrincipal Person person,
            @PathVariable long id,
            @RequestParam LocalDate on,
            @RequestParam long gym,
            @RequestParam int day,
            @RequestParam int week) {
        own.trainOn(person, roster.lifter(person, id), on, gym);
        return "redirect:/lifters/" + id + "/floor?day=" + day + "&week=" + week;
    }
}
