package homalon.app.machining.chambers;

import homalon.app.foundation.words.Words;
import homalon.core.chambers.Bowls;
import homalon.core.chambers.Compression;
import homalon.core.chambers.FillState;
import homalon.core.chambers.GasketAdvice;
import homalon.core.chambers.Ratios;
import homalon.core.cut.Budgets;
import homalon.core.cut.Outlook;
import homalon.core.cut.WhatIf;
import homalon.core.input.BadInputException;
import homalon.core.part.Layout;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.ChamberFile;
import homalon.core.visit.PartFile;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What the report says of chambers and compression, before and after. */
@Component
@RequiredArgsConstructor
public class ChamberReport {
    private final ChamberFiles files;
    private final OutlookSource outlooks;

    /**
     * @param said in plain words: what the gasket can put right among it
     * @param columns states in which chambers were filled
     * @param fitter what whoever fits it must check
     */
    public record Chambers(List<String> said, List<String> columns, List<Row> rows, List<String> fitter) {}

    /**
     * @param volumes one for each column
     * @param now what it holds now: filled, or worked out from the last fill and what came off since
     * @param ratioBefore as first filled; empty while the engine is not known
     */
    public record Row(String chamber, List<String> volumes, String now, String ratioBefore, String ratioNow) {}

    /** Empty where chambers were no part of the visit. */
    public Optional<Chambers> of(PartFile part, LengthWriter writer) {
        ChamberFile file = files.of(part);
        boolean any =
                file.bores().stream().anyMatch(b -> file.latest(b.number()).isPresent());
        return any ? Optional.of(of(file, writer)) : Optional.empty();
    }

    /** What limits leave of the metal, as it stands now. */
    public Budgets budgets(PartFile part) {
        return outlooks.of(files.of(part), WhatIf.NOTHING).budgets();
    }

    private Chambers of(ChamberFile file, LengthWriter writer) {
        List<FillState> states = new ArrayList<>();
        for (FillState s : FillState.values()) {
            if (file.bores().stream().anyMatch(b -> file.filled(b.number(), s).isPresent())) {
                states.add(s);
            }
        }
        Outlook now = outlooks.of(file, WhatIf.NOTHING);
        List<Row> rows = new ArrayList<>();
        for (Layout.Bore b : file.bores()) {
            String name = Integer.toString(b.number());
            Optional<Outlook.Each> each = now.each().stream()
                    .filter(e -> e.chamber().name().equals(name))
                    .findFirst();
            rows.add(new Row(
                    name,
                    states.stream()
                            .map(s -> file.filled(b.number(), s)
                                    .map(f -> Ratios.cc(f.volume().cc())
                                            + (f.volume().settled() ? "" : " (once)"))
                                    .orElse("not filled"))
                            .toList(),
                    each.map(e -> Ratios.cc(e.chamber().nowCc())
                                    + (e.chamber().cutSince() > 1e-9 ? ", worked out" : ""))
                            .orElse(""),
                    before(file, b.number(), states).map(Compression::words).orElse(""),
                    each.flatMap(Outlook.Each::now).map(Compression::words).orElse("")));
        }
        return new Chambers(
                said(file, now, writer),
                states.stream().map(it -> Words.of(it.words())).toList(),
                rows,
                fitter(file, writer));
    }

    /** As it was filled first. */
    private static Optional<Compression> before(ChamberFile file, int cylinder, List<FillState> states) {
        return states.stream()
                .flatMap(s -> file.filled(cylinder, s).stream())
                .findFirst()
                .flatMap(f -> file.book()
                        .cylinder(f.volume().cc(), file.deckOf(cylinder), file.crownOf(cylinder))
                        .map(c -> Compression.now(
                                c, homalon.core.chambers.Doubts.usual(f.volume().plusMinus(), 0))));
    }

    private List<String> said(ChamberFile file, Outlook now, LengthWriter writer) {
        List<String> said = new ArrayList<>();
        said.add("The chambers hold " + Words.of(file.range()) + " as last filled.");
        now.question().bowls().ifPresent(b -> said.add(bowls(b)));
        double cut = outlooks.thisVisit(file);
        if (cut > 0 && now.each().stream().anyMatch(e -> e.now().isPresent())) {
            outlooks.fromTheStart(file).flatMap(Outlook::gasket).ifPresent(g -> said.add(gasket(g, writer)));
        }
        return said;
    }

    private static String bowls(Bowls bowls) {
        String each = bowls.each().stream()
                .map(o -> "no. " + o.name() + " "
                        + (o.cc().isEmpty()
                                ? "not filled"
                                : Ratios.cc(o.cc().getAsDouble()) + ", "
                                        + Words.of(o.margin()
                                                .orElseThrow()
                                                .standing()
                                                .words())))
                .collect(Collectors.joining("; "));
        return "Bowls in the pistons, of which the class asks " + Ratios.cc(bowls.least()) + " at the least: " + each
                + ". One fill is good to ± " + Ratios.exactCc(bowls.open())
                + "; a bowl passes by more than twice that.";
    }

    private static String gasket(GasketAdvice g, LengthWriter writer) {
        return "A gasket " + writer.full(g.restoresRatio())
                + " thicker than before would bring the ratio back to what it was"
                + "; piston to head then comes to " + writer.signed(g.squeezeWithRatio()) + " "
                + writer.unit().label() + " against before.";
    }

    private List<String> fitter(ChamberFile file, LengthWriter writer) {
        try {
            return outlooks.fromTheStart(file)
                    .map(o -> BudgetViews.report(o, writer))
                    .orElse(List.of());
        } catch (BadInputException e) {
            return List.of(Words.of(e.sentence()));
        }
    }
}
