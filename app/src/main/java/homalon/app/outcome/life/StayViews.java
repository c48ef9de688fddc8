package homalon.app.outcome.life;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.Faces;
import homalon.app.casting.work.WorkEntry;
import homalon.app.check.face.FaceViews;
import homalon.app.check.face.Findings;
import homalon.app.foundation.time.WrittenDay;
import homalon.app.foundation.words.Words;
import homalon.app.shop.stock.Orders;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Operation;
import homalon.core.visit.FaceFinding;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Puts what was written on one visit into words. */
@Component
@RequiredArgsConstructor
class StayViews {
    private final Findings findings;
    private final Ledgers ledgers;
    private final Faces faces;
    private final FaceViews views;
    private final Orders orders;

    /** Parts that came for each visit, in words. */
    Map<UUID, List<String>> fitted(List<UUID> visits) {
        return orders.ofVisits(visits).entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey,
                        e -> e.getValue().stream()
                                .filter(o -> o.arrived() > 0)
                                .map(o -> o.arrived() + " × " + (o.code() + " " + o.words()).strip() + ", for "
                                        + Words.of(o.operation().words()))
                                .toList()));
    }

    /** The faces read on a visit: as it came, then after the cut. */
    List<ReadFace> read(PartFile visit, List<SurveyFile> surveysOfVisit) {
        List<ReadFace> own = new ArrayList<>();
        for (SurveyKind kind : List.of(SurveyKind.FACE, SurveyKind.PROOF)) {
            surveysOfVisit.stream()
                    .filter(s -> s.kind() == kind && s.read() > 0)
                    .findFirst()
                    .flatMap(s -> findings.of(visit, s))
                    .ifPresent(f -> own.add(new ReadFace(visit, kind, f)));
        }
        return own;
    }

    LifeView.Stay of(
            PartFile visit,
            List<ReadFace> own,
            List<WorkEntry> log,
            List<String> fitted,
            Map<UUID, String> names,
            LengthWriter writer) {
        PartFile.Visit v = visit.visit();
        Length off = ledgers.of(visit).ledger().totals(v.id()).thisJob();
        return new LifeView.Stay(
                v.no(),
                v.releasedAt().isEmpty(),
                WrittenDay.of(v.openedAt(), writer.days())
                        + v.releasedAt()
                                .map(at -> " to " + WrittenDay.of(at, writer.days()))
                                .orElse(", here now"),
                v.wishes(),
                face(own, SurveyKind.FACE, writer),
                face(own, SurveyKind.PROOF, writer),
                off.signum() == 0 ? "Nothing came off its face." : writer.full(off) + " came off its face.",
                fitted,
                done(log),
                leftOut(log, names),
                v.releasedNote());
    }

    private Optional<LifeView.Face> face(List<ReadFace> own, SurveyKind kind, LengthWriter writer) {
        return own.stream().filter(r -> r.kind() == kind).findFirst().map(r -> {
            FaceFinding finding = r.finding();
            FaceViews.Figures figures =
                    FaceViews.figures(finding, faces.layout(r.visit().numbers()), writer.unit());
            String title = kind == SurveyKind.FACE ? "On arrival" : "After the cut";
            String name = "stay-" + r.visit().visit().no() + "-" + kind.path();
            return new LifeView.Face(
                    title,
                    figures.headline().words(),
                    figures.headline().sentence(),
                    figures.headline().style(),
                    views.glance(r.visit(), Optional.of(finding), name, title, writer.unit()));
        });
    }

    private static List<String> done(List<WorkEntry> log) {
        return log.stream()
                .filter(e -> e.kind() == WorkEntry.Kind.DID)
                .map(e -> Words.of(Operation.valueOf(e.what()).words())
                        + (e.note().isEmpty() ? "" : ", " + e.note()))
                .distinct()
                .toList();
    }

    private static List<String> leftOut(List<WorkEntry> log, Map<UUID, String> names) {
        return log.stream()
                .filter(e -> e.kind() == WorkEntry.Kind.WAIVED)
                .map(e -> Words.of(Operation.valueOf(e.what()).words()) + ": " + e.note() + ", signed for by "
                        + names.getOrDefault(e.by(), "someone"))
                .toList();
    }
}
