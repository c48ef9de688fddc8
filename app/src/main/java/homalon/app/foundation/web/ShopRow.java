package homalon.app.foundation.web;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** The one line about the shop itself. */
@Entity
@Table(name = "shop")
final class ShopRow {
    @Id
    short id = 1;

    String name;
}
