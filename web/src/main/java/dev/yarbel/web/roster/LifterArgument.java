package dev.yarbel.web.roster;

import java.util.List;
import org.springframework.core.MethodParameter;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Brings a handler the lifter whose number stands in its path as {@code id}, where the person may see them. */
@Component
class LifterArgument implements WebMvcConfigurer, HandlerMethodArgumentResolver {

    private final LifterInPath lifters;

    LifterArgument(LifterInPath lifters) {
        this.lifters = lifters;
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(this);
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == LifterCard.class;
    }

    @Override
    public LifterCard resolveArgument(
            MethodParameter parameter,
            ModelAndViewContainer container,
            NativeWebRequest request,
            WebDataBinderFactory binder) {
        return lifters.of(request);
    }
}
