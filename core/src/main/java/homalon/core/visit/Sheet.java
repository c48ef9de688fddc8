package homalon.core.visit;

import homalon.core.gauge.InstrumentKind;
import homalon.core.input.InPath;
import homalon.core.quantity.Length;
import homalon.core.route.StepKind;
import homalon.core.words.Message;
import java.util.List;

/** What is keyed on a sheet. */
public enum Sheet implements InPath {
    LINE(StepKind.LINE, "line"),
    LINERS(StepKind.LINERS, "liners"),
    INDEX(StepKind.INDEX, "index"),
    VALVES(StepKind.VALVES, "valves"),
    CHAMBERS(StepKind.CHAMBERS, "chambers");

    private final Message words = Message.of(this);
    private final StepKind step;
    private final String path;

    Sheet(StepKind step, String path) {
        this.step = step;
        this.path = path;
    }

    public Message words() {
        return words;
    }

    public StepKind step() {
        return step;
    }

    /** What may be in hand for it. */
    public List<InstrumentKind> instruments() {
        return switch (this) {
            case LINE ->
                List.of(
                        InstrumentKind.BORE_GAUGE,
                        InstrumentKind.MICROMETER,
                        InstrumentKind.INDICATOR,
                        InstrumentKind.STRAIGHTEDGE,
                        InstrumentKind.FEELERS);
            case LINERS -> List.of(InstrumentKind.INDICATOR);
            case INDEX -> List.of(InstrumentKind.MICROMETER, InstrumentKind.DEPTH_GAUGE);
            case VALVES ->
                List.of(
                        InstrumentKind.MICROMETER,
                        InstrumentKind.SPLIT_BALL,
                        InstrumentKind.BORE_GAUGE,
                        InstrumentKind.INDICATOR,
                        InstrumentKind.DEPTH_GAUGE);
            case CHAMBERS -> List.of(InstrumentKind.BURETTE, InstrumentKind.DEPTH_GAUGE);
        };
    }

    /** No figure of it is larger: anything beyond was keyed in another unit. */
    public Length furthest() {
        return this == INDEX || this == VALVES || this == CHAMBERS ? Length.ofMm("1000") : Length.ofMm("50");
    }

    @Override
    public String path() {
        return path;
    }
}
