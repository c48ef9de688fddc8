package homalon.app.outcome.report;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.machining.cut.Paintings;
import homalon.app.machining.cut.Plans;
import homalon.core.ledger.Ledger;
import homalon.core.quantity.Length;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.PlanFile;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What was planned and cut, for the record: plans with their set-up, the ledger, and what was left uncut. */
@Component
@RequiredArgsConstructor
class RecordCut {
    private final Plans plans;
    private final Ledgers ledgers;
    private final Paintings paintings;

    record Plan(
            UUID id,
            String setUp,
            BigDecimal toCleanMm,
            BigDecimal atLeastMm,
            List<List<BigDecimal>> supportsMm,
            List<BigDecimal> shimsMm,
            List<BigDecimal> shimLeavesMm,
            List<Pass> passes,
            String by,
            String at) {}

    record Pass(String kind, BigDecimal depthMm) {}

    record LeftUncut(String why, String by, String at) {}

    record Book(String opening, BigDecimal lifeMm, List<BigDecimal> lifeAtCornersMm, List<Line> lines) {}

    record Line(
            long line,
            UUID id,
            int visit,
            String kind,
            BigDecimal depthMm,
            List<BigDecimal> cornersMm,
            UUID batch,
            UUID reverses,
            boolean stands,
            String machine,
            String cutter,
            String edge,
            String note,
            String typed,
            String by,
            String at) {}

    /** What was planned on each visit. */
    Map<UUID, List<PlanFile>> ofVisits(List<UUID> visits) {
        return plans.everyOf(visits).stream().collect(Collectors.groupingBy(PlanFile::visit));
    }

    static Plan of(PlanFile p, Map<UUID, String> names) {
        return new Plan(
                p.id(),
                p.plan().school().name(),
                RecordNumbers.mm(p.plan().toClean()),
                RecordNumbers.mm(p.plan().atLeast()),
                p.plan().footing().supports().stream()
                        .map(s -> List.of(
                                RecordNumbers.mm(Length.roundedFromMm(s.x())),
                                RecordNumbers.mm(Length.roundedFromMm(s.y()))))
                        .toList(),
                p.plan().shims().stream().map(RecordNumbers::mm).toList(),
                p.plan().footing().stock().leaves().stream()
                        .map(RecordNumbers::mm)
                        .toList(),
                p.plan().passes().passes().stream()
                        .map(pass -> new Pass(pass.kind().name(), RecordNumbers.mm(pass.depth())))
                        .toList(),
                names.get(p.by()),
                p.at().toString());
    }

    List<LeftUncut> left(PartFile visit, Map<UUID, String> names) {
        return paintings.everyLeft(visit).stream()
                .map(l -> new LeftUncut(l.why(), names.get(l.by()), l.at().toString()))
                .toList();
    }

    /** The ledger of a casting's whole life. */
    Book book(PartFile part, Map<UUID, Integer> visits, Map<UUID, String> names) {
        return book(part, ledgers.of(part), visits, names);
    }

    private static Book book(PartFile part, LedgerFile file, Map<UUID, Integer> visits, Map<UUID, String> names) {
        Ledger.Totals totals = file.ledger().totals(part.visit().id());
        return new Book(
                totals.opening().name(),
                RecordNumbers.mm(totals.life()),
                file.ledger().corners(part.visit().id()).life().each().stream()
                        .map(RecordNumbers::mm)
                        .toList(),
                file.lines().stream()
                        .map(l -> new Line(
                                l.seq(),
                                l.id(),
                                visits.get(l.visit()),
                                l.kind().name(),
                                RecordNumbers.mm(l.depth()),
                                l.corners()
                                        .map(c -> c.each().stream()
                                                .map(RecordNumbers::mm)
                                                .toList())
                                        .orElse(null),
                                l.batch().orElse(null),
                                l.reverses().orElse(null),
                                l.stands(),
                                l.machine(),
                                l.cutter(),
                                l.edge(),
                                l.note(),
                                l.typed(),
                                names.get(l.by()),
                                l.at().toString()))
                        .toList());
    }
}
