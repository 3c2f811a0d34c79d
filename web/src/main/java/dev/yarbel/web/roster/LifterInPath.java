package dev.yarbel.web.roster;

import dev.yarbel.web.page.NotFoundException;
import dev.yarbel.web.page.PathArguments;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.context.request.RequestAttributes;

/** The lifter whose number stands in a request's path as {@code id}: asked for once, whoever of a handler's arguments needs them. */
@Component
public class LifterInPath {

    private static final String KNOWN = LifterInPath.class.getName();

    private final Roster roster;

    LifterInPath(Roster roster) {
        this.roster = roster;
    }

    /** @throws NotFoundException when there is no such lifter for whoever asks */
    public LifterCard of(NativeWebRequest request) {
        LifterCard known = (LifterCard) request.getAttribute(KNOWN, RequestAttributes.SCOPE_REQUEST);
        if (known == null) {
            known = roster.lifter(PathArguments.person(request), PathArguments.number(request, "id"));
            request.setAttribute(KNOWN, known, RequestAttributes.SCOPE_REQUEST);
        }
        return known;
    }
}
