package homalon.app.foundation.store;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * What was made of a thing that is stored, under the version at which it was read; only the last is remembered. A version is never
 * given to two states: it only goes up, or is the lines themselves. What a transaction wrote may be taken back and its version be
 * given to another state, so that only what a reader saw is remembered (ADR 18).
 *
 * @param <K> names the thing
 * @param <V> what was made of it
 */
public final class Latest<K, V> {
    private record Known<V>(Object version, V value) {}

    private final Cache<K, Known<V>> known;

    /** @param most things that are remembered at once */
    public Latest(int most) {
        known = Caffeine.newBuilder().maximumSize(most).build();
    }

    /** Empty where it was last read at another version. */
    public Optional<V> at(K of, Object version) {
        Known<V> last = known.getIfPresent(of);
        return last != null && last.version().equals(version) ? Optional.of(last.value()) : Optional.empty();
    }

    public V at(K of, Object version, Supplier<V> make) {
        return at(of, version).orElseGet(() -> keep(of, version, make.get()));
    }

    /** Whatever the version. */
    public Optional<V> last(K of) {
        return Optional.ofNullable(known.getIfPresent(of)).map(Known::value);
    }

    /** What a reader saw; what a writer did is not remembered. */
    public V keep(K of, Object version, V value) {
        if (!TransactionSynchronizationManager.isActualTransactionActive()
                || TransactionSynchronizationManager.isCurrentTransactionReadOnly()) {
            known.put(of, new Known<>(version, value));
        }
        return value;
    }

    /** What it will be once the transaction that writes it is through. */
    public void becomes(K of, Object version, V value) {
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                known.put(of, new Known<>(version, value));
            }
        });
    }

    /** As a second instance starts. */
    public void forget() {
        known.invalidateAll();
    }
}
