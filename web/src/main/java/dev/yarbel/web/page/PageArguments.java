package dev.yarbel.web.page;

import jakarta.servlet.ServletRequest;
import java.util.List;
import org.springframework.beans.propertyeditors.StringTrimmerEditor;
import org.springframework.core.MethodParameter;
import org.springframework.core.ResolvableType;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.ServletRequestDataBinder;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Brings a handler what every room asks of a request: whether htmx asks, and a form as it was sent. */
@Component
class PageArguments implements WebMvcConfigurer {

    private final Words words;

    PageArguments(Words words) {
        this.words = words;
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(new HtmxArgument());
        resolvers.add(new SentArgument(words));
    }

    private static final class HtmxArgument implements HandlerMethodArgumentResolver {

        @Override
        public boolean supportsParameter(MethodParameter parameter) {
            return parameter.getParameterType() == Htmx.class;
        }

        @Override
        public Object resolveArgument(
                MethodParameter parameter,
                ModelAndViewContainer container,
                NativeWebRequest request,
                WebDataBinderFactory binders) {
            return new Htmx(request.getHeader("HX-Request") != null);
        }
    }

    /** Spring binds, converts and validates the form; what could not be is brought along, and refused when it is kept. */
    private record SentArgument(Words words) implements HandlerMethodArgumentResolver {

        @Override
        public boolean supportsParameter(MethodParameter parameter) {
            return parameter.getParameterType() == Sent.class;
        }

        @Override
        public Object resolveArgument(
                MethodParameter parameter,
                ModelAndViewContainer container,
                NativeWebRequest request,
                WebDataBinderFactory binders)
                throws Exception {
            ResolvableType form = ResolvableType.forMethodParameter(parameter).getGeneric(0);
            ServletRequestDataBinder binder =
                    (ServletRequestDataBinder) binders.createBinder(request, null, "form", form);
            // what was left blank is null
            binder.registerCustomEditor(String.class, new StringTrimmerEditor(true));
            binder.construct(request.getNativeRequest(ServletRequest.class));
            if (!binder.getBindingResult().hasErrors()) {
                binder.validate();
            }
            return new Sent<>(binder.getTarget(), binder.getBindingResult(), request.getParameterMap(), words);
        }
    }
}
