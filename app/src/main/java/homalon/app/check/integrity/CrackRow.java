package homalon.app.check.integrity;

import homalon.app.foundation.store.VisitLine;
import homalon.core.geometry.Spot;
import homalon.core.integrity.Crack;
import homalon.core.integrity.CrackMethod;
import homalon.core.integrity.CrackPlace;
import homalon.core.integrity.Reach;
import homalon.core.integrity.Remedy;
import homalon.core.quantity.Length;
import homalon.core.visit.CrackFile;
import homalon.core.visit.PartFile;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.AccessLevel;
import lombok.Getter;
import org.hibernate.annotations.Immutable;

/** A crack as it was marked or decided about; the last line of a crack stands. */
@Entity
@Immutable
@Table(name = "crack_mark")
@Getter(AccessLevel.PACKAGE)
final class CrackRow extends VisitLine {
    private UUID crack;
    private int no;

    @Enumerated(EnumType.STRING)
    private CrackPlace place;

    private int bore;

    @Column(name = "length_nm")
    private Length length;

    private String reaches;

    @Enumerated(EnumType.STRING)
    private CrackMethod method;

    private boolean suspect;

    @Column(name = "x1_nm")
    private Length x1;

    @Column(name = "y1_nm")
    private Length y1;

    @Column(name = "x2_nm")
    private Length x2;

    @Column(name = "y2_nm")
    private Length y2;

    @Enumerated(EnumType.STRING)
    private Remedy remedy;

    private String why;

    @Column(name = "pin_nm")
    private Length pin;

    private boolean gone;

    CrackRow() {}

    CrackRow(UUID id, UUID visit, CrackFile c, boolean gone, UUID by) {
        super(id, visit, by);
        this.crack = c.crack();
        this.no = c.no();
        this.place = c.what().place();
        this.bore = c.bore();
        this.length = Length.roundedFromMm(c.what().length());
        this.reaches = c.what().reaches().stream().map(Enum::name).collect(Collectors.joining(" "));
        this.method = c.what().method();
        this.suspect = c.what().suspect();
        this.x1 = Length.roundedFromMm(c.from().x());
        this.y1 = Length.roundedFromMm(c.from().y());
        this.x2 = Length.roundedFromMm(c.to().x());
        this.y2 = Length.roundedFromMm(c.to().y());
        this.remedy = c.remedy();
        this.why = c.why();
        this.pin = c.pin();
        this.gone = gone;
    }

    /** @param since when its remedy was chosen */
    CrackFile file(PartFile part, Instant since) {
        Set<Reach> reached = reaches.isEmpty()
                ? EnumSet.noneOf(Reach.class)
                : Arrays.stream(reaches.split(" ")).map(Reach::valueOf).collect(Collectors.toSet());
        return new CrackFile(
                crack,
                no,
                new Crack(part.kind(), part.material(), place, length.mm(), reached, method, suspect),
                bore,
                new Spot(x1.mm(), y1.mm()),
                new Spot(x2.mm(), y2.mm()),
                remedy,
                why,
                pin,
                by(),
                at(),
                since);
    }
}
