package dev.yarbel.web.floor;

import dev.yarbel.web.page.BroughtArgument;
import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.PathArguments;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.LifterInPath;
import java.util.Optional;
import org.springframework.core.MethodParameter;
import org.springframework.core.ResolvableType;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.NativeWebRequest;

/**
 * Brings a handler the day in hand: of the lifter whose number stands in its path as {@code id}, the one at the place that is
 * sent as {@code day} and {@code week}; where its number in the plan is sent as {@code planned}, wherever it stands now. An
 * {@code Optional} day may be none at all, and without a place it is the one in focus.
 */
@Component
class FloorArgument extends BroughtArgument {

    private final LifterInPath lifters;
    private final FloorDays days;

    FloorArgument(LifterInPath lifters, FloorDays days) {
        super(FloorDay.class);
        this.lifters = lifters;
        this.days = days;
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return super.supportsParameter(parameter) || isOptional(parameter);
    }

    private static boolean isOptional(MethodParameter parameter) {
        return parameter.getParameterType() == Optional.class
                && ResolvableType.forMethodParameter(parameter).getGeneric(0).resolve() == FloorDay.class;
    }

    /**
     * @throws NotFoundException when there is no such lifter for this person, or no such day
     * @throws DayGoneException when the plan has the day no more
     */
    @Override
    protected Object bring(MethodParameter parameter, NativeWebRequest request) {
        Person person = PathArguments.person(request);
        LifterCard lifter = lifters.of(request);
        Optional<Integer> day = number(request, "day").map(Math::toIntExact);
        Optional<Integer> week = number(request, "week").map(Math::toIntExact);
        if (isOptional(parameter)) {
            return days.find(person, lifter, day, week);
        }
        int asked = week.orElseThrow(NotFoundException::new);
        Optional<Long> planned = number(request, "planned");
        return planned.isPresent()
                ? days.find(person, lifter, planned.get(), asked).orElseThrow(DayGoneException::new)
                : days.get(person, lifter, day.orElseThrow(NotFoundException::new), asked);
    }

    private static Optional<Long> number(NativeWebRequest request, String name) {
        return Optional.ofNullable(request.getParameter(name))
                .filter(text -> !text.isBlank())
                .map(PathArguments::number)
                .filter(number -> number == number.intValue() || name.equals("planned"));
    }
}
