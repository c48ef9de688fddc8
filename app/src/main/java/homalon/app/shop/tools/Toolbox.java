package homalon.app.shop.tools;

import homalon.app.foundation.web.ReadTransaction;
import homalon.core.cut.Cutter;
import homalon.core.cut.Machine;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.BladeSet;
import homalon.core.rulebook.RuleBook;
import homalon.core.rulebook.ShimStock;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The shop's own tools, and the usual ones until it has said what it has. */
@Service
@Transactional
@RequiredArgsConstructor
public class Toolbox {
    private final BladeRepository blades;
    private final ShimRepository shims;
    private final MachineRepository machines;
    private final CutterRepository cutters;
    private final ReadTransaction reading;
    private final Clock clock;

    @Transactional(readOnly = true)
    public List<Machine> machines() {
        return reading.once(
                Tools.MACHINES,
                () -> machines.findByRetiredAtIsNullOrderByName().stream()
                        .map(MachineRow::machine)
                        .toList());
    }

    @Transactional(readOnly = true)
    public List<Cutter> cutters() {
        return reading.once(
                Tools.CUTTERS,
                () -> cutters.findByRetiredAtIsNullOrderByName().stream()
                        .map(CutterRow::cutter)
                        .toList());
    }

    private enum Tools {
        MACHINES,
        CUTTERS
    }

    @Transactional(readOnly = true)
    public Optional<Machine> machine(String name) {
        return machines().stream()
                .filter(m -> m.name().equalsIgnoreCase(name.strip()))
                .findFirst();
    }

    @Transactional(readOnly = true)
    public Optional<Cutter> cutter(String name) {
        return cutters().stream()
                .filter(c -> c.name().equalsIgnoreCase(name.strip()))
                .findFirst();
    }

    public void add(Machine machine) {
        if (machine(machine.name()).isPresent()) {
            throw new BadInputException("name", "app.tools.there-is-a-machine-of-that-name-retire");
        }
        machines.save(new MachineRow(machine));
    }

    public void add(Cutter cutter) {
        if (cutter(cutter.name()).isPresent()) {
            throw new BadInputException("name", "app.tools.there-is-a-cutter-of-that-name-retire");
        }
        cutters.save(new CutterRow(cutter));
    }

    /** Takes a machine or a cutter out of the lists; what was cut with it stays in the ledgers. */
    public void retire(String name) {
        machines.findByRetiredAtIsNullOrderByName().stream()
                .filter(m -> m.name.equals(name))
                .forEach(m -> m.retiredAt = clock.instant());
        cutters.findByRetiredAtIsNullOrderByName().stream()
                .filter(c -> c.name.equals(name))
                .forEach(c -> c.retiredAt = clock.instant());
    }

    /** Empty while the shop has not said which feelers it has. */
    @Transactional(readOnly = true)
    public Optional<BladeSet> ownBlades() {
        List<Length> own =
                blades.findAll().stream().map(b -> Length.ofNanometres(b.nm)).toList();
        return own.isEmpty() ? Optional.empty() : Optional.of(new BladeSet(own));
    }

    @Transactional(readOnly = true)
    public BladeSet blades(BenchUnit unit) {
        return ownBlades().orElseGet(() -> RuleBook.blades(unit));
    }

    /**
     * @param typed thicknesses with blanks or semicolons between them; empty for the usual set
     * @throws BadInputException when one is no thickness
     */
    public void useBlades(String typed, BenchUnit unit) {
        List<Length> own = thicknesses(typed, unit);
        List<Length> kept = own.isEmpty() ? List.of() : new BladeSet(own).blades();
        blades.deleteAllInBatch();
        kept.forEach(b -> blades.save(new BladeRow(b.nanometres())));
    }

    /** Leaves that the shop stacks; empty while it works with steps. */
    @Transactional(readOnly = true)
    public Optional<ShimStock> ownShims() {
        List<Length> own =
                shims.thicknesses().stream().map(Length::ofNanometres).toList();
        return own.isEmpty() ? Optional.empty() : Optional.of(ShimStock.ofLeaves(own));
    }

    @Transactional(readOnly = true)
    public ShimStock shims(BenchUnit unit) {
        return ownShims().orElseGet(() -> RuleBook.shims(unit));
    }

    /**
     * @param typed thicknesses of the leaves with blanks or semicolons between them; empty for the usual steps
     * @throws BadInputException when one is no shim
     */
    public void useShims(String typed, BenchUnit unit) {
        List<Length> own = thicknesses(typed, unit);
        List<Length> kept = own.isEmpty() ? List.of() : ShimStock.ofLeaves(own).leaves();
        shims.deleteAllInBatch();
        kept.forEach(s -> shims.save(new ShimRow(s.nanometres())));
    }

    private static List<Length> thicknesses(String typed, BenchUnit unit) {
        List<Length> all = new ArrayList<>();
        for (String each : (typed == null ? "" : typed).strip().split("[\\s;]+")) {
            if (!each.isEmpty()) {
                all.add(Length.parse(each, unit));
            }
        }
        return all;
    }
}
