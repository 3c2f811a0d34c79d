package dev.yarbel.web.block;

import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.PathArguments;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.roster.LifterInPath;
import java.util.List;
import java.util.Optional;
import org.springframework.core.MethodParameter;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Brings a handler the block of the lifter whose number stands in its path as {@code id}: the one whose number is sent as
 * {@code block}, or without one the current.
 */
@Component
class BlockArgument implements WebMvcConfigurer, HandlerMethodArgumentResolver {

    private final LifterInPath lifters;
    private final Blocks blocks;

    BlockArgument(LifterInPath lifters, Blocks blocks) {
        this.lifters = lifters;
        this.blocks = blocks;
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(this);
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == LifterBlock.class;
    }

    /** @throws NotFoundException when there is no such lifter for this person, or no such block */
    @Override
    public LifterBlock resolveArgument(
            MethodParameter parameter,
            ModelAndViewContainer container,
            NativeWebRequest request,
            WebDataBinderFactory binder) {
        Person person = PathArguments.person(request);
        Optional<Long> block = Optional.ofNullable(request.getParameter("block"))
                .filter(text -> !text.isBlank())
                .map(PathArguments::number);
        return blocks.open(lifters.of(request), person.zone(), block).orElseThrow(NotFoundException::new);
    }
}
