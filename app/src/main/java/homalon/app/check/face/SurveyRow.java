package homalon.app.check.face;

import homalon.core.visit.SurveyKind;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** One survey of one visit. */
@Entity
@Table(name = "survey")
final class SurveyRow {
    @Id
    UUID id;

    @Column(name = "job_id")
    UUID jobId;

    @Enumerated(EnumType.STRING)
    SurveyKind kind;

    @Column(name = "uncertainty_nm")
    long uncertainty;

    @Column(name = "started_by")
    UUID startedBy;

    @Column(name = "started_at")
    Instant startedAt;

    @Column(name = "part_decidegrees")
    Integer partTemperature;

    @Column(name = "room_decidegrees")
    Integer roomTemperature;

    /** Counts every change of places and readings; written by {@link SurveyRepository#changed} and with each reading (V33). */
    @Column(insertable = false, updatable = false)
    long revision;

    SurveyRow() {}

    SurveyRow(UUID jobId, SurveyKind kind, long uncertainty, UUID startedBy, Instant startedAt) {
        this.id = UUID.randomUUID();
        this.jobId = jobId;
        this.kind = kind;
        this.uncertainty = uncertainty;
        this.startedBy = startedBy;
        this.startedAt = startedAt;
    }
}
