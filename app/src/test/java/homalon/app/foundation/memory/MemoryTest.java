package homalon.app.foundation.memory;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionSynchronizationUtils;

class MemoryTest {
    private record Thing(String name) implements Question<String> {}

    private record Length(String name) implements Question<Integer> {}

    private record Large(int number) implements Question<byte[]> {
        @Override
        public int kilobytes() {
            return 16 * 1024;
        }
    }

    private static final Thing HEAD = new Thing("head");
    private static final Thing DECK = new Thing("deck");

    private final Memory memory = new Memory();
    private final AtomicInteger made = new AtomicInteger();

    private String asked(Thing of, long version) {
        return memory.at(of, version, () -> of.name() + " " + made.incrementAndGet());
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
    void aThingIsReadOnceForEachVersionAndOnlyTheLastIsRemembered() {
        assertThat(asked(HEAD, 1)).isEqualTo("head 1");
        assertThat(asked(HEAD, 1)).isEqualTo("head 1");
        assertThat(asked(DECK, 1)).isEqualTo("deck 2");
        assertThat(asked(HEAD, 2)).isEqualTo("head 3");
        assertThat(memory.at(HEAD, 1L)).isEmpty();
        assertThat(memory.last(HEAD)).contains("head 3");
        assertThat(asked(HEAD, 1)).isEqualTo("head 4");
        memory.forget(HEAD);
        assertThat(memory.last(HEAD)).isEmpty();
        assertThat(memory.last(DECK)).contains("deck 2");
        memory.forget();
        assertThat(asked(DECK, 1)).isEqualTo("deck 5");
    }

    /** Version 2 was written and taken back; the next one who writes makes another version 2. */
    @Test
    void whatAWriterSawIsNotRemembered() {
        asked(HEAD, 1);
        transaction(false);
        assertThat(asked(HEAD, 2)).isEqualTo("head 2");
        assertThat(asked(HEAD, 2)).isEqualTo("head 3");
        TransactionSynchronizationManager.clear();
        transaction(true);
        assertThat(asked(HEAD, 2)).isEqualTo("head 4");
        assertThat(asked(HEAD, 2)).isEqualTo("head 4");
    }

    @Test
    void whatIsWrittenIsKnownOnceItIsThrough() {
        asked(HEAD, 1);
        asked(DECK, 1);
        transaction(false);
        memory.becomes(HEAD, 2L, "as written");
        memory.changes(DECK);
        assertThat(memory.last(HEAD)).contains("head 1");
        assertThat(memory.last(DECK)).contains("deck 2");
        TransactionSynchronizationUtils.triggerAfterCommit();
        assertThat(memory.at(HEAD, 2L)).contains("as written");
        assertThat(memory.last(DECK)).isEmpty();
    }

    @Test
    void anAnswerIsFoundOnceAndMayAskAnotherQuestion() {
        Thing word = new Thing("valve");
        for (int i = 0; i < 3; i++) {
            int length = memory.answer(
                    new Length("valve"),
                    () -> memory.answer(word, () -> word.name() + made.incrementAndGet())
                            .length());
            assertThat(length).isEqualTo(6);
        }
        assertThat(made).hasValue(1);
        assertThat(memory.answer(word, () -> "not asked")).isEqualTo("valve1");
        memory.know(word, "guide");
        assertThat(memory.answer(word, () -> "not asked")).isEqualTo("guide");
    }

    @Test
    void whatCannotBeFoundIsThrownAndLookedForAgain() {
        assertThatThrownBy(() -> memory.answer(HEAD, () -> {
                    throw new IllegalStateException("no gauge");
                }))
                .isInstanceOf(IllegalStateException.class);
        assertThat(memory.answer(HEAD, () -> "found")).isEqualTo("found");
    }

    @Test
    void whoeverAsksWhileAnotherLooksWaitsForThatOne() throws Exception {
        CountDownLatch looking = new CountDownLatch(1);
        CountDownLatch found = new CountDownLatch(1);
        CompletableFuture<String> first = CompletableFuture.supplyAsync(() -> memory.answer(HEAD, () -> {
            looking.countDown();
            await(found);
            throw new IllegalStateException("no gauge");
        }));
        assertThat(looking.await(10, TimeUnit.SECONDS)).isTrue();
        CompletableFuture<String> second =
                CompletableFuture.supplyAsync(() -> memory.answer(HEAD, () -> "found by the second"));
        assertThat(second).isNotDone();
        found.countDown();
        assertThatThrownBy(first::join).hasRootCauseMessage("no gauge");
        // It came while the first looked, or after: it is told the same, or finds it.
        second.exceptionally(why -> why.getCause().getMessage())
                .thenAccept(said -> assertThat(said).isIn("no gauge", "found by the second"))
                .join();
    }

    private static void await(CountDownLatch latch) {
        try {
            assertThat(latch.await(10, TimeUnit.SECONDS)).isTrue();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Forty of 16 MB each are asked for; the whole memory holds twelve at most. */
    @Test
    void largeAnswersDoNotFillTheMemory() {
        AtomicInteger found = new AtomicInteger();
        for (int round = 0; round < 2; round++) {
            for (int i = 0; i < 40; i++) {
                memory.answer(new Large(i), () -> new byte[found.incrementAndGet() > 0 ? 1 : 0]);
            }
        }
        assertThat(found.get()).isBetween(40 + 40 - 12, 80);
    }
}
