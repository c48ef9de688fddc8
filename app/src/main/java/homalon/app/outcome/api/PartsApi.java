package homalon.app.outcome.api;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.PartFinder;
import homalon.app.casting.part.PartShells;
import homalon.app.casting.part.Parts;
import homalon.app.check.face.Surveys;
import homalon.app.foundation.opened.ToPrograms;
import homalon.app.foundation.words.Words;
import homalon.core.input.Problems;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Route;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.Wanted;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Parts, their surveys and ledgers, read page by page. Lengths are exact decimals in millimetres, times ISO 8601 in UTC. */
@ToPrograms
@RestController
@RequestMapping(path = "/api/v1/parts", produces = MediaType.APPLICATION_JSON_VALUE)
@Tag(name = "Parts")
@RequiredArgsConstructor
class PartsApi {
    private static final int MOST = 100;

    private final Parts parts;
    private final PartFinder finder;
    private final PartShells shells;
    private final Surveys surveys;
    private final Ledgers ledgers;

    @Schema(name = "Paged", description = "total counts all there are")
    record Paged<T>(int page, int size, long total, List<T> items) {}

    @Schema(name = "PartSummary")
    record Summary(
            String tag,
            String kind,
            String engine,
            String customer,
            String material,
            int visits,
            boolean inTheShop,
            String openedAt) {}

    @Schema(name = "RouteStep")
    record Stop(String operation, String state, List<String> because) {}

    @Schema(
            name = "PartDetail",
            description = "route: what is done, due and to come on the present visit, each after what comes before it")
    record Detail(
            Summary part,
            String history,
            String wishes,
            BigDecimal removedNowMm,
            BigDecimal removedInLifeMm,
            List<Stop> route) {}

    @Schema(name = "SurveyReading")
    record Reading(String place, double x, double y, boolean seals, BigDecimal heightMm, String typed, String at) {}

    @Schema(name = "SurveyOfPart", description = "readings that stand; a place that was skipped has no height")
    record Survey(String kind, int visit, BigDecimal uncertaintyMm, boolean complete, List<Reading> readings) {}

    @Schema(name = "LedgerLine", description = "stands is false once a line was taken back by a later one")
    record Line(
            long seq,
            String kind,
            BigDecimal depthMm,
            String machine,
            String cutter,
            String note,
            String at,
            boolean stands) {}

    @Operation(
            summary = "All parts, the youngest first",
            description =
                    "q finds in tag, engine, customer, casting number and stamps, a bore such as 96 mm, when it came or left such as 2026-03, where it is such as late; all of it must fit; size 1 to 100")
    @GetMapping
    Paged<Summary> list(
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "0") int page,
            @RequestParam(defaultValue = "20") int size) {
        check(page, size);
        PartFinder.Found found = finder.page(Wanted.read(q, BenchUnit.MM), page, size);
        return new Paged<>(
                page,
                size,
                found.total(),
                found.parts().stream().map(PartsApi::summary).toList());
    }

    @Operation(summary = "One part: where it stands, and what came off it")
    @GetMapping("/{tag}")
    Detail one(@PathVariable String tag) {
        PartFile part = parts.byTag(tag);
        var totals = ledgers.of(part).ledger().totals(part.visit().id());
        Route route = shells.standing(part, new LengthWriter(BenchUnit.MM)).route();
        return new Detail(
                summary(part),
                part.visit().history(),
                part.visit().wishes(),
                mm(totals.thisJob().nanometres()),
                mm(totals.life().nanometres()),
                route.steps().stream()
                        .map(s -> new Stop(s.operation().name(), s.state().name(), Words.of(s.because())))
                        .toList());
    }

    @Operation(summary = "Surveys of a part over all its visits, place by place")
    @GetMapping("/{tag}/surveys")
    Paged<Survey> surveys(
            @PathVariable String tag,
            @RequestParam(defaultValue = "0") int page,
            @RequestParam(defaultValue = "20") int size) {
        check(page, size);
        List<PartFile> visits = parts.everyVisit(parts.byTag(tag));
        Map<UUID, Integer> numbers = visits.stream()
                .collect(Collectors.toMap(p -> p.visit().id(), p -> p.visit().no()));
        List<SurveyFile> all =
                surveys.ofVisits(visits.stream().map(p -> p.visit().id()).toList());
        return paged(all.stream().map(s -> survey(s, numbers.get(s.visit()))).toList(), page, size);
    }

    @Operation(summary = "The ledger of a part: every line ever written, the oldest first")
    @GetMapping("/{tag}/ledger")
    Paged<Line> ledger(
            @PathVariable String tag,
            @RequestParam(defaultValue = "0") int page,
            @RequestParam(defaultValue = "20") int size) {
        check(page, size);
        LedgerFile ledger = ledgers.of(parts.byTag(tag));
        return paged(
                ledger.lines().stream()
                        .map(l -> new Line(
                                l.seq(),
                                l.kind().name(),
                                mm(l.depth().nanometres()),
                                l.machine(),
                                l.cutter(),
                                l.note(),
                                l.at().toString(),
                                l.stands()))
                        .toList(),
                page,
                size);
    }

    private static Summary summary(PartFile p) {
        return new Summary(
                p.tag(),
                p.kind().name(),
                p.name(),
                p.customer(),
                p.material().name(),
                p.visits(),
                p.visit().releasedAt().isEmpty(),
                p.visit().openedAt().toString());
    }

    private static Survey survey(SurveyFile s, int visit) {
        List<Reading> readings = s.places().stream()
                .filter(p -> p.reading().isPresent())
                .map(p -> new Reading(
                        p.name(),
                        p.spot().x(),
                        p.spot().y(),
                        p.sealing(),
                        p.reading().get().value().map(v -> mm(v.nanometres())).orElse(null),
                        p.reading().get().typed(),
                        p.reading().get().at().toString()))
                .toList();
        return new Survey(s.kind().name(), visit, mm(s.uncertainty().nanometres()), s.complete(), readings);
    }

    private static BigDecimal mm(long nanometres) {
        return BigDecimal.valueOf(nanometres, 6).stripTrailingZeros();
    }

    private static <T> Paged<T> paged(List<T> all, int page, int size) {
        int from = (int) Math.min(all.size(), (long) page * size);
        return new Paged<>(page, size, all.size(), all.subList(from, Math.min(all.size(), from + size)));
    }

    private static void check(int page, int size) {
        Problems problems = new Problems();
        problems.require(page >= 0 && page <= 100_000, "page", "app.api.page-counts-from-0");
        problems.require(size >= 1 && size <= MOST, "size", "app.api.size-must-lie-between-1-and", MOST);
        problems.throwIfAny();
    }
}
