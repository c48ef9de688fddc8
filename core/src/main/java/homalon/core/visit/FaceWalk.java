package homalon.core.visit;

import homalon.core.face.PlaceProposal;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.Layout;
import homalon.core.part.PlaceNames;
import homalon.core.rulebook.RuleBook;
import homalon.core.sure.FirstPlaces;
import java.util.List;

/** Places with which the reading of a face begins, and several at once with which it goes on. */
public final class FaceWalk {
    private static final double NOISE = RuleBook.DEFAULT_UNCERTAINTY.mm() / 2;
    private static final int FEWEST = 7;
    private static final int MOST = 14;
    /** A place more for so much of the length, mm. */
    private static final double LENGTH = 100;

    private static final int BEFORE_LENGTH = 5;

    private FaceWalk() {}

    /** In the order of the walk. */
    public static List<PlaceProposal.Place> of(Layout layout, FaceModel model, PlaceProposal.Density density) {
        if (density != PlaceProposal.Density.FEWEST) {
            return PlaceProposal.of(layout, density);
        }
        int wanted = BEFORE_LENGTH + (int) Math.round(layout.box().width() / LENGTH);
        int count = Math.max(FEWEST, Math.min(MOST, wanted));
        return FirstPlaces.of(model.grid(), model.prior(), count, NOISE).stream()
                .map(s -> place(layout, s))
                .toList();
    }

    /** So many more, to be read one after the other: those that leave least open together with what was read. */
    public static List<Spot> more(FaceModel model, Points read, int count) {
        return FirstPlaces.more(model.grid(), model.prior(), read, count, NOISE);
    }

    private static PlaceProposal.Place place(Layout layout, Spot spot) {
        Spot rounded = new Spot(Math.rint(spot.x() * 10) / 10, Math.rint(spot.y() * 10) / 10);
        return new PlaceProposal.Place(PlaceNames.name(layout, rounded), rounded);
    }
}
