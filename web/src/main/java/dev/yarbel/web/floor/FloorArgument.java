package dev.yarbel.web.floor;

import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.PathArguments;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterCard;
import dev.yarbel.web.roster.LifterInPath;
import java.util.List;
import java.util.Optional;
import org.springframework.core.MethodParameter;
import org.springframework.core.ResolvableType;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Brings a handler the day in hand: of the lifter whose number stands in its path as {@code id}, the one at the place that is
 * sent as {@code day} and {@code week}; where its number in the plan is sent as {@code planned}, wherever it stands now. An
 * {@code Optional} day may be none at all, and without a place it is the one in focus.
 */
@Component
class FloorArgument implements WebMvcConfigurer, HandlerMethodArgumentResolver {

    private final LifterInPath lifters;
    private final FloorDays days;

    FloorArgument(LifterInPath lifters, FloorDays days) {
        this.lifters = lifters;
        this.days = days;
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(this);
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == FloorDay.class || isOptional(parameter);
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
    public Object resolveArgument(
            MethodParameter parameter,
            ModelAndViewContainer container,
            NativeWebRequest request,
            WebDataBinderFactory binders) {
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
