package homalon.app.foundation.load;

import static homalon.app.foundation.load.LoadLimiter.Lane.KEYING;
import static homalon.app.foundation.load.LoadLimiter.Lane.LOOKING;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import homalon.app.foundation.load.LoadLimiter.Lane;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

class LoadLimiterTest {
    private final ExecutorService many = Executors.newCachedThreadPool();

    @AfterEach
    void stop() {
        many.shutdownNow();
    }

    @Test
    void whatIsKeyedGoesBeforeWhatIsLookedAtAndEachInItsOrder() throws Exception {
        LoadLimiter one = new LoadLimiter(1, 10);
        assertThat(one.enter(LOOKING, 0)).isTrue();
        List<String> order = Collections.synchronizedList(new ArrayList<>());
        for (String name : List.of("look 1", "look 2", "key 1", "look 3", "key 2")) {
            Lane lane = name.startsWith("key") ? KEYING : LOOKING;
            int before = one.waiting(lane);
            many.execute(() -> {
                try {
                    if (one.enter(lane, 10_000)) {
                        order.add(name);
                        one.leave();
                    }
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                }
            });
            await(() -> one.waiting(lane) == before + 1);
        }
        one.leave();
        await(() -> order.size() == 5);
        assertThat(order).containsExactly("key 1", "key 2", "look 1", "look 2", "look 3");
        await(() -> one.free() == 1);
    }

    @Test
    void aPageGoesAfterSixKeyedInARow() throws Exception {
        LoadLimiter one = new LoadLimiter(1, 20);
        assertThat(one.enter(LOOKING, 0)).isTrue();
        List<String> order = Collections.synchronizedList(new ArrayList<>());
        for (int i = 0; i < 16; i++) {
            Lane lane = i < 2 ? LOOKING : KEYING;
            int before = one.waiting(lane);
            many.execute(() -> {
                try {
                    if (one.enter(lane, 10_000)) {
                        order.add(lane == KEYING ? "k" : "l");
                        one.leave();
                    }
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                }
            });
            await(() -> one.waiting(lane) == before + 1);
        }
        one.leave();
        await(() -> order.size() == 16);
        assertThat(String.join("", order)).isEqualTo("kkkkkklkkkkkklkk");
    }

    @Test
    void aFullQueueRefusesAtOnceAndTheOtherQueueStillTakes() throws Exception {
        LoadLimiter one = new LoadLimiter(1, 1);
        assertThat(one.enter(KEYING, 0)).isTrue();
        many.execute(() -> enterAndLeave(one, LOOKING, 10_000));
        await(() -> one.waiting(LOOKING) == 1);
        long start = System.nanoTime();
        assertThat(one.enter(LOOKING, 10_000)).isFalse();
        assertThat(System.nanoTime() - start).isLessThan(5_000_000_000L);
        many.execute(() -> enterAndLeave(one, KEYING, 10_000));
        await(() -> one.waiting(KEYING) == 1);
        one.leave();
        await(() -> one.free() == 1);
    }

    @Test
    void whoWaitedLongEnoughGivesItsPlaceInTheQueueUp() throws Exception {
        LoadLimiter one = new LoadLimiter(1, 1);
        assertThat(one.enter(LOOKING, 0)).isTrue();
        assertThat(one.enter(LOOKING, 20)).isFalse();
        assertThat(one.waiting(LOOKING)).isZero();
        one.leave();
        assertThat(one.free()).isEqualTo(1);
    }

    @Test
    void noRoomIsLostOrMadeWhateverManyDoAtOnce() throws Exception {
        int room = 3;
        LoadLimiter few = new LoadLimiter(room, 5);
        AtomicInteger inside = new AtomicInteger();
        AtomicInteger most = new AtomicInteger();
        for (int who = 0; who < 24; who++) {
            Random seeded = new Random(who);
            many.execute(() -> {
                for (int i = 0; i < 200; i++) {
                    try {
                        if (few.enter(seeded.nextBoolean() ? KEYING : LOOKING, seeded.nextInt(3))) {
                            most.accumulateAndGet(inside.incrementAndGet(), Math::max);
                            if (seeded.nextInt(4) == 0) {
                                Thread.sleep(1);
                            }
                            inside.decrementAndGet();
                            few.leave();
                        }
                    } catch (InterruptedException e) {
                        return;
                    }
                }
            });
        }
        many.shutdown();
        assertThat(many.awaitTermination(30, TimeUnit.SECONDS)).isTrue();
        assertThat(most.get()).isBetween(1, room);
        assertThat(few.free()).isEqualTo(room);
        assertThat(few.waiting(KEYING) + few.waiting(LOOKING)).isZero();
    }

    @Test
    void whoIsInterruptedWhileWaitingLeavesNothingBehind() throws Exception {
        LoadLimiter one = new LoadLimiter(1, 3);
        assertThat(one.enter(LOOKING, 0)).isTrue();
        Thread waits = new Thread(() -> enterAndLeave(one, KEYING, 10_000));
        waits.start();
        await(() -> one.waiting(KEYING) == 1);
        waits.interrupt();
        waits.join();
        assertThat(one.waiting(KEYING)).isZero();
        one.leave();
        assertThat(one.free()).isEqualTo(1);
    }

    @Test
    void roomForNobodyIsRefused() {
        assertThatThrownBy(() -> new LoadLimiter(0, 1)).hasMessageContaining("at least 1");
        assertThatThrownBy(() -> new LoadLimiter(1, -1)).hasMessageContaining("at least 1 and 0");
    }

    private static void enterAndLeave(LoadLimiter admission, Lane lane, long ms) {
        try {
            if (admission.enter(lane, ms)) {
                admission.leave();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static void await(java.util.function.BooleanSupplier held) throws InterruptedException {
        for (int i = 0; i < 2000 && !held.getAsBoolean(); i++) {
            Thread.sleep(5);
        }
        assertThat(held.getAsBoolean()).isTrue();
    }
}
