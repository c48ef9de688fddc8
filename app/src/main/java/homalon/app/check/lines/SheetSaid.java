package homalon.app.check.lines;

import homalon.app.check.lines.SheetView.Picture;
import homalon.app.check.lines.SheetView.Row;
import homalon.app.foundation.web.Workings;
import java.util.List;

/** What one kind of sheet has to say, before the walk of its places is put beside it. */
record SheetSaid(
        String style,
        String words,
        String sentence,
        List<Picture> pictures,
        List<Row> rows,
        List<String> trims,
        List<SheetView.Link> links,
        Workings workings) {}
