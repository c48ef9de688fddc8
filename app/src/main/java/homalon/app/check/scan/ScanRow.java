package homalon.app.check.scan;

import homalon.core.face.ScanFormat;
import homalon.core.face.ScanUnit;
import homalon.core.visit.SurveyKind;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Generated;
import org.springframework.data.domain.Persistable;

/** One scan: how its text is to be read, and what was said of it. */
@Entity
@Table(name = "scan")
final class ScanRow implements Persistable<UUID> {
    @Id
    UUID id;

    @Generated
    @Column(insertable = false, updatable = false)
    long seq;

    @Column(name = "job_id")
    UUID jobId;

    @Enumerated(EnumType.STRING)
    SurveyKind kind;

    String name;

    @Column(name = "uncertainty_nm")
    long uncertainty;

    String separator;

    @Column(name = "decimal_comma")
    boolean decimalComma;

    @Column(name = "skip_lines")
    int skip;

    int columns;

    @Column(name = "x_column")
    int x;

    @Column(name = "y_column")
    int y;

    @Column(name = "z_column")
    int z;

    @Enumerated(EnumType.STRING)
    @Column(name = "places_unit")
    ScanUnit places;

    @Enumerated(EnumType.STRING)
    @Column(name = "heights_unit")
    ScanUnit heights;

    @Column(name = "high_is_minus")
    boolean highIsMinus;

    int points;
    String notes;

    @Column(name = "by_person")
    UUID byPerson;

    Instant at;

    void read(ScanFormat f) {
        separator = String.valueOf(f.separator());
        decimalComma = f.decimalComma();
        skip = f.skip();
        columns = f.columns();
        x = f.x();
        y = f.y();
        z = f.z();
        places = f.places();
        heights = f.heights();
    }

    ScanFormat format() {
        return new ScanFormat(separator.charAt(0), decimalComma, skip, columns, x, y, z, places, heights);
    }

    @Override
    public UUID getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return true;
    }
}
