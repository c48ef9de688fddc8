package homalon.core.visit;

import homalon.core.part.LayoutNumbers;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.GasketKind;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/** Everything that is keyed at the door, read and checked. */
public record Booking(
        String tag,
        PartKind kind,
        String name,
        String customer,
        Material material,
        String castingNumber,
        String stamps,
        LayoutNumbers numbers,
        List<FlatnessLimit> limits,
        String history,
        Optional<CameWith> came,
        String wishes,
        String gasket,
        Optional<GasketKind> gasketKind,
        Optional<LocalDate> due) {
    /** A casting of which nobody was asked what happened, for a gasket that is not known yet. */
    public Booking(
            String tag,
            PartKind kind,
            String name,
            String customer,
            Material material,
            String castingNumber,
            LayoutNumbers numbers,
            List<FlatnessLimit> limits,
            String history,
            String wishes,
            String gasket,
            Optional<LocalDate> due) {
        this(
                tag,
                kind,
                name,
                customer,
                material,
                castingNumber,
                "",
                numbers,
                limits,
                history,
                Optional.empty(),
                wishes,
                gasket,
                Optional.empty(),
                due);
    }
}
