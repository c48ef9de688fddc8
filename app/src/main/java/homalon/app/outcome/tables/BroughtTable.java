package homalon.app.outcome.tables;

import homalon.core.quantity.BenchUnit;
import homalon.core.table.TableKind;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A file as it came. */
@Entity
@Table(name = "brought_table")
final class BroughtTable {
    @Id
    UUID id;

    @Enumerated(EnumType.STRING)
    TableKind kind;

    /** SHA-256 of the file, in hexadecimal digits. */
    String sum;

    /** Of bare numbers in it. */
    @Enumerated(EnumType.STRING)
    BenchUnit unit;

    byte[] body;

    @Column(name = "brought_by")
    UUID broughtBy;

    @Column(name = "brought_at")
    Instant broughtAt;

    /** Null while it was looked at only. */
    @Column(name = "taken_by")
    @Nullable
    UUID takenBy;

    @Column(name = "taken_at")
    @Nullable
    Instant takenAt;
}
