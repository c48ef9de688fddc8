package homalon.app.machining.cut;

import homalon.core.cut.SetUpMethod;
import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OrderColumn;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.hibernate.annotations.Generated;
import org.hibernate.annotations.ListIndexBase;
import org.springframework.data.domain.Persistable;

/** A plan as it was chosen; the last one of a visit counts. */
@Entity
@Table(name = "cut_plan")
final class PlanRow implements Persistable<UUID> {
    @Id
    UUID id;

    @Generated
    @Column(insertable = false, updatable = false)
    long seq;

    @Column(name = "job_id")
    UUID jobId;

    @Column(name = "survey_id")
    UUID surveyId;

    String machine;
    String cutter;

    @Column(name = "steel_in_face")
    boolean steelInFace;

    /** Of the survey that the plan was made from. */
    @Column(name = "survey_revision")
    long surveyRevision;

    @Enumerated(EnumType.STRING)
    SetUpMethod school;

    @Column(name = "depth_nm")
    long depth;

    /** What was wanted off in all beyond cleaning it; 0 for nothing more. */
    @Column(name = "at_least_nm")
    long atLeast;

    /** Cut in stages: the finish pass comes after the work that is done off the face. */
    @Column(name = "finish_last")
    boolean finishLast;

    @Column(name = "shim_step_nm")
    long shimStep;

    String shims;
    String supports;

    @Column(name = "shim_leaves")
    String shimLeaves;

    @Column(name = "skim_nm")
    long skim;

    @Column(name = "deepest_nm")
    long deepest;

    @Column(name = "finish_nm")
    long finish;

    @ElementCollection
    @CollectionTable(name = "plan_pass", joinColumns = @JoinColumn(name = "plan_id"))
    @OrderColumn(name = "seq")
    @ListIndexBase(1)
    List<PlanPass> passes = new ArrayList<>();

    @Column(name = "made_by")
    UUID madeBy;

    @Column(name = "made_at")
    Instant madeAt;

    @Override
    public UUID getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return true;
    }
}
