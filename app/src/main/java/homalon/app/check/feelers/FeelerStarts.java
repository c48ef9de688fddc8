package homalon.app.check.feelers;

import homalon.app.check.face.FaceModels;
import homalon.app.shop.tools.Toolbox;
import homalon.core.face.FeelerProposal;
import homalon.core.face.FeelerSurvey;
import homalon.core.gauge.InstrumentKind;
import homalon.core.part.Layout;
import homalon.core.quantity.BenchUnit;
import homalon.core.visit.Asked;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.FeelerKind;
import homalon.core.visit.FeelerWay;
import homalon.core.visit.PartFile;
import java.time.Clock;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Begins a face with straightedge and feelers: the lines and places that are proposed for it. */
@Service
@Transactional
@RequiredArgsConstructor
public class FeelerStarts {
    private final FeelerSurveys said;
    private final FeelerSurveyRepository surveys;
    private final FeelerLineRepository lines;
    private final FeelerPlaceRepository places;
    private final FaceModels models;
    private final Toolbox toolbox;
    private final Clock clock;

    /** The same with what is in hand, by code. */
    public void start(
            PartFile part,
            FeelerKind kind,
            FeelerSurvey.Kind limitKind,
            FeelerWay way,
            BenchUnit unit,
            Map<InstrumentKind, String> inHand,
            UUID by) {
        if (said.find(part, kind).isPresent()) {
            return;
        }
        start(part, kind, limitKind, way, unit, by);
        inHand.forEach((instrument, code) -> said.take(part, kind, instrument, code, by));
    }

    public FeelerFile start(
            PartFile part, FeelerKind kind, FeelerSurvey.Kind limitKind, FeelerWay way, BenchUnit unit, UUID by) {
        part.requireHere("survey", "to measure it");
        Optional<FeelerFile> begun = said.find(part, kind);
        if (begun.isPresent()) {
            return begun.get();
        }
        FeelerSurveyRow row = new FeelerSurveyRow();
        row.jobId = part.visit().id();
        row.kind = kind;
        row.limitKind = limitKind;
        row.way = way;
        row.blades = toolbox.blades(unit).blades().stream()
                .map(b -> Long.toString(b.nanometres()))
                .collect(Collectors.joining(" "));
        row.startedBy = by;
        row.startedAt = clock.instant();
        surveys.save(row);
        models.begin(part, kind.survey(), by);
        int seq = 0;
        for (FeelerProposal.Line line : FeelerProposal.of(Layout.of(part.numbers()))) {
            FeelerLineRow laid = lines.save(new FeelerLineRow(row.id, ++seq, line.name(), line.from(), line.to()));
            int n = 0;
            places.save(new FeelerPlaceRow(laid.id, ++n, Asked.REST, null));
            for (double at : line.places()) {
                places.save(new FeelerPlaceRow(laid.id, ++n, Asked.STATION, (int) Math.round(at * 1e6)));
            }
            places.save(new FeelerPlaceRow(laid.id, ++n, Asked.ENDS, null));
        }
        return said.find(part, kind).orElseThrow();
    }
}
