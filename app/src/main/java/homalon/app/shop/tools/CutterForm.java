package homalon.app.shop.tools;

import homalon.app.foundation.web.Blanks;
import homalon.core.cut.Cutter;
import homalon.core.cut.Insert;

/** A cutter as it is keyed, in mm; what is no number is refused by the cutter itself, in its own words. */
record CutterForm(String name, Insert insert, String diameter, String noseRadius, String edges) {
    CutterForm {
        name = Blanks.of(name).strip();
        insert = insert == null ? Insert.CBN : insert;
    }

    Cutter cutter() {
        return new Cutter(name, insert, ToolNumbers.size(diameter), ToolNumbers.size(noseRadius), (int)
                ToolNumbers.number(edges));
    }
}
