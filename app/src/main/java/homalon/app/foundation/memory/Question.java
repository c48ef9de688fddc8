package homalon.app.foundation.memory;

/**
 * What an answer is remembered under. It is a record of pure values, equal to another when its answer is the same; or it names a
 * thing that is stored, whose version is then told beside it.
 *
 * @param <V> what answers it
 */
public interface Question<V> {
    /** About how much the answer and this take in memory. */
    default int kilobytes() {
        return 16;
    }
}
