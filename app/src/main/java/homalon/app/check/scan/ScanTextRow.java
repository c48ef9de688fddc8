package homalon.app.check.scan;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.springframework.data.domain.Persistable;

/** The text of a scan as it came, compressed. */
@Entity
@Table(name = "scan_text")
final class ScanTextRow implements Persistable<UUID> {
    @Id
    @Column(name = "scan_id")
    UUID scanId;

    byte[] gzip;

    ScanTextRow() {}

    ScanTextRow(UUID scanId, byte[] gzip) {
        this.scanId = scanId;
        this.gzip = gzip;
    }

    @Override
    public UUID getId() {
        return scanId;
    }

    @Override
    public boolean isNew() {
        return true;
    }
}
