package homalon.app.shop.tools;

import homalon.core.cut.Cutter;
import homalon.core.cut.Insert;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A cutter of the shop. */
@Entity
@Table(name = "cutter")
final class CutterRow {
    @Id
    UUID id = UUID.randomUUID();

    String name;

    @Enumerated(EnumType.STRING)
    @Column(name = "insert_kind")
    Insert insert;

    double diameter;

    @Column(name = "nose_radius")
    double noseRadius;

    int edges;

    @Column(name = "retired_at")
    Instant retiredAt;

    CutterRow() {}

    CutterRow(Cutter c) {
        name = c.name();
        insert = c.insert();
        diameter = c.diameter();
        noseRadius = c.noseRadius();
        edges = c.edges();
    }

    Cutter cutter() {
        return new Cutter(name, insert, diameter, noseRadius, edges);
    }
}
