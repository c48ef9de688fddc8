package homalon.app.shop.instruments;

import homalon.app.foundation.web.WalkRows;
import homalon.app.foundation.words.Words;
import homalon.core.gauge.Instrument;
import homalon.core.gauge.InstrumentKind;
import homalon.core.gauge.Repeatability;
import homalon.core.quantity.LengthWriter;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * A study as its page shows it.
 *
 * @param lines of the analysis, once all is read
 */
record StudyView(
        UUID id,
        String headline,
        String style,
        String sentence,
        List<Line> lines,
        List<Figure> figures,
        String walk,
        boolean complete,
        long seen) {
    private static final String[] TIMES = {"first", "second", "third", "fourth", "fifth"};

    /** A source of differences. */
    record Line(String source, int freedom, String squares, String deviation) {}

    /** A figure in words. */
    record Figure(String name, String value, String note) {}

    static StudyView of(Instrument instrument, Studies.Study study, LengthWriter writer) {
        InstrumentKind kind = instrument.kind();
        Studies.Asked asked = study.asked();
        Optional<Repeatability> result = study.result();
        return new StudyView(
                study.id(),
                result.map(r -> Words.of(r.fit(asked.width()).words())).orElse("Not read to its end"),
                result.map(r -> style(r.fit(asked.width()))).orElse("open"),
                result.map(r -> "Six standard deviations of one reading are "
                                + Math.round(100 * r.share(asked.width())) + " % of a limit of "
                                + GaugeFigures.full(kind, asked.width(), writer)
                                + "; up to 10 % proves it, up to 30 % proves what lies well off it.")
                        .orElse(study.read().size() + " of " + asked.slots() + " readings are keyed."),
                result.map(r -> lines(kind, r, writer)).orElse(List.of()),
                result.map(r -> figures(kind, r, writer)).orElse(List.of()),
                walk(kind, study, writer),
                study.complete(),
                study.seen());
    }

    private static String style(Repeatability.Fit fit) {
        return switch (fit) {
            case PROVES -> "within";
            case BARELY -> "open";
            case CANNOT -> "out";
        };
    }

    private static List<Line> lines(InstrumentKind kind, Repeatability r, LengthWriter writer) {
        return List.of(
                line("Places", r.places(), kind, writer),
                line("Hands", r.people(), kind, writer),
                line("Hands at places", r.together(), kind, writer),
                line("Repeat", r.repeat(), kind, writer));
    }

    private static Line line(String name, Repeatability.Source source, InstrumentKind kind, LengthWriter writer) {
        return new Line(
                name,
                source.freedom(),
                String.format(java.util.Locale.ROOT, "%.3g", source.squares()),
                GaugeFigures.full(kind, source.deviation(), writer));
    }

    private static List<Figure> figures(InstrumentKind kind, Repeatability r, LengthWriter writer) {
        return List.of(
                new Figure(
                        "One hand again",
                        GaugeFigures.full(kind, r.repeatability(), writer),
                        "standard uncertainty of one reading by one hand"),
                new Figure(
                        "Another hand adds",
                        GaugeFigures.full(kind, r.reproducibility(), writer),
                        r.people().freedom() == 0 ? "one hand alone read it" : ""),
                new Figure(
                        "Any hand", GaugeFigures.full(kind, r.both(), writer), "what a reading leaves open, standard"),
                new Figure(
                        "Distinct steps",
                        Integer.toString(r.steps()),
                        "that it tells among these places; five and more are wanted"));
    }

    private static String walk(InstrumentKind kind, Studies.Study study, LengthWriter writer) {
        WalkRows rows = new WalkRows();
        Studies.Asked asked = study.asked();
        for (int slot = 0; slot < asked.slots(); slot++) {
            Optional<Studies.Line> line = Optional.ofNullable(study.read().get(slot));
            String name =
                    asked.hand(slot) + ", place " + (asked.place(slot) + 1) + ", " + TIMES[asked.time(slot)] + " time";
            rows.add(
                    new WalkRows.Place(
                            Integer.toString(slot),
                            name,
                            WalkRows.State.of(line.isPresent(), false),
                            line.map(l -> GaugeFigures.full(kind, l.value(), writer))
                                    .orElse(""),
                            line.map(Studies.Line::seq).orElse(0L)),
                    "unit-label",
                    GaugeFigures.unit(kind, writer.unit()),
                    "echo-as",
                    kind.reads() == InstrumentKind.Reads.LENGTH ? "length" : "none");
        }
        return rows.html();
    }
}
