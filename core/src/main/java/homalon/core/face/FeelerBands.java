package homalon.core.face;

import homalon.core.face.FeelerLine.Rest;
import homalon.core.face.FeelerLine.Station;
import homalon.core.face.FeelerLine.Tried;
import homalon.core.geometry.Range;
import homalon.core.numeric.LinearBounds.Band;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/** What blades under laid edges say, each answer as a band of a linear form of the terms. */
final class FeelerBands {
    private FeelerBands() {}

    /** Every answer by itself, line by line. */
    static List<Said> said(FeelerSurvey survey, FaceTerms terms) {
        return IntStream.range(0, survey.lines().size())
                .boxed()
                .flatMap(i -> said(survey, terms, i).stream())
                .toList();
    }

    /**
     * In K, those of one form as one band.
     *
     * @param leftOpen by which each is taken wider, mm
     */
    static List<Band> of(FeelerSurvey survey, FaceTerms terms, double leftOpen) {
        List<Band> bands = new ArrayList<>();
        for (Said said : said(survey, terms)) {
            merge(bands, said.bandOfK(leftOpen));
        }
        return bands;
    }

    private static void merge(List<Band> bands, Band band) {
        for (int i = 0; i < bands.size(); i++) {
            Band there = bands.get(i);
            if (same(there.form(), band.form())) {
                bands.set(
                        i,
                        new Band(
                                there.form(),
                                Math.max(there.least(), band.least()),
                                Math.min(there.most(), band.most())));
                return;
            }
        }
        bands.add(band);
    }

    private static boolean same(double[] a, double[] b) {
        double off = 0;
        for (int i = 0; i < a.length; i++) {
            off = Math.max(off, Math.abs(a[i] - b[i]));
        }
        return off < 1e-12;
    }

    /**
     * One reading as a band in gap units.
     *
     * @param form weights of the terms in K
     * @param share of K that the gap is
     */
    record Said(int line, OptionalInt station, double[] form, double share, double least, double most) {
        Band band() {
            return new Band(Arrays.stream(form).map(c -> c * share).toArray(), least, most);
        }

        Band bandOfK(double leftOpen) {
            return new Band(form, (least - leftOpen) / share, (most + leftOpen) / share);
        }
    }

    /**
     * What one line says. Where the gap under it is no parabola the edge may rest on a rise between its ends, and then a blade
     * goes in that the chord would refuse: of such a line only what was refused, and that it sits still, bounds the shape.
     */
    private static List<Said> said(FeelerSurvey survey, FaceTerms terms, int index) {
        FeelerLine line = survey.lines().get(index);
        List<Said> all = new ArrayList<>();
        boolean parabola = terms.parabola(line, survey.box());
        double open = Double.POSITIVE_INFINITY;
        Range rest = rest(line, survey.thinnest());
        all.add(new Said(
                index,
                OptionalInt.empty(),
                terms.form(line, survey.box(), 0.5),
                0.25,
                rest.least(),
                parabola ? rest.most() : open));
        for (int i = 0; i < line.stations().size(); i++) {
            Station s = line.stations().get(i);
            double most = s.tried().isEmpty()
                    ? survey.thinnest()
                    : s.tried().refuses().orElse(open);
            double least = parabola ? s.tried().goes().orElse(-open) : -open;
            double share = s.at() * (1 - s.at());
            all.add(new Said(index, OptionalInt.of(i), terms.form(line, survey.box(), s.at()), share, least, most));
        }
        return all;
    }

    /** What rocking, sitting still and end blades say of K / 4. */
    private static Range rest(FeelerLine line, double thinnest) {
        double least = line.rest() == Rest.SITS_STILL ? -thinnest : Double.NEGATIVE_INFINITY;
        double most = line.rest() == Rest.ROCKS ? 0 : Double.POSITIVE_INFINITY;
        Tried ends = line.ends();
        if (ends.goes().isPresent()) {
            most = Math.min(most, -ends.goes().getAsDouble());
        }
        if (ends.refuses().isPresent()) {
            least = Math.max(least, -ends.refuses().getAsDouble());
        }
        return new Range(least, most);
    }
}
