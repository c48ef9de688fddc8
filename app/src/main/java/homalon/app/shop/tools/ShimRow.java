package homalon.app.shop.tools;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** A shim that the shop has leaves of. */
@Entity
@Table(name = "shop_shim")
final class ShimRow {
    @Id
    @Column(name = "nm")
    Long nm;

    ShimRow() {}

    ShimRow(long nm) {
        this.nm = nm;
    }
}
