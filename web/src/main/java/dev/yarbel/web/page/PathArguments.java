package dev.yarbel.web.page;

import java.util.Map;
import org.springframework.security.core.Authentication;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.servlet.HandlerMapping;

/** What argument resolvers read of a request: who sent it, and the numbers in its path. */
public final class PathArguments {

    private PathArguments() {}

    /** Whoever is signed in; the door lets nobody else in where a person is asked for. */
    public static Person person(NativeWebRequest request) {
        return (Person) ((Authentication) request.getUserPrincipal()).getPrincipal();
    }

    /**
     * A number in the path.
     *
     * @throws NotFoundException when it is none
     */
    public static long number(NativeWebRequest request, String name) {
        Map<?, ?> path = (Map<?, ?>)
                request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE, RequestAttributes.SCOPE_REQUEST);
        return number(String.valueOf(path.get(name)));
    }

    /** @throws NotFoundException when it is none */
    public static long number(String text) {
        try {
            return Long.parseLong(text);
        } catch (NumberFormatException none) {
            throw new NotFoundException();
        }
    }
}
