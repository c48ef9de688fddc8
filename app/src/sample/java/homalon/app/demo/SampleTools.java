package homalon.app.demo;

import homalon.app.foundation.time.ShopClock;
import homalon.app.shop.instruments.Instruments;
import homalon.app.shop.prices.PriceBook;
import homalon.app.shop.tools.Toolbox;
import homalon.core.cut.Cutter;
import homalon.core.cut.Insert;
import homalon.core.cut.Machine;
import homalon.core.gauge.Compared;
import homalon.core.gauge.Instrument;
import homalon.core.gauge.InstrumentKind;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.OptionalInt;
import java.util.UUID;
import lombok.RequiredArgsConstructor;

/** What the sample shop cuts and measures with, and what it asks. */
@OfTheDemo
@RequiredArgsConstructor
class SampleTools {
    /** What the ring of the bore gauge read beyond its size, check after check, mm: it begins to drift. */
    private static final double[] RING = {0.001, 0, 0.001, -0.001, 0, 0.001, 0, 0, 0.001, 0.002, 0.003, 0.004};

    private final Toolbox toolbox;
    private final Instruments instruments;
    private final PriceBook prices;
    private final ShopClock clock;
    private final Clock now;

    void all(UUID owner, UUID hand) {
        SamplePrices.keep(prices, owner);
        toolbox.add(new Machine("surfacer", 250, 1150, 3, 20, 760));
        toolbox.add(new Machine("long-bed mill", 60, 900, 7.5, 15, 1200));
        toolbox.add(new Cutter("CBN disc 1", Insert.CBN, 330, 6.35, 8));
        toolbox.add(new Cutter("PCD disc 1", Insert.PCD, 330, 6.35, 4));
        toolbox.add(new Cutter("Carbide mill", Insert.CARBIDE, 160, 1.6, 8));
        add("M-01", "lever indicator, red stand", InstrumentKind.INDICATOR, 0.002, 12, 70, 0.001, owner);
        add("M-02", "granite at the window", InstrumentKind.TABLE, 0.003, 24, 200, 0.002, owner);
        add("M-03", "micrometer 125 to 150", InstrumentKind.MICROMETER, 0.004, 12, 420, 0.001, owner);
        add("M-04", "bore gauge, long", InstrumentKind.BORE_GAUGE, 0.004, 12, 100, 0.002, owner);
        add("M-05", "straightedge, 500", InstrumentKind.STRAIGHTEDGE, 0.005, 24, 300, 0.003, owner);
        for (int week = 0; week < RING.length; week++) {
            double read = 85 + RING[week];
            clock.ago(
                    Duration.ofDays(7L * (RING.length - week)),
                    () -> instruments.check(UUID.randomUUID(), "M-04", 85, read, hand));
        }
    }

    private void add(
            String code, String name, InstrumentKind kind, double limits, int months, int ago, double error, UUID by) {
        instruments.add(new Instrument(code, name, kind, Instrument.Known.LIMITS, limits, OptionalInt.of(months)));
        LocalDate on =
                LocalDate.ofInstant(now.instant(), ZoneId.systemDefault()).minusDays(ago);
        instruments.compare(UUID.randomUUID(), code, new Compared(on, "blocks of the tool room", error), by);
    }
}
