package homalon.bench;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.function.Function;
import java.util.stream.IntStream;

/** What came of each face, a line a face in a file, so that a run that was stopped goes on where it ended. */
final class Kept<T> {
    private final Path file;
    private final Map<Integer, T> faces = new ConcurrentSkipListMap<>();

    private Kept(Path file) {
        this.file = file;
    }

    /** @param read what stands in a line after the number of the face */
    static <T> Kept<T> in(Path file, Function<String, T> read) throws IOException {
        Kept<T> kept = new Kept<>(file);
        if (Files.exists(file)) {
            for (String line : Files.readAllLines(file)) {
                int end = line.indexOf(' ');
                kept.faces.put(Integer.parseInt(line.substring(0, end)), read.apply(line.substring(end + 1)));
            }
        }
        return kept;
    }

    /** Numbers below a count of faces that were not read. */
    IntStream missing(int count) {
        return IntStream.range(0, count).filter(i -> !faces.containsKey(i));
    }

    synchronized void keep(int number, T face, String line) {
        faces.put(number, face);
        try {
            Files.writeString(file, number + " " + line + "\n", StandardOpenOption.CREATE, StandardOpenOption.APPEND);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    List<T> all() {
        return List.copyOf(faces.values());
    }
}
