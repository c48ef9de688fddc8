package homalon.app.casting.part;

import homalon.core.rulebook.GasketKind;
import homalon.core.visit.StuckOn;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.Formula;
import org.jspecify.annotations.Nullable;

/** One visit of a casting. */
@Entity
final class Job {
    @Id
    UUID id;

    @Column(name = "part_id")
    UUID partId;

    int no;
    String history;
    String wishes;
    String gasket;

    @Enumerated(EnumType.STRING)
    @Column(name = "gasket_kind")
    GasketKind gasketKind;

    /** Where the gasket in hand seals; null where the usual stands. */
    @Column(name = "seal_ring_nm")
    Long sealRing;

    @Column(name = "seal_bead_nm")
    Long sealBead;

    @Column(name = "seal_opening_nm")
    Long sealOpening;

    /** Corners of a line that was inked, along and across by turns; null where none was. */
    @Column(name = "seal_ink_nm")
    long[] sealInk;

    /** Names of what was ticked, with blanks between; null where nobody was asked. */
    String happened;

    /** Names of the shafts that it carries, with commas between; null where nobody was asked. */
    String shafts;

    LocalDate due;

    /** The last day that its customer was told: read with it, so that no page asks for it a second time. */
    @Formula("""
            (select d.day from day_promised d where d.job_id = id and not exists
              (select 1 from day_promised l where l.job_id = d.job_id and (l.at, l.id) > (d.at, d.id)))""")
    @Nullable
    LocalDate promised;

    /** Tags of what it goes on or what goes on it, as was said last of each head; one to a line. */
    @Formula("""
            (select string_agg(o.tag, chr(10) order by o.tag) from mate m
              join part o on o.id = (case when m.head_id = part_id then m.deck_id else m.head_id end)
              where part_id in (m.head_id, m.deck_id) and not exists
                (select 1 from mate l where l.head_id = m.head_id and l.seq > m.seq))""")
    @Nullable
    String goesWith;

    @Enumerated(EnumType.STRING)
    @Column(name = "stuck_on")
    StuckOn stuckOn;

    @Column(name = "stuck_why")
    String stuckWhy;

    @Column(name = "stuck_since")
    LocalDate stuckSince;

    @Version
    int version;

    @Column(name = "opened_by")
    UUID openedBy;

    @Column(name = "opened_at")
    Instant openedAt;

    @Column(name = "released_by")
    UUID releasedBy;

    @Column(name = "released_at")
    Instant releasedAt;

    @Column(name = "released_note")
    String releasedNote = "";

    /** Handed over while the rule of cover was all that was asked of a face. */
    boolean byCover;

    /** Handed over while what bow and twist allow was all that was asked of feelers. */
    boolean byBlades;

    /** Its figures were judged as if they were exact. */
    boolean byFigures;

    /** Handed over while the rule of cover was all that was asked of a scan. */
    boolean byScan;

    /** Handed over while a straightedge counted as stiff, and a chance by feelers as it was drawn. */
    boolean byStiffEdge;

    /** When and why the booking was voided; null for every other. */
    @Column(name = "voided_at")
    @Nullable
    Instant voidedAt;

    @Column(name = "voided_why")
    @Nullable
    String voidedWhy;

    Job() {}

    Job(UUID partId, int no, UUID openedBy, Instant openedAt) {
        this.id = UUID.randomUUID();
        this.partId = partId;
        this.no = no;
        this.history = "";
        this.wishes = "";
        this.gasket = "";
        this.openedBy = openedBy;
        this.openedAt = openedAt;
    }
}
