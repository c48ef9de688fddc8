package homalon.app.outcome.life;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.foundation.words.Words;
import homalon.app.machining.chambers.ChamberReport;
import homalon.core.cut.Budgets;
import homalon.core.ledger.MetalOff;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.PartFile;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** The metal of a face as a bar: what came off, visit by visit, and what the limits leave. */
@Component
@RequiredArgsConstructor
class MetalViews {
    private final Ledgers ledgers;
    private final ChamberReport chambers;

    /** @param visits of the casting, the first one first */
    LifeView.Metal of(PartFile part, List<UUID> visits, LengthWriter writer) {
        MetalOff off = MetalOff.of(ledgers.of(part).ledger(), visits);
        Budgets budgets = chambers.budgets(part);
        OptionalDouble more = budgets.mayComeOff();
        double left = Math.max(0, more.orElse(0));
        double whole = Math.max(off.life().mm() + left, 1e-6);
        Bar bar = new Bar(whole, writer);
        bar.add("before it came here", off.before(), LifeView.Kind.BEFORE);
        for (int i = 0; i < off.visits().size(); i++) {
            bar.add("visit " + (i + 1), off.visits().get(i), LifeView.Kind.VISIT);
        }
        bar.add("may still come off", Length.roundedFromMm(left), LifeView.Kind.LEFT);
        return new LifeView.Metal(bar.parts, said(off, budgets, writer));
    }

    /** Puts one part after the other. */
    private static final class Bar {
        private final double whole;
        private final LengthWriter writer;
        private final List<LifeView.Part> parts = new ArrayList<>();
        private double from;

        Bar(double whole, LengthWriter writer) {
            this.whole = whole;
            this.writer = writer;
        }

        void add(String name, Length length, LifeView.Kind kind) {
            if (length.signum() > 0) {
                double share = 1000 * length.mm() / whole;
                parts.add(new LifeView.Part(name, writer.full(length), from, share, kind));
                from += share;
            }
        }
    }

    private static List<String> said(MetalOff off, Budgets budgets, LengthWriter writer) {
        List<String> said = new ArrayList<>();
        String life = writer.full(off.life()) + " came off in its life";
        said.add(
                switch (off.opening()) {
                    case KNOWN -> life + ".";
                    case ESTIMATED -> "About " + life + ": what came off before is a guess.";
                    case UNKNOWN -> "At least " + life + ": nobody knows what came off before.";
                    case NOT_ASKED -> "At least " + life + ": what came off before was not entered.";
                });
        OptionalDouble more = budgets.mayComeOff();
        if (more.isEmpty()) {
            said.add(
                    "What may still come off is not known: no limit that can be held against a figure is entered. Key the"
                            + " least thickness, or the most in its life, under Engine figures on Budget.");
            return said;
        }
        budgets.binding()
                .ifPresent(b -> said.add(
                        more.getAsDouble() <= 0
                                ? "Nothing more may come off: "
                                        + Words.of(b.kind().words()) + " ends it ("
                                        + Words.of(b.source().words()) + ")."
                                : writer.full(more.getAsDouble()) + " may still come off; "
                                        + Words.of(b.kind().words()) + " ends it ("
                                        + Words.of(b.source().words()) + ")."));
        if (!budgets.notMeasured().isEmpty()) {
            said.add("Limits whose figure was not measured may leave less.");
        }
        return said;
    }
}
