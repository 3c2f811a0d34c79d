package dev.yarbel.web.account;

import dev.yarbel.web.page.FloorNotifier;
import dev.yarbel.web.page.Person;
import dev.yarbel.web.page.Secrets;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Instant;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Who is signed in where, and the end of it. */
@Service
public class Access {

    /** What a session says of the browser it belongs to. */
    private static final String BROWSER = "browser";

    /** By what browsers name themselves; those that also name another come before it. */
    private static final Map<String, String> BROWSERS = inOrder(
            "Edg/",
            "Edge",
            "OPR/",
            "Opera",
            "Firefox/",
            "Firefox",
            "Chrome/",
            "Chrome",
            "CriOS/",
            "Chrome",
            "Safari/",
            "Safari");

    private static final Map<String, String> MACHINES = inOrder(
            "Android", "Android", "iPhone", "iPhone", "iPad", "iPad", "Windows", "Windows", "Mac OS", "Mac", "Linux",
            "Linux");

    private static Map<String, String> inOrder(String... pairs) {
        Map<String, String> map = new LinkedHashMap<>();
        for (int i = 0; i < pairs.length; i += 2) {
            map.put(pairs[i], pairs[i + 1]);
        }
        return map;
    }

    private final FindByIndexNameSessionRepository<? extends Session> sessions;
    private final FloorNotifier moved;
    /** What is told after a commit needs a transaction of its own. */
    private final TransactionTemplate apart;

    Access(
            FindByIndexNameSessionRepository<? extends Session> sessions,
            FloorNotifier moved,
            PlatformTransactionManager transactions) {
        this.sessions = sessions;
        this.moved = moved;
        this.apart = new TransactionTemplate(transactions);
        this.apart.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    }

    /**
     * One place where somebody is signed in.
     *
     * @param key names it on a page, where the session's own number must not stand
     */
    public record Place(String key, String browser, Instant since, Instant lastSeen, boolean here) {}

    /** Where somebody is signed in, the latest first. */
    List<Place> places(String username, String hereId) {
        return sessions.findByPrincipalName(username).values().stream()
                .map(session -> new Place(
                        Secrets.hash(session.getId()),
                        session.getAttributeOrDefault(BROWSER, ""),
                        session.getCreationTime(),
                        session.getLastAccessedTime(),
                        session.getId().equals(hereId)))
                .sorted(Comparator.comparing(Place::lastSeen).reversed())
                .toList();
    }

    /** Ends one of somebody's sessions; the one they look from ends by signing out. */
    void end(Person person, String username, String key, String hereId) {
        sessions.findByPrincipalName(username).keySet().stream()
                .filter(id -> !id.equals(hereId) && Secrets.hash(id).equals(key))
                .forEach(sessions::deleteById);
        moved.tellAccess(person.clubId());
    }

    /**
     * Ends all of somebody's sessions, but the one given, if any; open lines end with them. Within a transaction it is done
     * once that is committed: whoever signs in just before is found as well.
     */
    void endAll(long clubId, String username, String butId) {
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            endNow(clubId, username, butId);
            return;
        }
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                endNow(clubId, username, butId);
            }
        });
    }

    private void endNow(long clubId, String username, String butId) {
        sessions.findByPrincipalName(username).keySet().stream()
                .filter(id -> !id.equals(butId))
                .forEach(sessions::deleteById);
        apart.executeWithoutResult(status -> moved.tellAccess(clubId));
    }

    /** Whether a session is still there. */
    public boolean isOpen(String sessionId) {
        return sessions.findById(sessionId) != null;
    }

    /** A session that knows more than before gets another number: one that was learnt before opens nothing of it. */
    static void renew(HttpServletRequest request) {
        if (request.getSession(false) != null) {
            request.changeSessionId();
        }
    }

    /** Whoever is signed in goes on as who they are now. */
    public void goOnAs(Person person, HttpServletRequest request, HttpServletResponse response) {
        UserDetails details = (UserDetails) person;
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(
                UsernamePasswordAuthenticationToken.authenticated(details, null, details.getAuthorities()));
        SecurityContextHolder.setContext(context);
        new HttpSessionSecurityContextRepository().saveContext(context, request, response);
    }

    /** Notes which browser a session belongs to. */
    static void note(HttpServletRequest request) {
        String said = String.valueOf(request.getHeader("User-Agent"));
        request.getSession().setAttribute(BROWSER, (first(BROWSERS, said) + " " + first(MACHINES, said)).strip());
    }

    private static String first(Map<String, String> known, String said) {
        return known.entrySet().stream()
                .filter(sign -> said.contains(sign.getKey()))
                .findFirst()
                .map(Map.Entry::getValue)
                .orElse("");
    }
}
