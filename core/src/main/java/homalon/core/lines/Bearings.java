package homalon.core.lines;

import homalon.core.part.Layout;
import homalon.core.quantity.Length;
import java.util.ArrayList;
import java.util.List;

/** Where the bearings of a shaft are likely to stand: one on each side of every bore, so that a four has five. */
public final class Bearings {
    private Bearings() {}

    /** From the first one along the line, in order; a proposal to be keyed over. */
    public static List<Length> proposed(Layout layout) {
        List<Layout.Bore> bores = layout.bores();
        double first = bores.get(0).centre().x();
        List<Length> all = new ArrayList<>();
        bores.forEach(b -> all.add(Length.roundedFromMm(b.centre().x() - first)));
        double last = bores.get(bores.size() - 1).centre().x() - first;
        double step = bores.size() > 1
                ? last - (bores.get(bores.size() - 2).centre().x() - first)
                : layout.box().width();
        all.add(Length.roundedFromMm(last + step));
        return all;
    }
}
