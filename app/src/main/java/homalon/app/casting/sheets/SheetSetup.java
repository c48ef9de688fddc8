package homalon.app.casting.sheets;

import homalon.app.foundation.store.VisitLine;
import homalon.core.visit.Sheet;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.Map;
import java.util.UUID;
import lombok.AccessLevel;
import lombok.Getter;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** How a sheet was set up, by name of each setting. */
@Entity
@Immutable
@Table(name = "sheet_setup")
@Getter(AccessLevel.PACKAGE)
final class SheetSetup extends VisitLine {
    @Enumerated(EnumType.STRING)
    private Sheet sheet;

    @Column(name = "setup")
    @JdbcTypeCode(SqlTypes.JSON)
    private Map<String, String> values;

    SheetSetup() {}

    SheetSetup(UUID id, UUID visit, Sheet sheet, Map<String, String> values, UUID by) {
        super(id, visit, by);
        this.sheet = sheet;
        this.values = Map.copyOf(values);
    }
}
