package homalon.app.shop.tools;

import homalon.core.cut.Machine;
import homalon.core.quantity.Length;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/** A machine of the shop. */
@Entity
@Table(name = "machine")
final class MachineRow {
    @Id
    UUID id = UUID.randomUUID();

    String name;

    @Column(name = "min_rpm")
    double minRpm;

    @Column(name = "max_rpm")
    double maxRpm;

    @Column(name = "power_kw")
    double power;

    @Column(name = "min_feed")
    double minFeed;

    @Column(name = "max_feed")
    double maxFeed;

    @Column(name = "step_nm")
    Long step;

    @Column(name = "retired_at")
    Instant retiredAt;

    MachineRow() {}

    MachineRow(Machine m) {
        name = m.name();
        minRpm = m.minRpm();
        maxRpm = m.maxRpm();
        power = m.power();
        minFeed = m.minFeed();
        maxFeed = m.maxFeed();
        step = m.step().map(Length::nanometres).orElse(null);
    }

    Machine machine() {
        return new Machine(
                name,
                minRpm,
                maxRpm,
                power,
                minFeed,
                maxFeed,
                Optional.ofNullable(step).map(Length::ofNanometres));
    }
}
