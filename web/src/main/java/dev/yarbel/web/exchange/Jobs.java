package dev.yarbel.web.exchange;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.Scheduler;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Function;
import org.springframework.stereotype.Component;

/** What takes longer than a page may: it is waited for a moment, and looked at again while it goes on. Two are done at a time. */
@Component
class Jobs {

    private static final int AT_ONCE = 2;
    private static final long MOMENT_MILLIS = 3000;
    private static final int MOST_REMEMBERED = 200;

    private final ExecutorService workers = Executors.newFixedThreadPool(AT_ONCE, work -> {
        Thread worker = new Thread(work, "exchange");
        worker.setDaemon(true);
        return worker;
    });

    private final Cache<String, Job<?>> jobs = Caffeine.newBuilder()
            .maximumSize(MOST_REMEMBERED)
            .expireAfterAccess(Duration.ofMinutes(5))
            .scheduler(Scheduler.systemScheduler())
            .<String, Job<?>>removalListener((name, job, why) -> throwAway(job))
            .build();

    /** What came of a job that nobody fetched. */
    private static void throwAway(Job<?> job) {
        job.result().thenAccept(came -> {
            if (came instanceof AutoCloseable closeable) {
                try {
                    closeable.close();
                } catch (Exception stays) {
                    throw new IllegalStateException(stays);
                }
            }
        });
    }

    /** How far a job is, in steps of its own. */
    static final class Progress {

        private final AtomicInteger done = new AtomicInteger();
        private final int all;

        Progress(int all) {
            this.all = all;
        }

        void step() {
            step(1);
        }

        void step(int by) {
            done.addAndGet(by);
        }

        /** 0 to 99: what is done is no job any more. */
        int percent() {
            return all == 0 ? 0 : (int) Math.min(99, 100L * done.get() / all);
        }
    }

    /** A job under way, or done. */
    record Job<T>(CompletableFuture<T> result, Progress progress) {

        boolean isDone() {
            return result.isDone();
        }

        /** What came of a job that is done; what went wrong with it, as it went wrong. */
        T outcome() {
            try {
                return result.join();
            } catch (CompletionException failed) {
                throw failed.getCause() instanceof RuntimeException cause ? cause : failed;
            }
        }
    }

    /** The job of a name: the one under way, or done lately, or else a new one. It is waited for a moment. */
    @SuppressWarnings("unchecked")
    <T> Job<T> of(String name, int steps, Function<Progress, T> work) {
        Job<T> job = (Job<T>) jobs.get(name, key -> {
            Progress progress = new Progress(steps);
            return new Job<>(CompletableFuture.supplyAsync(() -> work.apply(progress), workers), progress);
        });
        try {
            job.result().get(MOMENT_MILLIS, TimeUnit.MILLISECONDS);
        } catch (TimeoutException | ExecutionException later) {
            // whoever asks again sees what came of it
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
        return job;
    }

    /** The job of a name as far as it is; null where there is none. */
    Job<?> under(String name) {
        return jobs.getIfPresent(name);
    }

    /** A job need not be remembered any longer. */
    void forget(String name) {
        jobs.invalidate(name);
    }

    @PreDestroy
    void stop() {
        workers.shutdownNow();
    }
}
