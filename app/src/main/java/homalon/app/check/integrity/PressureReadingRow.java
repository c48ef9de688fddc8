package homalon.app.check.integrity;

import homalon.app.foundation.store.EvidenceLine;
import homalon.core.geometry.Spot;
import homalon.core.quantity.Length;
import homalon.core.visit.TestFile;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.OptionalDouble;
import java.util.UUID;
import lombok.AccessLevel;
import lombok.Getter;
import org.hibernate.annotations.Immutable;

/** What was read or seen in a pressure test. */
@Entity
@Immutable
@Table(name = "pressure_reading")
@Getter(AccessLevel.PACKAGE)
final class PressureReadingRow extends EvidenceLine {
    /** What a line says. */
    enum Kind {
        READING,
        BUBBLES,
        NO_BUBBLES,
        WITHDRAWN
    }

    @Column(name = "test_id")
    private UUID test;

    @Enumerated(EnumType.STRING)
    private Kind kind;

    private int second;

    @Column(name = "mbar")
    private int millibar;

    private Integer decicelsius;
    private String note;

    @Column(name = "x_nm")
    private Length x;

    @Column(name = "y_nm")
    private Length y;

    private UUID withdraws;

    PressureReadingRow() {}

    private PressureReadingRow(UUID id, UUID test, Kind kind, UUID by) {
        super(id, by);
        this.test = test;
        this.kind = kind;
        this.note = "";
        this.x = Length.ZERO;
        this.y = Length.ZERO;
    }

    /**
     * @param second since the first reading
     * @param decicelsius tenths of a degree; null where nobody read it
     */
    static PressureReadingRow reading(UUID id, UUID test, int second, int millibar, Integer decicelsius, UUID by) {
        PressureReadingRow row = new PressureReadingRow(id, test, Kind.READING, by);
        row.second = second;
        row.millibar = millibar;
        row.decicelsius = decicelsius;
        return row;
    }

    static PressureReadingRow bubbles(UUID id, UUID test, String where, Spot spot, UUID by) {
        PressureReadingRow row = new PressureReadingRow(id, test, Kind.BUBBLES, by);
        row.note = where;
        row.x = Length.roundedFromMm(spot.x());
        row.y = Length.roundedFromMm(spot.y());
        return row;
    }

    static PressureReadingRow noBubbles(UUID id, UUID test, UUID by) {
        return new PressureReadingRow(id, test, Kind.NO_BUBBLES, by);
    }

    static PressureReadingRow takingBack(UUID id, UUID test, UUID wrong, UUID by) {
        PressureReadingRow row = new PressureReadingRow(id, test, Kind.WITHDRAWN, by);
        row.withdraws = wrong;
        return row;
    }

    TestFile.ReadingFile reading() {
        OptionalDouble celsius = decicelsius == null ? OptionalDouble.empty() : OptionalDouble.of(decicelsius / 10.0);
        return new TestFile.ReadingFile(id(), second, millibar / 1000.0, celsius, by(), at());
    }

    TestFile.BubbleFile bubbles() {
        return new TestFile.BubbleFile(id(), note, new Spot(x.mm(), y.mm()), by(), at());
    }

    @Override
    public UUID withdraws() {
        return withdraws;
    }
}
