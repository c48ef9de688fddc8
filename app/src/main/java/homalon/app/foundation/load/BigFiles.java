package homalon.app.foundation.load;

import homalon.core.input.BadInputException;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/**
 * Takes files in one after the other, so that their memory never adds up: each comes into a file of its own on disk as it
 * streams, and only one at a time is unpacked or judged. What comes too slowly, or more than the disk's budget, is refused.
 */
@Component
public class BigFiles {
    private static final int COMING = 16;
    private static final int MOST_OF_TABLE = 1_000_000;
    /** On disk, of all that come at once. */
    private static final long BUDGET = 1_500_000_000L;
    /** Slower than this over the whole of it is no upload, bytes in a second. */
    private static final long SLOWEST = 20_000;

    private static final long GRACE_MS = 20_000;
    /** Whoever sends a file waits for its turn; who opens a page gives up sooner. */
    private static final long TURN_MS = 120_000;

    private static final long PAGE_MS = 15_000;
    private static final String BUSY = "Other files are being taken in just now: send this one again in a minute.";

    private final Semaphore coming = new Semaphore(COMING);
    private final AtomicLong held = new AtomicLong();
    private final ReentrantLock turn = new ReentrantLock(true);

    /** What is done with a file that lies here whole. */
    public interface Work<T> {
        T of(InputStream whole) throws IOException;
    }

    /** More came than may come. */
    public static final class TooLargeException extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }

    /**
     * A table of text as a spreadsheet writes it, whole.
     *
     * @throws BadInputException when it is larger than any list of a shop
     */
    public byte[] table(InputStream in) throws IOException {
        try {
            return take(in, MOST_OF_TABLE, InputStream::readAllBytes);
        } catch (TooLargeException e) {
            throw new BadInputException("file", "app.load.the-table-is-over-1-mb");
        }
    }

    /**
     * Waits for the whole file, then for its turn, and has it worked on; the file is gone afterwards.
     *
     * @param most bytes
     * @throws TooLargeException when it is larger
     * @throws BusyException when too many come at once, it comes too slowly, or its turn does not come
     */
    public <T> T take(InputStream in, long most, Work<T> work) throws IOException {
        if (!coming.tryAcquire()) {
            throw new BusyException(BUSY);
        }
        Path file = null;
        long size = 0;
        try {
            file = Files.createTempFile("homalon-coming", ".part");
            size = keep(in, most, file);
            Path whole = file;
            return alone(TURN_MS, () -> {
                try (InputStream from = new BufferedInputStream(Files.newInputStream(whole), 1 << 16)) {
                    return work.of(from);
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            });
        } finally {
            held.addAndGet(-size);
            coming.release();
            if (file != null) {
                Files.deleteIfExists(file);
            }
        }
    }

    private long keep(InputStream in, long most, Path file) throws IOException {
        long start = System.nanoTime();
        long size = 0;
        boolean whole = false;
        try (OutputStream out = Files.newOutputStream(file)) {
            byte[] some = new byte[1 << 16];
            for (int n = in.read(some); n >= 0; n = in.read(some)) {
                size += n;
                long all = held.addAndGet(n);
                if (size > most) {
                    throw new TooLargeException();
                }
                long ms = (System.nanoTime() - start) / 1_000_000;
                if (all > BUDGET || (ms > GRACE_MS && size < (ms - GRACE_MS) * SLOWEST / 1000)) {
                    throw new BusyException(BUSY);
                }
                out.write(some, 0, n);
            }
            whole = true;
            return size;
        } finally {
            if (!whole) {
                held.addAndGet(-size);
            }
        }
    }

    /**
     * Does work that needs much memory while no other such work is done; one within another is part of that.
     *
     * @throws BusyException when its turn does not come
     */
    public <T> T alone(Supplier<T> work) {
        return alone(PAGE_MS, work);
    }

    private <T> T alone(long mostMillis, Supplier<T> work) {
        try {
            if (!turn.tryLock(mostMillis, TimeUnit.MILLISECONDS)) {
                throw new BusyException(BUSY);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new BusyException(BUSY);
        }
        try {
            return work.get();
        } finally {
            turn.unlock();
        }
    }
}
