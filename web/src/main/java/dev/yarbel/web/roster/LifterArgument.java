package dev.yarbel.web.roster;

import dev.yarbel.web.page.BroughtArgument;
import org.springframework.core.MethodParameter;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.NativeWebRequest;

/** Brings a handler the lifter whose number stands in its path as {@code id}, where the person may see them. */
@Component
class LifterArgument extends BroughtArgument {

    private final LifterInPath lifters;

    LifterArgument(LifterInPath lifters) {
        super(LifterCard.class);
        this.lifters = lifters;
    }

    @Override
    protected LifterCard bring(MethodParameter parameter, NativeWebRequest request) {
        return lifters.of(request);
    }
}
