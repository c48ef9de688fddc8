package homalon.core.money;

import homalon.core.bench.UsualChances;
import homalon.core.route.Operation;
import homalon.core.words.Message;
import java.util.List;

/** What may still turn up at a casting, with what it would add: by the hour, for the work that follows. */
public final class Risks {
    /** What was hot may be cracked, leak and be bent, all three by the one cause. */
    private static final String HOT = "HOT";

    private Risks() {}

    /**
     * @param hot whether the casting was overheated
     * @param may what its open checks may find
     */
    public static List<Risk> of(PriceList list, boolean hot, List<UsualChances.MayFind> may) {
        return may.stream()
                .map(m -> new Risk(
                        m.check().name(),
                        what(m.check()),
                        m.chance(),
                        m.own(),
                        list.byTheHour(m.minutes()).amount(),
                        m.minutes(),
                        hot && ofHeat(m) ? HOT : ""))
                .toList();
    }

    private static Message what(Operation check) {
        return switch (check) {
            case CRACK_CHECK -> Message.of("money.a-crack-that-nobody-has-seen-yet");
            case PRESSURE_TEST -> Message.of("money.a-leak-under-pressure");
            case VALVE_CHECK -> Message.of("money.guides-and-seats-that-do-not-pass");
            case FACE_CHECK -> Message.of("money.a-face-that-is-out");
            case PROOF -> Message.of("money.a-cut-that-is-not-proven-at-once");
            default -> Message.of("money.what-a-check-may-find", check.words());
        };
    }

    private static boolean ofHeat(UsualChances.MayFind may) {
        return switch (may.check()) {
            case CRACK_CHECK, PRESSURE_TEST, FACE_CHECK -> true;
            default -> false;
        };
    }
}
