package homalon.app.tools;

import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.BladeSet;
import homalon.core.rulebook.RuleBook;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The shop's own tools, and the usual ones until it has said what it has. */
@Service
@Transactional
public class Toolbox {
    private final BladeRepository blades;

    Toolbox(BladeRepository blades) {
        this.blades = blades;
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
        List<Length> own = new ArrayList<>();
        for (String each : (typed == null ? "" : typed).strip().split("[\\s;]+")) {
            if (!each.isEmpty()) {
                own.add(Length.parse(each, unit));
            }
        }
        List<Length> kept = own.isEmpty() ? List.of() : new BladeSet(own).blades();
        blades.deleteAllInBatch();
        kept.forEach(b -> blades.save(new BladeRow(b.nanometres())));
    }
}
