package homalon.app.demo;

import homalon.app.foundation.words.Words;
import homalon.app.shop.stock.Catalogue;
import homalon.core.catalogue.Item;
import homalon.core.catalogue.Metal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;

/** The list of inserts, guides and shims of the sample shop; every code is made up. */
final class SampleStock {
    private SampleStock() {}

    private static Item insert(String code, double outer, double inner, double height, Metal metal) {
        return new Item(
                code,
                Item.Kind.INSERT,
                Words.of(metal.words()) + " insert",
                outer,
                inner,
                height,
                Optional.of(metal),
                OptionalDouble.empty());
    }

    private static Item guide(String code, double outer) {
        return new Item(
                code,
                Item.Kind.GUIDE,
                "iron guide, reamed to size",
                outer,
                6.9,
                42,
                Optional.empty(),
                OptionalDouble.empty());
    }

    /** What the sample shop buys by size. */
    static List<Catalogue.Row> rows() {
        List<Catalogue.Row> rows = new ArrayList<>();
        double[] rings = {28.6, 29.0, 29.6, 30.2, 33.0, 33.4, 34.0, 34.6, 35.2, 36.0, 38.1, 39.0, 40.0, 42.0, 45.0};
        for (int i = 0; i < rings.length; i++) {
            double outer = rings[i];
            rows.add(new Catalogue.Row(
                    insert(String.format(Locale.ROOT, "HI-%.1f", outer), outer, outer - 7, 6.4, Metal.HARD_IRON),
                    (i * 7) % 5));
        }
        for (double outer : new double[] {33.1, 34.1, 35.3, 38.2}) {
            rows.add(new Catalogue.Row(
                    insert(String.format(Locale.ROOT, "PM-%.1f", outer), outer, outer - 6.4, 6.4, Metal.POWDER_METAL),
                    4));
        }
        rows.add(new Catalogue.Row(
                new Item(
                        "NC-1-3/8",
                        Item.Kind.INSERT,
                        "nickel-cobalt insert, by its hole",
                        35.05,
                        27.9,
                        7.1,
                        Optional.of(Metal.NICKEL_COBALT),
                        OptionalDouble.of(34.925)),
                2));
        rows.add(new Catalogue.Row(insert("BZ-36", 36.1, 29, 7, Metal.BRONZE), 0));
        double[] guides = {12.04, 12.54, 13.02, 13.045, 13.07, 13.09, 13.54, 14.04, 14.29};
        for (int i = 0; i < guides.length; i++) {
            rows.add(new Catalogue.Row(guide(String.format(Locale.ROOT, "G-%.3f", guides[i]), guides[i]), (i * 5) % 9));
        }
        for (double t : new double[] {0.4, 0.8, 1.5}) {
            rows.add(new Catalogue.Row(
                    new Item(
                            "SHIM-" + t,
                            Item.Kind.SHIM,
                            "spring shim",
                            32,
                            20,
                            t,
                            Optional.empty(),
                            OptionalDouble.empty()),
                    40));
        }
        return rows;
    }
}
