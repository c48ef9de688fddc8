package homalon.app.check.feelers;

import homalon.app.foundation.memory.Memory;
import homalon.app.foundation.memory.Question;
import homalon.app.foundation.store.EvidenceLog;
import homalon.app.shop.instruments.Hands;
import homalon.core.face.FeelerLine.Rest;
import homalon.core.face.Gap;
import homalon.core.gauge.InUse;
import homalon.core.quantity.Length;
import homalon.core.rulebook.BladeSet;
import homalon.core.rulebook.RuleBook;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.FeelerFile.LineFile;
import homalon.core.visit.FeelerFile.PlaceFile;
import homalon.core.visit.FeelerFile.TryFile;
import homalon.core.visit.FeelerSaid;
import homalon.core.visit.ReadWith;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Puts a feeler survey together from its rows, once for each revision. */
@Component
@RequiredArgsConstructor
class FeelerFiles {
    private final FeelerLineRepository lines;
    private final FeelerPlaceRepository places;
    private final FeelerTryRepository tries;
    private final Hands hands;
    private final Memory memory;

    private record Survey(UUID id) implements Question<FeelerFile> {}

    FeelerFile of(FeelerSurveyRow row) {
        return memory.at(new Survey(row.id), row.revision, () -> read(row));
    }

    private FeelerFile read(FeelerSurveyRow row) {
        List<FeelerLineRow> laid = lines.findBySurveyIdInOrderBySeq(List.of(row.id));
        List<FeelerPlaceRow> asked =
                places.findByLineIdInOrderBySeq(laid.stream().map(l -> l.id).toList());
        List<FeelerTryRow> said =
                tries.findByPlaceInOrderBySeq(asked.stream().map(p -> p.id).toList());
        List<FeelerTryRow> standing = EvidenceLog.standing(said);
        Map<UUID, List<FeelerTryRow>> byPlace = standing.stream().collect(Collectors.groupingBy(FeelerTryRow::place));
        Set<FeelerTryRow> counts = Set.copyOf(standing);
        Map<UUID, List<FeelerPlaceRow>> byLine = asked.stream().collect(Collectors.groupingBy(p -> p.lineId));
        List<LineFile> files = new ArrayList<>();
        for (FeelerLineRow l : laid) {
            List<PlaceFile> of = byLine.getOrDefault(l.id, List.of()).stream()
                    .map(p -> place(p, byPlace.getOrDefault(p.id, List.of())))
                    .toList();
            files.add(new LineFile(l.id, l.name, l.from(), l.to(), of));
        }
        List<TryFile> history = said.stream()
                .map(t -> t.file(counts.contains(t)))
                .sorted(Comparator.comparingLong(TryFile::seq))
                .toList();
        return new FeelerFile(
                row.id,
                row.jobId,
                row.kind,
                row.limitKind,
                row.way,
                new BladeSet(Arrays.stream(row.blades.split(" "))
                        .map(nm -> Length.ofNanometres(Long.parseLong(nm)))
                        .toList()),
                row.startedBy,
                row.startedAt,
                List.copyOf(files),
                history,
                inHand(row, standing),
                row.revision);
    }

    private List<InUse> inHand(FeelerSurveyRow row, List<FeelerTryRow> standing) {
        List<ReadWith.Taken> taken =
                hands.taken(List.of(row.jobId)).getOrDefault(new Hands.Step(row.jobId, row.kind.path()), List.of());
        return ReadWith.of(
                        RuleBook.DEFAULT_UNCERTAINTY,
                        taken,
                        standing.stream().map(FeelerTryRow::at).toList(),
                        Optional.empty())
                .instruments();
    }

    /** Replays what was said at one place. */
    private static PlaceFile place(FeelerPlaceRow row, List<FeelerTryRow> said) {
        Gap gap = Gap.UNTRIED;
        Rest rest = Rest.NOT_NOTED;
        boolean skipped = false;
        FeelerTryRow last = null;
        for (FeelerTryRow t : said) {
            last = t;
            skipped = t.said() == FeelerSaid.SKIPPED;
            switch (t.said()) {
                case GOES -> gap = gap.went(t.goes().orElseThrow());
                case REFUSES -> gap = gap.refused(t.refuses().orElseThrow());
                case FOUND -> gap = new Gap(t.goes(), t.refuses());
                case ROCKS -> rest = Rest.ROCKS;
                case SITS -> rest = Rest.SITS_STILL;
                default -> {}
            }
        }
        return new PlaceFile(
                row.id,
                row.kind,
                row.at == null ? 0 : row.at / 1e6,
                gap,
                rest,
                skipped,
                last == null ? 0 : last.seq(),
                Optional.ofNullable(last).map(FeelerTryRow::by));
    }
}
