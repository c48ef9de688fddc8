package homalon.app.casting.customer;

import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.DayForm;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A customer; one who is erased is gone, with every name it had. */
@Entity
@Table(name = "customer")
final class CustomerRow {
    @Id
    UUID id;

    String name;

    /** See {@link Customers#key}. */
    @Column(name = "name_key")
    String key;

    String phone = "";
    String mail = "";

    /** See {@link Customer}. */
    @Enumerated(EnumType.STRING)
    @Nullable
    BenchUnit unit;

    @Enumerated(EnumType.STRING)
    @Nullable
    DayForm days;

    String notes = "";

    @Version
    int version;

    /** Null for those who were only a name on a casting once. */
    @Column(name = "created_by")
    @Nullable
    UUID createdBy;

    @Column(name = "created_at")
    Instant createdAt;

    CustomerRow() {}

    CustomerRow(String name, UUID by, Instant at) {
        this.id = UUID.randomUUID();
        call(name);
        this.createdBy = by;
        this.createdAt = at;
    }

    void call(String called) {
        name = called;
        key = Customers.key(called);
    }

    Customer told() {
        return new Customer(
                id, name, phone, mail, Optional.ofNullable(unit), Optional.ofNullable(days), notes, version);
    }
}
