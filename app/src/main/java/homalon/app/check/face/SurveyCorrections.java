package homalon.app.check.face;

import homalon.app.foundation.store.EvidenceLog;
import homalon.core.catalogue.Metal;
import homalon.core.gauge.Corrections;
import homalon.core.gauge.InstrumentKind;
import homalon.core.gauge.Scale;
import homalon.core.gauge.Warmth;
import homalon.core.input.BadInputException;
import homalon.core.quantity.Length;
import homalon.core.rulebook.Soak;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import java.math.BigDecimal;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What is taken off the readings of surveys: for the angle of the indicator, and for warmth. */
@Component
@RequiredArgsConstructor
class SurveyCorrections {
    private final AngleRepository angles;
    private final WarmthRepository warmths;
    private final SurveyRepository surveys;
    private final EvidenceLog log;

    /** By survey; those of which nothing is taken off are not in it. */
    @Transactional(readOnly = true)
    public Map<UUID, Corrections> of(Collection<UUID> ids) {
        Map<UUID, Corrections> all = new HashMap<>();
        angles.findBySurveyInOrderBySeq(ids)
                .forEach(a -> all.put(a.survey(), new Corrections(a.degrees(), Optional.empty(), Optional.empty())));
        warmths.findBySurveyInOrderBySeq(ids)
                .forEach(w -> all.put(
                        w.survey(),
                        new Corrections(
                                all.getOrDefault(w.survey(), Corrections.NONE).angle(), w.warmth(), w.scale())));
        return all;
    }

    /**
     * From now on the indicator is known to stand at that angle, all of the survey long.
     *
     * @throws BadInputException for an angle at which no indicator stands
     */
    void stands(SurveyFile survey, double degrees, UUID by) {
        Corrections known = new Corrections(degrees, Optional.empty(), Optional.empty());
        if (known.angle() != survey.with().corrections().angle()) {
            log.add(new AngleRow(survey.id(), indicator(survey), known.angle(), by));
            surveys.changed(survey.id());
        }
    }

    /** The angle at which the indicator in hand was last said to stand, on this survey or another. */
    @Transactional(readOnly = true)
    public double proposed(SurveyFile survey) {
        double own = survey.with().corrections().angle();
        String code = indicator(survey);
        return own > 0 || code.isEmpty()
                ? own
                : angles.findFirstByCodeOrderBySeqDesc(code)
                        .map(AngleRow::degrees)
                        .orElse(0.0);
    }

    private static String indicator(SurveyFile survey) {
        return survey.with().instruments().stream()
                .filter(i -> i.kind() == InstrumentKind.INDICATOR)
                .reduce((a, b) -> b)
                .map(i -> i.code())
                .orElse("");
    }

    /**
     * Temperatures as they were keyed. A thickness is brought to 20 degrees by those of part and room, which its micrometer has; a face is
     * straightened by those of its two sides.
     *
     * @param back of the other side; empty where it was not taken
     * @param height of the casting; wanted with it
     */
    void warm(
            PartFile part, SurveyFile survey, Soak soak, Optional<BigDecimal> back, Optional<Length> height, UUID by) {
        double expansion = Metal.of(part.material()).alpha() * 1e-6;
        double here = soak.part().doubleValue();
        if (!survey.kind().ofHeights()) {
            log.add(WarmthRow.of(survey.id(), new Scale(here, soak.room().doubleValue(), expansion), by));
        } else if (back.isPresent()) {
            Length high =
                    height.orElseThrow(() -> new BadInputException("height", "gauge.height-of-the-casting-from-to"));
            log.add(WarmthRow.of(survey.id(), new Warmth(here, back.get().doubleValue(), high.mm(), expansion), by));
        } else if (survey.with().corrections().warmth().isPresent()) {
            log.add(WarmthRow.putAway(survey.id(), here, expansion, by));
        }
    }
}
