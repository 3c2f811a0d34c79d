package dev.yarbel.web.page;

import java.util.List;
import org.springframework.core.MethodParameter;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Brings handlers an argument of a type of ours, made from what the request says. */
public abstract class BroughtArgument implements WebMvcConfigurer, HandlerMethodArgumentResolver {

    private final Class<?> type;

    protected BroughtArgument(Class<?> type) {
        this.type = type;
    }

    /** What it brings. */
    public Class<?> type() {
        return type;
    }

    @Override
    public final void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(this);
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == type;
    }

    @Override
    public final Object resolveArgument(
            MethodParameter parameter,
            ModelAndViewContainer container,
            NativeWebRequest request,
            WebDataBinderFactory binders) {
        return bring(parameter, request);
    }

    protected abstract Object bring(MethodParameter parameter, NativeWebRequest request);
}
