package homalon.app.casting.readings;

import homalon.core.input.BadInputException;
import java.util.List;
import java.util.Locale;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Every walk by its name. */
@Component
@RequiredArgsConstructor
public class Walks {
    private final List<TakesReadings> rooms;

    /**
     * Whoever takes the readings of that walk.
     *
     * @throws BadInputException naming the walks that there are
     */
    public TakesReadings of(String walk) {
        return rooms.stream()
                .filter(r -> r.walks().contains(walk))
                .findFirst()
                .orElseThrow(() ->
                        new BadInputException("walk", "app.tables.walk-is-one-of", walk, String.join(", ", names())));
    }

    /** A walk as somebody wrote its name: {@code Thickness after} is {@code thickness-after}. */
    public static String tidy(String written) {
        return written.strip().toLowerCase(Locale.ROOT).replaceAll("[ _]+", "-");
    }

    public List<String> names() {
        return rooms.stream().flatMap(r -> r.walks().stream()).toList();
    }
}
