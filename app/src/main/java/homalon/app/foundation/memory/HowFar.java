package homalon.app.foundation.memory;

import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** How far something is that takes a person's time, in percent: told by whatever does it, asked for by the page that waits. */
@Component
@RequiredArgsConstructor
public class HowFar {
    public static final int ALL = 100;
    private static final int BROKE_OFF = -1;

    private final Memory memory;

    private record Of(UUID person, String what) implements Question<Integer> {}

    /** @param percent 0 to 100, or below zero once it broke off; what an earlier one came to is not told of this one */
    public void tell(UUID person, String what, int percent) {
        memory.know(new Of(person, what), percent);
    }

    public void brokeOff(UUID person, String what) {
        tell(person, what, BROKE_OFF);
    }

    /** Zero before anything was told. */
    public int of(UUID person, String what) {
        return memory.answer(new Of(person, what), () -> 0);
    }
}
