package homalon.app.outcome.plan;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** A plan that people were told. */
@Entity
@Table(name = "posted_plan")
final class PostedPlanRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long seq;

    @Column(name = "made_at")
    Instant madeAt;

    /** What it was made from, in short: the same again gives the same. */
    @Column(name = "made_from")
    String madeFrom;

    String plan;

    PostedPlanRow() {}

    PostedPlanRow(Instant madeAt, String madeFrom, String plan) {
        this.madeAt = madeAt;
        this.madeFrom = madeFrom;
        this.plan = plan;
    }
}
