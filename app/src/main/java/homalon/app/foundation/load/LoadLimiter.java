package homalon.app.foundation.load;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;

/**
 * Lets in so many requests as the machine can work on, and keeps the others in two short queues: what is keyed goes before what
 * is only looked at (but one page goes after so many keyed, so that a page is late and not lost), and within a queue who came
 * first goes first. A full queue refuses at once: an answer that comes after the
 * asker has given up helps nobody.
 */
final class LoadLimiter {
    /** What a request is for. */
    enum Lane {
        KEYING,
        LOOKING
    }

    /** Keyed ones that go before a page that waits. */
    private static final int IN_A_ROW = 6;

    private final int mostWaiting;
    private final Deque<CountDownLatch> keying = new ArrayDeque<>();
    private final Deque<CountDownLatch> looking = new ArrayDeque<>();
    private int free;
    private int inARow;

    /**
     * @param atOnce that are worked on, 1 or more
     * @param mostWaiting in each queue, 0 or more
     */
    LoadLimiter(int atOnce, int mostWaiting) {
        if (atOnce < 1 || mostWaiting < 0) {
            throw new IllegalArgumentException(
                    "atOnce " + atOnce + ", mostWaiting " + mostWaiting + ": at least 1 and 0");
        }
        this.free = atOnce;
        this.mostWaiting = mostWaiting;
    }

    /**
     * Waits until there is room.
     *
     * @return true when there is, and {@link #leave()} must follow; false when the queue is full or the time over
     */
    boolean enter(Lane lane, long mostMillis) throws InterruptedException {
        CountDownLatch turn;
        synchronized (this) {
            if (free > 0) {
                free--;
                return true;
            }
            if (queue(lane).size() >= mostWaiting) {
                return false;
            }
            turn = new CountDownLatch(1);
            queue(lane).add(turn);
        }
        try {
            return turn.await(mostMillis, TimeUnit.MILLISECONDS) || called(lane, turn);
        } catch (InterruptedException e) {
            if (called(lane, turn)) {
                leave();
            }
            throw e;
        }
    }

    /** Takes it out of its queue; true when it was called in that very moment all the same. */
    private synchronized boolean called(Lane lane, CountDownLatch turn) {
        return !queue(lane).remove(turn);
    }

    /** Gives its room to the one whose turn it is. */
    synchronized void leave() {
        boolean page = keying.isEmpty() || (inARow >= IN_A_ROW && !looking.isEmpty());
        CountDownLatch next = page ? looking.poll() : keying.poll();
        inARow = page ? 0 : inARow + 1;
        if (next == null) {
            free++;
        } else {
            next.countDown();
        }
    }

    synchronized int waiting(Lane lane) {
        return queue(lane).size();
    }

    synchronized int free() {
        return free;
    }

    private Deque<CountDownLatch> queue(Lane lane) {
        return lane == Lane.KEYING ? keying : looking;
    }
}
