package homalon.app.machining.cut;

import homalon.core.cut.PassPlan;
import homalon.core.quantity.Length;
import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;

/** One pass of a kept plan. */
@Embeddable
record PlanPass(
        @Enumerated(EnumType.STRING) PassPlan.Kind kind,
        @Column(name = "depth_nm") Length depth) {}
