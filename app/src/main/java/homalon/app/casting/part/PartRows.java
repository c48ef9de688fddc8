package homalon.app.casting.part;

import homalon.app.foundation.settings.ShopSettings;
import homalon.core.geometry.Spot;
import homalon.core.part.InkedLine;
import homalon.core.part.SealingBands;
import homalon.core.quantity.Length;
import homalon.core.rulebook.ShopRules;
import homalon.core.visit.CameWith;
import homalon.core.visit.PartFile;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Castings as the core knows them, from their rows. */
final class PartRows {
    private PartRows() {}

    /** @param visits of the casting, the first visit first; the last one is the present */
    static PartFile file(Part p, List<Job> visits, List<LimitRow> entered, ShopSettings.History settings) {
        Job present = visits.get(visits.size() - 1);
        return new PartFile(
                p.id,
                p.tag,
                p.kind,
                p.name,
                p.customer,
                p.material,
                p.castingNumber,
                p.stamps,
                p.numbers(),
                entered.stream().map(LimitRow::limit).toList(),
                visit(present),
                visits.size(),
                p.version,
                rules(present, settings));
    }

    private static ShopRules rules(Job visit, ShopSettings.History settings) {
        ShopRules rules = visit.releasedAt == null ? settings.now() : settings.at(visit.releasedAt);
        return rules.asBefore(
                new ShopRules.Before(visit.byCover, visit.byBlades, visit.byFigures, visit.byScan, visit.byStiffEdge));
    }

    private static PartFile.Visit visit(Job j) {
        return new PartFile.Visit(
                j.id,
                j.no,
                j.history,
                Optional.ofNullable(j.happened).map(h -> CameWith.kept(h, j.shafts)),
                j.wishes,
                j.gasket,
                Optional.ofNullable(j.gasketKind),
                Optional.ofNullable(j.sealRing)
                        .map(ring -> new SealingBands(
                                Length.ofNanometres(ring),
                                Length.ofNanometres(j.sealBead),
                                Optional.ofNullable(j.sealOpening).map(Length::ofNanometres),
                                Optional.ofNullable(j.sealInk).map(PartRows::line))),
                Optional.ofNullable(j.due),
                Optional.ofNullable(j.promised),
                j.goesWith == null ? List.of() : List.of(j.goesWith.split("\n")),
                Optional.ofNullable(j.stuckOn).map(on -> new PartFile.Stuck(on, j.stuckWhy, j.stuckSince)),
                j.openedBy,
                j.openedAt,
                Optional.ofNullable(j.releasedBy),
                Optional.ofNullable(j.releasedAt),
                j.releasedNote);
    }

    private static InkedLine line(long[] nanometres) {
        List<Spot> points = new ArrayList<>();
        for (int i = 0; i < nanometres.length; i += 2) {
            points.add(new Spot(
                    Length.ofNanometres(nanometres[i]).mm(),
                    Length.ofNanometres(nanometres[i + 1]).mm()));
        }
        return new InkedLine(points);
    }
}
