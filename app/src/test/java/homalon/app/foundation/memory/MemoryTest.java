package homalon.app.foundation.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionSynchronizationUtils;

class LatestTest {
    private final Latest<String, String> latest = new Latest<>(10);
    private final AtomicInteger made = new AtomicInteger();

    private String asked(String of, long version) {
        return latest.at(of, version, () -> of + " " + made.incrementAndGet());
    }

    private static void transaction(boolean readOnly) {
        TransactionSynchronizationManager.initSynchronization();
        TransactionSynchronizationManager.setActualTransactionActive(true);
        TransactionSynchronizationManager.setCurrentTransactionReadOnly(readOnly);
    }

    @AfterEach
    void end() {
        TransactionSynchronizationManager.clear();
    }

    @Test
    void aThingIsMadeOnceForEachVersionAndOnlyTheLastIsRemembered() {
        assertThat(asked("head", 1)).isEqualTo("head 1");
        assertThat(asked("head", 1)).isEqualTo("head 1");
        assertThat(asked("deck", 1)).isEqualTo("deck 2");
        assertThat(asked("head", 2)).isEqualTo("head 3");
        assertThat(latest.at("head", 1L)).isEmpty();
        assertThat(latest.last("head")).contains("head 3");
        assertThat(asked("head", 1)).isEqualTo("head 4");
        latest.forget();
        assertThat(latest.last("head")).isEmpty();
        assertThat(asked("deck", 1)).isEqualTo("deck 5");
    }

    /** Version 2 was written and taken back; the next one who writes makes another version 2. */
    @Test
    void whatAWriterSawIsNotRemembered() {
        asked("head", 1);
        transaction(false);
        assertThat(asked("head", 2)).isEqualTo("head 2");
        assertThat(asked("head", 2)).isEqualTo("head 3");
        TransactionSynchronizationManager.clear();
        transaction(true);
        assertThat(asked("head", 2)).isEqualTo("head 4");
        assertThat(asked("head", 2)).isEqualTo("head 4");
    }

    @Test
    void whatIsWrittenIsKnownOnceItIsThrough() {
        asked("head", 1);
        transaction(false);
        latest.becomes("head", 2L, "as written");
        assertThat(latest.last("head")).contains("head 1");
        TransactionSynchronizationUtils.triggerAfterCommit();
        assertThat(latest.at("head", 2L)).contains("as written");
    }
}
