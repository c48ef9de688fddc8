package homalon.app.outcome.report;

import homalon.app.check.face.FaceView;
import homalon.app.check.face.FaceViews;
import homalon.app.check.face.Findings;
import homalon.app.check.face.ReadWithView;
import homalon.app.check.face.Surveys;
import homalon.app.check.face.ThicknessViews;
import homalon.app.check.feelers.FeelerSurveys;
import homalon.app.check.feelers.FeelerView;
import homalon.app.check.feelers.FeelerViews;
import homalon.app.foundation.people.People;
import homalon.app.foundation.time.WrittenDay;
import homalon.app.foundation.words.Words;
import homalon.core.face.LimitVerdict;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.sure.Odds;
import homalon.core.verdict.Verdict;
import homalon.core.visit.FaceFinding;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.FeelerKind;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What the report says of the face: its readings and maps, blades, thicknesses, and whether it holds. */
@Component
@RequiredArgsConstructor
class FaceReport {
    private final Surveys surveys;
    private final Findings findings;
    private final FaceViews views;
    private final ThicknessViews thicknesses;
    private final FeelerSurveys feelers;
    private final FeelerViews feelerViews;
    private final People people;

    /** As it came and as it left, each with its map; what was not read is not there. */
    List<ReportView.Face> faces(PartFile part, LengthWriter writer) {
        List<ReportView.Face> faces = new ArrayList<>();
        read(part, SurveyKind.FACE).ifPresent(s -> faces.add(face("The face on arrival", part, s, writer)));
        read(part, SurveyKind.PROOF).ifPresent(s -> faces.add(face("The face after the cut", part, s, writer)));
        return faces;
    }

    List<ReportView.Felt> felt(PartFile part, LengthWriter writer) {
        List<ReportView.Felt> felt = new ArrayList<>();
        for (FeelerKind kind : FeelerKind.values()) {
            feelers.find(part, kind).filter(FeelerFile::begun).ifPresent(s -> felt.add(felt(part, s, writer)));
        }
        return felt;
    }

    /** The thicknesses that were read last. */
    List<FaceView.Row> thicknesses(PartFile part, LengthWriter writer) {
        return read(part, SurveyKind.THICKNESS_AFTER)
                .or(() -> read(part, SurveyKind.THICKNESS))
                .map(t -> views.of(part, t, writer).rows())
                .orElse(List.of());
    }

    Optional<String> thicknessSentence(PartFile part, LengthWriter writer) {
        return thicknesses.sentence(part, writer);
    }

    String asItCame(PartFile part, List<ReportView.Felt> felt, LengthWriter writer) {
        return finding(part, SurveyKind.FACE)
                .map(f -> "On arrival, the face read " + verdict(f, writer) + " " + Words.of(f.shape())
                        + marks(part, SurveyKind.FACE, writer))
                .orElse(
                        felt.isEmpty()
                                ? "The face was not measured on arrival."
                                : "The face was not read with an indicator on arrival.");
    }

