package homalon.app.shop.tools;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** A feeler that the shop has. */
@Entity
@Table(name = "shop_blade")
final class BladeRow {
    @Id
    @Column(name = "nm")
    Long nm;

    BladeRow() {}

    BladeRow(long nm) {
        this.nm = nm;
    }
}
