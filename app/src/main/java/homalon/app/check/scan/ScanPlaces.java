package homalon.app.check.scan;

import homalon.app.check.face.SurveyStarts;
import homalon.app.check.face.Surveys;
import homalon.app.foundation.web.Keyed;
import homalon.core.face.PlaceProposal;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.visit.FaceFinding;
import homalon.core.visit.PartFile;
import homalon.core.visit.ScanFile;
import homalon.core.visit.SurveyFile;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads an indicator's places off a scan. */
@Service
@RequiredArgsConstructor
class ScanPlaces {
    /** A place with no scanned land this near is left to the indicator, mm. */
    private static final double NEAR = 20;

    private final Scans scans;
    private final SurveyStarts starts;
    private final Surveys surveys;

    /**
     * Reads the places of the indicator's survey off a scan, where they are not read yet: what a plan of the cut is made from.
     *
     * @return how many were read
     */
    @Transactional
    int read(PartFile part, ScanFile scan, UUID by) {
        FaceFinding finding = scans.finding(part, scan);
        Plane level = finding.judgement().flatness().minimumZone().middle();
        var map = finding.map().orElseThrow(() -> new BadInputException("scan", "app.scan.this-scan-gives-no-map"));
        SurveyFile survey = starts.start(part, scan.kind(), PlaceProposal.Density.CLOSE, scan.uncertainty(), by);
        int read = 0;
        for (SurveyFile.PlaceFile place : survey.places()) {
            if (place.reading().isEmpty() && near(finding.points(), place.spot())) {
                double height = map.above(level, place.spot().x(), place.spot().y());
                String typed = BigDecimal.valueOf(height)
                        .setScale(4, RoundingMode.HALF_UP)
                        .toPlainString();
                UUID id = UUID.nameUUIDFromBytes((scan.id() + " " + place.id()).getBytes(StandardCharsets.UTF_8));
                surveys.key(
                        part, scan.kind(), Keyed.sure(id, place.id(), typed, BenchUnit.MM), anyone -> "Someone", by);
                read++;
            }
        }
        return read;
    }

    private static boolean near(Points points, Spot spot) {
        for (int i = 0; i < points.size(); i++) {
            if (points.spot(i).distance(spot) < NEAR) {
                return true;
            }
        }
        return false;
    }
}
