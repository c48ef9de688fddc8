package homalon.core.surface;

import homalon.core.geometry.Spot;
import java.util.List;

/**
 * Places at which a face is asked about, and what of them hangs on no level of a {@link SurfacePrior}.
 *
 * @param terms {@link Terms} of them
 * @param alike how alike the local part is at any of them
 * @param alikeRead how alike it is at the place of each reading and at all of them, one row a reading
 */
record PlacesAsked(List<Spot> places, double[][] terms, Correlations alike, double[][] alikeRead) {
    static PlacesAsked of(ReadPlaces read, List<Spot> places, Correlations alike) {
        return new PlacesAsked(List.copyOf(places), Terms.of(read.box(), places), alike, alike.with(read.read()));
    }

    int count() {
        return places.size();
    }
}