    /** What was read after the cut; empty where nothing was cut and nothing read. */
    Optional<String> afterTheCut(PartFile part, boolean cut, LengthWriter writer) {
        if (!cut && read(part, SurveyKind.PROOF).isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(finding(part, SurveyKind.PROOF)
                .map(f ->
                        "Read again after the cut, it is " + verdict(f, writer) + marks(part, SurveyKind.PROOF, writer))
                .orElse("It was not read again after the cut: what it is now is not proven."));
    }

    /** What is said of an instrument that was not to be relied on stands beside the verdict that rests on it. */
    private String marks(PartFile part, SurveyKind kind, LengthWriter writer) {
        return read(part, kind).map(s -> ReadWithView.marks(s.with(), writer)).orElse(List.of()).stream()
                .map(m -> " " + m)
                .collect(Collectors.joining());
    }

    private Optional<FaceFinding> finding(PartFile part, SurveyKind kind) {
        return read(part, kind).flatMap(s -> findings.of(part, s));
    }

    private Optional<SurveyFile> read(PartFile part, SurveyKind kind) {
        return surveys.find(part, kind).filter(s -> s.read() > 0);
    }

    private ReportView.Face face(String title, PartFile part, SurveyFile survey, LengthWriter writer) {
        Map<UUID, String> names = people.names();
        Instant last = survey.history().get(survey.history().size() - 1).at();
        String when = "Read " + WrittenDay.of(last, writer.days()) + " by "
                + names.getOrDefault(survey.startedBy(), "someone") + ", " + survey.read()
                + " places, " + ReadWithView.told(survey.with(), writer);
        String name = "glance-" + survey.kind().path();
        return new ReportView.Face(
                title,
                when,
                views.of(part, survey, writer),
                views.glance(part, findings.of(part, survey), name, title, writer.unit()),
                places(survey, names, writer));
    }

    private static List<ReportView.Place> places(SurveyFile survey, Map<UUID, String> names, LengthWriter writer) {
        return survey.places().stream()
                .map(p -> new ReportView.Place(
                        p.name() + (p.sealing() ? "" : " (does not seal)"),
                        p.isRead() ? writer.signed(p.value()) : p.isSkipped() ? "skipped" : "not read",
                        p.reading().map(r -> names.getOrDefault(r.by(), "")).orElse("")))
                .toList();
    }

    private ReportView.Felt felt(PartFile part, FeelerFile survey, LengthWriter writer) {
        FeelerView view = feelerViews.of(part, survey, writer.unit());
        Instant last = survey.history().get(survey.history().size() - 1).at();
        String when = "Tried " + WrittenDay.of(last, writer.days()) + " by "
                + people.names().getOrDefault(survey.startedBy(), "someone") + "; thinnest blade "
                + writer.full(survey.blades().thinnest())
                + survey.instruments().stream()
                        .map(i -> ", " + i.code() + " " + i.name())
                        .collect(Collectors.joining());
        return new ReportView.Felt(Words.of(survey.kind().words()), when, view);
    }

    /** {@code 0.062 flat, out of the limit of 0.050 (maker's book).} Each figure stands beside the limit that it was held against. */
    private static String verdict(FaceFinding finding, LengthWriter writer) {
        LimitVerdict worst = finding.judgement().limits().stream()
                .filter(l -> l.verdict() == finding.judgement().worst())
                .findFirst()
                .orElseThrow();
        boolean whole = worst.limit().scope() == FlatnessLimit.Scope.OVERALL
                || worst.value().isEmpty();
        double zone = finding.judgement().flatness().minimumZone().zone();
        String where = worst.limit()
                .window()
                .map(w -> " in any " + writer.size(w))
                .orElse(
                        switch (worst.limit().scope()) {
                            case ALONG -> " along";
                            case ACROSS -> " across";
                            case BORE -> " around a bore";
                            case OVERALL, WINDOW -> "";
                        });
        boolean within = finding.judgement().worst() == Verdict.WITHIN;
        String figure = within || whole
                ? writer.full(zone) + " flat"
                : writer.full(worst.value().getAsDouble()) + " flat" + where + " (" + writer.full(zone) + " over all)";
        String limit = writer.full(worst.limit().most()) + where + " ("
                + Words.of(worst.limit().source().words()) + ")";
        return figure
                + switch (finding.judgement().worst()) {
                    case WITHIN ->
                        ", within every limit of flatness set for it"
                                + finding.sureness()
                                        .map(s -> "; that it is out between the places read: "
                                                + Words.of(Odds.of(s.any(), s.drawn())))
                                        .orElse("")
                                + ".";
                    case OUT -> ", out of the limit of " + limit + ".";
                    case NOT_PROVEN -> ", not proven against the limit of " + limit + ". " + Words.of(worst.why());
                };
    }
}
