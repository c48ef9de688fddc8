package homalon.app.check.face;

import homalon.app.foundation.store.EvidenceLine;
import homalon.core.gauge.Scale;
import homalon.core.gauge.Warmth;
import homalon.core.quantity.Length;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** Temperatures that are taken off what a survey read; the last line counts, and one without other side and scale takes nothing off. */
@Entity
@Immutable
@Table(name = "survey_warmth")
final class WarmthRow extends EvidenceLine {
    @Column(name = "survey_id")
    private UUID survey;

    /** Tenths of a degree, as all of them. */
    @Column(name = "part_tenths")
    private int part;

    @Column(name = "back_tenths")
    private @Nullable Integer back;

    @Column(name = "height_nm")
    private @Nullable Length height;

    @Column(name = "scale_tenths")
    private @Nullable Integer scale;

    /** 1e-6 per K. */
    private double expansion;

    WarmthRow() {}

    private WarmthRow(UUID survey, double part, double expansion, UUID by) {
        super(UUID.randomUUID(), by);
        this.survey = survey;
        this.part = tenths(part);
        this.expansion = expansion * 1e6;
    }

    static WarmthRow of(UUID survey, Warmth warmth, UUID by) {
        WarmthRow row = new WarmthRow(survey, warmth.face(), warmth.expansion(), by);
        row.back = tenths(warmth.back());
        row.height = Length.roundedFromMm(warmth.height());
        return row;
    }

    static WarmthRow of(UUID survey, Scale scale, UUID by) {
        WarmthRow row = new WarmthRow(survey, scale.part(), scale.expansion(), by);
        row.scale = tenths(scale.scale());
        return row;
    }

    /** From now on nothing is taken off for the other side. */
    static WarmthRow putAway(UUID survey, double part, double expansion, UUID by) {
        return new WarmthRow(survey, part, expansion, by);
    }

    private static int tenths(double degrees) {
        return (int) Math.round(degrees * 10);
    }

    UUID survey() {
        return survey;
    }

    Optional<Warmth> warmth() {
        return back == null || height == null
                ? Optional.empty()
                : Optional.of(new Warmth(part / 10.0, back / 10.0, height.mm(), expansion / 1e6));
    }

    Optional<Scale> scale() {
        return scale == null ? Optional.empty() : Optional.of(new Scale(part / 10.0, scale / 10.0, expansion / 1e6));
    }
}
