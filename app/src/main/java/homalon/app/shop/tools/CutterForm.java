package homalon.app.shop.tools;

import homalon.app.foundation.web.Blanks;
import homalon.core.cut.Cutter;
import homalon.core.cut.Insert;
import homalon.core.quantity.BenchUnit;

/** A cutter as it is keyed; what is no number is refused by the cutter itself, in its own words. */
record CutterForm(String name, Insert insert, String diameter, String noseRadius, String edges) {
    CutterForm {
        name = Blanks.of(name).strip();
        insert = insert == null ? Insert.CBN : insert;
    }

    Cutter cutter(BenchUnit unit) {
        return new Cutter(name, insert, ToolNumbers.size(diameter, unit), ToolNumbers.size(noseRadius, unit), (int)
                ToolNumbers.number(edges));
    }
}
