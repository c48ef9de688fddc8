package homalon.core.visit;

import homalon.core.ledger.Entry;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.ShopRules;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** Castings for the tests of what is known of one. */
final class Castings {
    static final UUID VISIT = new UUID(7, 2);

    private Castings() {}

    static PartFile of(PartKind kind, int cylinders) {
        return of(kind, cylinders, Optional.empty(), "", "");
    }

    static PartFile of(PartKind kind, int cylinders, Optional<CameWith> came, String history, String wishes) {
        return new PartFile(
                new UUID(7, 1),
                "T-0001",
                kind,
                "four-cylinder",
                "Tern Island Ferries",
                Material.ALUMINIUM,
                "",
                "",
                LayoutNumbers.proposed(kind, cylinders, Length.ofMm("87"), Length.ofMm("98")),
                List.of(),
                new PartFile.Visit(
                        VISIT,
                        1,
                        history,
                        came,
                        wishes,
                        "",
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        List.of(),
                        Optional.empty(),
                        new UUID(1, 1),
                        SheetHand.START,
                        Optional.empty(),
                        Optional.empty(),
                        ""),
                1,
                0,
                ShopRules.of(BenchUnit.MM));
    }

    /** A line of the ledger, so many minutes after the first. */
    static LedgerFile.Line line(
            int minute, UUID id, Entry.Kind kind, Length depth, Optional<UUID> reverses, boolean stands) {
        return new LedgerFile.Line(
                minute,
                id,
                VISIT,
                kind,
                depth,
                reverses,
                Optional.empty(),
                Optional.empty(),
                "",
                "",
                "",
                "",
                "",
                new UUID(1, 1),
                SheetHand.START.plusSeconds(60L * minute),
                stands);
    }

    /** The same under other rules of its shop. */
    static PartFile by(PartFile part, ShopRules rules) {
        return new PartFile(
                part.id(),
                part.tag(),
                part.kind(),
                part.name(),
                part.customer(),
                part.material(),
                part.castingNumber(),
                part.stamps(),
                part.numbers(),
                part.entered(),
                part.visit(),
                part.visits(),
                part.version(),
                rules);
    }
}
