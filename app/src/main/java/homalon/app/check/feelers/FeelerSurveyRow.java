package homalon.app.check.feelers;

import homalon.core.face.FeelerSurvey;
import homalon.core.visit.FeelerKind;
import homalon.core.visit.FeelerWay;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** One face tried with straightedge and feelers in one visit. */
@Entity
@Table(name = "feeler_survey")
final class FeelerSurveyRow {
    @Id
    UUID id = UUID.randomUUID();

    @Column(name = "job_id")
    UUID jobId;

    @Enumerated(EnumType.STRING)
    FeelerKind kind;

    @Enumerated(EnumType.STRING)
    @Column(name = "limit_kind")
    FeelerSurvey.Kind limitKind;

    @Enumerated(EnumType.STRING)
    FeelerWay way;

    String blades;

    @Column(name = "started_by")
    UUID startedBy;

    @Column(name = "started_at")
    Instant startedAt;

    /** Written by {@link FeelerSurveyRepository#changed} alone. */
    @Column(insertable = false, updatable = false)
    long revision;
}
