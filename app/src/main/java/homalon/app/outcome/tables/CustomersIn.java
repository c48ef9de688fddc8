package homalon.app.outcome.tables;

import homalon.app.casting.customer.Customer;
import homalon.app.casting.customer.Customers;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.table.TableKind;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Customers: a new one is made, of one that is known what is empty is filled. */
@Component
@RequiredArgsConstructor
class CustomersIn implements TakesLines {
    private final Customers customers;

    @Override
    public TableKind kind() {
        return TableKind.CUSTOMERS;
    }

    @Override
    public void take(List<Line> lines, Hand hand, Told told) {
        Set<UUID> made = new HashSet<>();
        for (Line line : lines) {
            try {
                told.made(line, one(line, made, hand.by()));
            } catch (BadInputException e) {
                told.refused(line, e);
            }
        }
    }

    private String one(Line line, Set<UUID> made, UUID by) {
        String name = line.at("name").replaceAll("\\s+", " ").strip();
        if (name.isEmpty() || name.length() > 120) {
            throw new BadInputException("name", "app.customer.key-a-name");
        }
        boolean known = customers.known(name);
        Customer now = customers.named(name, by);
        boolean twice = !made.add(now.id());
        String phone = either(now.phone(), line.at("phone"));
        String mail = either(now.mail(), line.at("mail"));
        String unit = now.unit().or(() -> unit(line.at("unit"))).map(Enum::name).orElse("");
        String notes = either(now.notes(), line.at("notes"));
        boolean fills = !(phone + mail + unit + notes)
                .equals(now.phone() + now.mail() + now.unit().map(Enum::name).orElse("") + now.notes());
        if (fills) {
            String days = now.days().map(Enum::name).orElse("");
            customers.change(now.id(), now.name(), phone, mail, unit, days, notes, now.version(), by);
        }
        return now.name()
                + (!known
                        ? ": new"
                        : (twice ? ": once more" : ": known")
                                + (fills ? ", what was empty is filled" : ", left as it is"));
    }

    private static String either(String own, String brought) {
        return own.isBlank() ? brought : own;
    }

    private static Optional<BenchUnit> unit(String cell) {
        if (cell.isEmpty()) {
            return Optional.empty();
        }
        Optional<BenchUnit> unit = Arrays.stream(BenchUnit.values())
                .filter(u -> u.label().equalsIgnoreCase(cell) || u.name().equalsIgnoreCase(cell))
                .findFirst();
        return Optional.of(
                unit.orElseThrow(() -> new BadInputException("unit", "app.tables.the-unit-is-mm-or-thou", cell)));
    }
}
