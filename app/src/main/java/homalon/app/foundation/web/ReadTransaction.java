package homalon.app.foundation.web;

import java.util.HashMap;
import java.util.Map;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Reads all that one answer needs in one transaction. A page asks some ten services; each with a transaction of its own, their
 * beginnings and ends would cost as much as the verdict. What several of them ask for is read for the first of them alone.
 */
@Component
public class ReadTransaction {
    private final TransactionTemplate transaction;
    private final ThreadLocal<Map<Object, Object>> read = new ThreadLocal<>();

    ReadTransaction(PlatformTransactionManager transactions) {
        transaction = new TransactionTemplate(transactions);
        transaction.setReadOnly(true);
    }

    /** Nothing may be written within it; one within another is part of that. */
    public <T> T of(Supplier<T> answer) {
        if (read.get() != null) {
            return answer.get();
        }
        read.set(new HashMap<>());
        try {
            return transaction.execute(turn -> answer.get());
        } finally {
            read.remove();
        }
    }

    /**
     * What was read under this key before, within the same answer; outside of one it is read anew each time.
     *
     * @param key a record of its reader's own, so that no two readers share one
     */
    @SuppressWarnings("unchecked")
    public <T> T once(Object key, Supplier<T> from) {
        Map<Object, Object> kept = read.get();
        if (kept == null) {
            return from.get();
        }
        Object before = kept.get(key);
        if (before == null) {
            before = from.get();
            kept.put(key, before);
        }
        return (T) before;
    }
}
