package homalon.app.casting.part;

import homalon.core.part.BoltRows;
import homalon.core.part.ChamberShape;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import homalon.core.visit.PartFile;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A casting for life. Other features see {@link PartFile}. */
@Entity
final class Part {
    @Id
    UUID id;

    String tag;

    @Enumerated(EnumType.STRING)
    PartKind kind;

    String name;
    String customer;

    /** Its record; null where the customer was erased. */
    @Column(name = "customer_id")
    @Nullable
    UUID customerId;

    @Enumerated(EnumType.STRING)
    Material material;

    @Column(name = "casting_number")
    String castingNumber;

    /** What is stamped on it; it tells two of one casting number apart. */
    String stamps = "";

    /** The tag that it had until its booking was voided; null for every other. */
    @Column(name = "voided_tag")
    @Nullable
    String voidedTag;

    /** What is looked for: the database makes it of tag, name, customer, casting number and stamps. */
    @Column(insertable = false, updatable = false)
    String words;

    int cylinders;

    @Column(name = "first_number")
    int firstNumber;

    @Column(name = "number_step")
    int numberStep;

    @Column(name = "bore_nm")
    long bore;

    @Column(name = "spacing_nm")
    long spacing;

    @Column(name = "length_nm")
    long length;

    @Column(name = "width_nm")
    long width;

    @Enumerated(EnumType.STRING)
    @Column(name = "bolt_rows")
    BoltRows boltRows;

    @Column(name = "bolt_hole_nm")
    long boltHole;

    @Column(name = "water_holes")
    int waterHoles;

    @Enumerated(EnumType.STRING)
    ChamberShape chambers;

    @Column(name = "intake_at_top")
    boolean intakeAtTop;

    int dowels;

    @Version
    int version;

    @Column(name = "created_by")
    UUID createdBy;

    @Column(name = "created_at")
    Instant createdAt;

    Part() {}

    Part(UUID id, String tag, UUID createdBy, Instant createdAt) {
        this.id = id;
        this.tag = tag;
        this.createdBy = createdBy;
        this.createdAt = createdAt;
    }

    LayoutNumbers numbers() {
        return new LayoutNumbers(
                cylinders,
                firstNumber,
                numberStep,
                Length.ofNanometres(bore),
                Length.ofNanometres(spacing),
                Length.ofNanometres(length),
                Length.ofNanometres(width),
                boltRows,
                Length.ofNanometres(boltHole),
                waterHoles,
                chambers,
                intakeAtTop,
                dowels);
    }

    void draw(LayoutNumbers n) {
        cylinders = n.cylinders();
        firstNumber = n.firstNumber();
        numberStep = n.numberStep();
        bore = n.bore().nanometres();
        spacing = n.spacing().nanometres();
        length = n.length().nanometres();
        width = n.width().nanometres();
        boltRows = n.boltRows();
        boltHole = n.boltHole().nanometres();
        waterHoles = n.waterHoles();
        chambers = n.chambers();
        intakeAtTop = n.intakeAtTop();
        dowels = n.dowels();
    }
}
