package homalon.app.check.lines;

import homalon.app.foundation.web.Blanks;
import homalon.core.quantity.BenchUnit;
import homalon.core.visit.LineSetup;

/** How a shaft's bores are read, as it is keyed: lists with blanks between. */
record LineForm(
        String name,
        String at,
        String clearance,
        String running,
        LineSetup.Way way,
        String blade,
        Boolean bothSides,
        Boolean sideways) {
    LineSetup setUp(BenchUnit unit) {
        return LineSetup.typed(
                new LineSetup.Typed(
                        Blanks.of(name),
                        Blanks.of(at),
                        Blanks.of(clearance),
                        Blanks.of(running),
                        way == null ? LineSetup.Way.INDICATOR : way,
                        Blanks.of(blade),
                        Blanks.of(bothSides),
                        Blanks.of(sideways)),
                unit);
    }
}
