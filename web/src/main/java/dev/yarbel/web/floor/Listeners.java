package dev.yarbel.web.floor;

import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.BooleanSupplier;
import java.util.function.LongPredicate;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The pages that are open and want to hear when something moves on a floor. */
@Component
class Listeners {

    /** A page that stays open asks again after this; browsers do so by themselves. */
    private static final Duration LONGEST = Duration.ofMinutes(30);

    private static final String BEAT = "PT20S";

    /** @param may whether whoever listens still is signed in and may hear it */
    private record Listener(long club, LongPredicate wants, BooleanSupplier may, SseEmitter line) {}

    private final List<Listener> open = new CopyOnWriteArrayList<>();

    /**
     * Opens a line to a page of a club that wants to hear of some lifters.
     *
     * @param may whether they still may; asked again whenever somebody's access changed, and now and then
     */
    SseEmitter open(long club, LongPredicate wants, BooleanSupplier may) {
        SseEmitter line = new SseEmitter(LONGEST.toMillis());
        Listener listener = new Listener(club, wants, may, line);
        line.onCompletion(() -> open.remove(listener));
        line.onError(broken -> open.remove(listener));
        line.onTimeout(line::complete);
        open.add(listener);
        send(listener, SseEmitter.event().comment("open"));
        return line;
    }

    /** Something moved on a lifter's floor; the token of the set that did it, or nothing. */
    void moved(long club, long lifter, String cause) {
        for (Listener listener : open) {
            if (listener.club == club && listener.wants.test(lifter)) {
                send(listener, SseEmitter.event().name("moved").data(lifter + "/" + cause));
            }
        }
    }

    /** Somebody's access changed in a club: lines of those who may no longer hear end now. */
    void accessChanged(long club) {
        open.stream().filter(listener -> listener.club == club).forEach(this::endIfForbidden);
    }

    private boolean endIfForbidden(Listener listener) {
        boolean may;
        try {
            may = listener.may.getAsBoolean();
        } catch (DataAccessException away) {
            // asked again at the next beat
            return false;
        }
        if (!may) {
            open.remove(listener);
            listener.line.complete();
        }
        return !may;
    }

    /** What happened may have been missed: whoever listens looks again. */
    void missed() {
        open.forEach(
                listener -> send(listener, SseEmitter.event().name("missed").data("all")));
    }

    /** Keeps lines open through what closes silent ones, and finds those that broke. */
    @Scheduled(fixedDelayString = BEAT)
    void beat() {
        for (Listener listener : open) {
            if (!endIfForbidden(listener)) {
                send(listener, SseEmitter.event().comment("still here"));
            }
        }
    }

    void closeAll() {
        open.forEach(listener -> listener.line.complete());
        open.clear();
    }

    private void send(Listener listener, SseEmitter.SseEventBuilder event) {
        try {
            listener.line.send(event);
        } catch (IOException | IllegalStateException broken) {
            open.remove(listener);
            listener.line.completeWithError(broken);
        }
    }
}
