package homalon.app.outcome.report;

import homalon.app.foundation.load.Sha256;
import homalon.core.quantity.BenchUnit;
import homalon.core.visit.PartFile;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;

/** The papers of a visit as they were given: page and print in both units, kept as they are. */
@Component
@RequiredArgsConstructor
class SealedPapers {
    private final ReleasePaperRepository papers;
    private final ReleaseErasedRepository erased;
    private final Reports reports;
    private final ReportPrint prints;
    private final ReportPdf pdf;
    private final ITemplateEngine templates;

    /** Page and print in both units, with the digest of their seal; not kept yet. */
    List<ReleasePaperRow> print(PartFile part, String digest) {
        return List.of(
                page(part, BenchUnit.MM, digest),
                page(part, BenchUnit.THOU, digest),
                print(part, BenchUnit.MM, digest),
                print(part, BenchUnit.THOU, digest));
    }

    void keep(List<ReleasePaperRow> printed) {
        papers.saveAllAndFlush(printed);
    }

    @Transactional(readOnly = true)
    Optional<byte[]> paper(UUID visit, String kind, BenchUnit unit) {
        return papers.findById(new ReleasePaperRow.Key(visit, name(kind, unit))).map(p -> p.content);
    }

    /** When the customer's name went from the papers of a visit. */
    @Transactional(readOnly = true)
    Optional<Instant> erasedAt(UUID visit) {
        return erased.findById(visit).map(e -> e.at);
    }

    static List<String> sums(List<ReleasePaperRow> printed) {
        return printed.stream()
                .map(p -> p.name + " " + Sha256.of(p.content))
                .sorted()
                .toList();
    }

    @Transactional(readOnly = true)
    List<String> sums(UUID visit) {
        Optional<ReleaseErasedRow> gone = erased.findById(visit);
        if (gone.isPresent()) {
            return gone.get().sums.lines().sorted().toList();
        }
        return papers.sums(visit).stream().sorted().toList();
    }

    private ReleasePaperRow page(PartFile part, BenchUnit unit, String digest) {
        Context context = new Context(Locale.ENGLISH);
        context.setVariable("r", reports.of(part, prints.writer(part, unit)).sealed(Releases.grouped(digest)));
        return new ReleasePaperRow(
                part.visit().id(),
                name("page", unit),
                templates.process("outcome/report/sealed", context).getBytes(StandardCharsets.UTF_8));
    }

    private ReleasePaperRow print(PartFile part, BenchUnit unit, String digest) {
        return new ReleasePaperRow(
                part.visit().id(),
                name("pdf", unit),
                pdf.print(reports.of(part, prints.writer(part, unit)).sealed(Releases.grouped(digest))));
    }

    private static String name(String kind, BenchUnit unit) {
        return kind + "-" + unit.name().toLowerCase(Locale.ROOT);
    }
}
