package homalon.app.foundation.memory;

import com.github.benmanes.caffeine.cache.AsyncCache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Answers that need not be found again. All of them share one room, so that what is asked for most stays, whatever it is.
 *
 * <p>Two kinds of answers are kept. One follows from its question alone ({@link #answer}) and cannot grow old. The other was read
 * of a thing that is stored ({@link #at}) and stands for one version of it, of which only the last is kept: a version only ever
 * goes up, or is the lines themselves, so that no version is ever that of two states. A second instance needs none of it.
 */
@Component
public class Memory {
    private static final long MOST_KILOBYTES = 192 * 1024;

    private record Version(Object version, Object value) {}

    private final AsyncCache<Question<?>, Object> kept = Caffeine.newBuilder()
            .maximumWeight(Math.min(MOST_KILOBYTES, Runtime.getRuntime().maxMemory() / 1024 / 4))
            // What is too much goes at once, in the thread that brings it.
            .executor(Runnable::run)
            .weigher((Question<?> question, Object answer) -> question.kilobytes())
            .buildAsync();

    /**
     * What follows from the question alone. Whoever asks while another finds it waits for that one.
     *
     * @param find finds the answer, never null; may ask other questions; what it throws is thrown to all who wait, and not kept
     */
    @SuppressWarnings("unchecked") // a question is only ever answered with its own kind
    public <V> V answer(Question<V> question, Supplier<V> find) {
        CompletableFuture<Object> mine = new CompletableFuture<>();
        CompletableFuture<Object> others = kept.asMap().putIfAbsent(question, mine);
        if (others != null) {
            return (V) joined(others);
        }
        try {
            V answer = find.get();
            mine.complete(answer);
            return answer;
        } catch (RuntimeException | Error e) {
            mine.completeExceptionally(e);
            throw e;
        }
    }

    private static Object joined(CompletableFuture<Object> found) {
        try {
            return found.join();
        } catch (CompletionException e) {
            if (e.getCause() instanceof RuntimeException why) {
                throw why;
            }
            throw e;
        }
    }

    /** An answer that was found by the way. */
    public <V> void know(Question<V> question, V answer) {
        kept.synchronous().put(question, answer);
    }

    /** Empty where the thing was last read at another version. */
    public <V> Optional<V> at(Question<V> thing, Object version) {
        return last(thing, version);
    }

    /** @param read reads it where it was last read at another version */
    public <V> V at(Question<V> thing, Object version, Supplier<V> read) {
        return at(thing, version).orElseGet(() -> keep(thing, version, read.get()));
    }

    /** Whatever its version. */
    public <V> Optional<V> last(Question<V> thing) {
        return last(thing, null);
    }

    @SuppressWarnings("unchecked")
    private <V> Optional<V> last(Question<V> thing, Object version) {
        return kept.synchronous().getIfPresent(thing) instanceof Version last
                        && (version == null || last.version().equals(version))
                ? Optional.of((V) last.value())
                : Optional.empty();
    }

    /**
     * What a reader saw. What a writer saw is not kept: its transaction may be taken back, and the version be given to another
     * state.
     */
    public <V> V keep(Question<V> thing, Object version, V value) {
        if (!TransactionSynchronizationManager.isActualTransactionActive()
                || TransactionSynchronizationManager.isCurrentTransactionReadOnly()) {
            kept.synchronous().put(thing, new Version(version, value));
        }
        return value;
    }

    /** What it will be once the transaction that writes it is through. */
    public <V> void becomes(Question<V> thing, Object version, V value) {
        onceThrough(() -> kept.synchronous().put(thing, new Version(version, value)));
    }

    /** The thing is read anew once the transaction that writes it is through. */
    public void changes(Question<?> thing) {
        onceThrough(() -> forget(thing));
    }

    public void forget(Question<?> thing) {
        kept.synchronous().invalidate(thing);
    }

    /** As a second instance starts. */
    public void forget() {
        kept.synchronous().invalidateAll();
    }

    private static void onceThrough(Runnable then) {
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                then.run();
            }
        });
    }
}
