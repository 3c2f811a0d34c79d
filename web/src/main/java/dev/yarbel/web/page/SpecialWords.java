package dev.yarbel.web.page;

import dev.yarbel.core.equipment.AccommodatingResistance;
import dev.yarbel.core.equipment.Implement;
import dev.yarbel.core.lift.Tempo;
import dev.yarbel.core.lift.Variation;
import dev.yarbel.core.measure.Mass;
import dev.yarbel.core.measure.MassUnit;
import dev.yarbel.core.prescription.Part;
import dev.yarbel.core.prescription.SetModifier;
import dev.yarbel.core.record.SetUp;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What makes a set another one than plain repetitions with a bar, in words large enough to be read before it. */
@Component
public class SpecialWords {

    /** What is said of a set by its modifiers alone, in the order of the words. */
    private static final List<SetModifier> SAID = List.of(
            SetModifier.ASSISTED,
            SetModifier.SPEED,
            SetModifier.PARTIAL,
            SetModifier.PAUSED,
            SetModifier.TO_POSITION,
            SetModifier.CHOICE,
            SetModifier.CHOICE_OF_STRENGTH,
            SetModifier.CHOICE_OF_WEAKNESS,
            SetModifier.FREE_REST);

    private final Words words;

    SpecialWords(Words words) {
        this.words = words;
    }

    /**
     * Everything that makes a set special.
     *
     * @param planned what is on the bar, if that can be said
     * @param bodyMass what the lifter weighs, if that is known
     */
    public List<String> of(
            Part part, Optional<Mass> planned, Variation variation, Optional<Mass> bodyMass, MassUnit unit) {
        Optional<Mass> load = planned.filter(mass -> !part.is(SetModifier.BLIND));
        List<String> said = new ArrayList<>();
        part.changing().ifPresent(changing -> said.add(changing(changing, load, unit)));
        load.filter(Mass::isPositive)
                .filter(any -> variation.implement() == Implement.BODY)
                .ifPresent(belt -> said.add(belt(belt, bodyMass, unit)));
        said.addAll(of(part));
        return said;
    }

    /** The same without figures, as it is said of a set that comes or was done. */
    public List<String> inShort(Part part) {
        List<String> said = new ArrayList<>();
        part.changing().ifPresent(changing -> said.add(words.say("special.short." + changing.kind())));
        said.addAll(of(part));
        return said;
    }

    /** How a set was done where that makes it another one than the plain lift. */
    public String setUp(SetUp setUp, MassUnit unit) {
        List<String> said = new ArrayList<>();
        setUp.manners().forEach(manner -> said.add(words.say("done-as." + manner)));
        setUp.tempo().ifPresent(beat -> said.add(words.say("print.tempo", beat.toString())));
        setUp.rest().ifPresent(rest -> said.add(words.say("done-as.rest", String.valueOf(rest.toSeconds()))));
        setUp.changing().ifPresent(changing -> said.add(changing(changing, Optional.empty(), unit)));
        setUp.with().forEach(piece -> said.add(words.say("done-as.with", words.say("worn." + piece))));
        setUp.without().forEach(piece -> said.add(words.say("done-as.without", words.say("worn." + piece))));
        setUp.way()
                .forEach((measure, figure) ->
                        said.add(words.say("special.measure", words.say("set-up." + measure), figure)));
        return String.join(", ", said);
    }

    private List<String> of(Part part) {
        List<String> said = new ArrayList<>();
        if (part.is(SetModifier.LOWERING)) {
            said.add(part.tempo().map(this::lowering).orElseGet(() -> words.say("special.LOWERING")));
        }
        SAID.stream().filter(part::is).forEach(modifier -> said.add(words.say("special." + modifier)));
        return said;
    }

    /** The first figure of a tempo is the lowering. */
    private String lowering(Tempo tempo) {
        String first = tempo.toString().substring(0, 1);
        return first.matches("[1-9]") ? words.say("special.LOWERING.seconds", first) : words.say("special.LOWERING");
    }

    private String changing(AccommodatingResistance changing, Optional<Mass> load, MassUnit unit) {
        String bottom = words.about(changing.bottom(), unit);
        String top = words.about(changing.top(), unit);
        String code = "special.changing." + changing.kind();
        return load.map(bar -> words.say(
                        code,
                        bottom,
                        top,
                        words.about(changing.atBottom(bar), unit),
                        words.about(changing.atTop(bar), unit)))
                .orElseGet(() -> words.say(code + ".alone", bottom, top));
    }

    private String belt(Mass belt, Optional<Mass> bodyMass, MassUnit unit) {
        return bodyMass.map(body ->
                        words.say("special.belt.in-all", words.load(belt, unit), words.about(belt.plus(body), unit)))
                .orElseGet(() -> words.say("special.belt", words.load(belt, unit)));
    }
}
