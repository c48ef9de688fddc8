package homalon.app.shop.crew;

import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** The shop's own hours; no row while the usual ones hold. */
@Entity
@Table(name = "shop_hours")
final class ShopHoursRow {
    static final int ONLY = 1;

    @Id
    int id = ONLY;

    @Embedded
    WeekColumns week;

    ShopHoursRow() {}

    ShopHoursRow(WeekColumns week) {
        this.week = week;
    }
}
