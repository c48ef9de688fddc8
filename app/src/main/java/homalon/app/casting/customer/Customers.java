package homalon.app.casting.customer;

import homalon.app.foundation.people.Journal;
import homalon.app.foundation.web.NotHereException;
import homalon.core.input.BadInputException;
import homalon.core.input.MailAddress;
import homalon.core.input.Problems;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.DayForm;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The shop's customers. */
@Service
@Transactional
@RequiredArgsConstructor
public class Customers {
    /** Stands on a casting whose customer was erased, and is nobody's name. */
    public static final String ERASED = "erased";

    private final CustomerRepository customers;
    private final CustomerNameRepository names;
    private final List<NamedAfter> carriers;
    private final Journal journal;
    private final Clock clock;

    /** By which a name is known however it is keyed: its letters and digits alone, in small letters. */
    static String key(String name) {
        return name.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", " ").strip();
    }

    /** Name by name, from the one given. */
    @Transactional(readOnly = true)
    public List<Customer> all(int from, int most) {
        return customers.all(from, most).stream().map(CustomerRow::told).toList();
    }

    /** Those with these letters in their name, then those spelt nearly so. */
    @Transactional(readOnly = true)
    public List<Customer> find(String words, int from, int most) {
        String key = key(words);
        if (key.isEmpty()) {
            return all(from, most);
        }
        return customers.find("%" + key + "%", key, from, most).stream()
                .map(CustomerRow::told)
                .toList();
    }

    @Transactional(readOnly = true)
    public Customer byId(UUID id) {
        return customers
                .findById(id)
                .map(CustomerRow::told)
                .orElseThrow(() ->
                        new NotHereException("There is no such customer any more: merged with another, or erased."));
    }

    /** Exactly so called. */
    @Transactional(readOnly = true)
    public Optional<Customer> called(String name) {
        return customers.findByName(name.strip()).map(CustomerRow::told);
    }

    /** By name, as many as there are. */
    @Transactional(readOnly = true)
    public Map<String, Customer> called(Collection<String> names) {
        return customers.findByNameIn(names).stream()
                .map(CustomerRow::told)
                .collect(Collectors.toMap(Customer::name, c -> c));
    }

    /** Whether somebody goes by that name, however its capitals and dashes are keyed. */
    @Transactional(readOnly = true)
    public boolean known(String name) {
        return customers.findByName(name).isPresent()
                || (!key(name).isEmpty()
                        && customers
                                .findFirstByKeyOrderByCreatedAtAscIdAsc(key(name))
                                .isPresent());
    }

    /** What the customer was called before, the last first. */
    @Transactional(readOnly = true)
    public List<String> formerNames(UUID id) {
        return names.findByCustomerIdOrderByAtDesc(id).stream()
                .map(n -> n.name)
                .distinct()
                .toList();
    }

    /**
     * The customer of that name, however its capitals and dashes are keyed; a new one where nobody is called so.
     *
     * @param name not blank
     * @throws BadInputException for the word that stands where a customer was erased
     */
    public Customer named(String name, UUID by) {
        if (name.equals(ERASED)) {
            throw new BadInputException("customer", "app.customer.key-a-name");
        }
        return customers
                .findByName(name)
                .or(() -> key(name).isEmpty()
                        ? Optional.empty()
                        : customers.findFirstByKeyOrderByCreatedAtAscIdAsc(key(name)))
                .orElseGet(() -> customers.saveAndFlush(new CustomerRow(name, by, clock.instant())))
                .told();
    }

    /**
     * Changes what is kept of a customer; a new name stands on every casting from now on.
     *
     * @param unit a unit's name; blank for that of whoever prints
     * @param days a form's name; blank for the shop's
     * @param version of what was on the screen
     * @throws BadInputException when it cannot be kept, or somebody changed it meanwhile
     */
    public Customer change(
            UUID id,
            String name,
            String phone,
            String mail,
            String unit,
            String days,
            String notes,
            int version,
            UUID by) {
        CustomerRow row = customers.findById(id).orElseThrow();
        String called = name.strip().replaceAll("\\s+", " ");
        Problems problems = new Problems();
        problems.require(row.version == version, "name", "app.customer.somebody-changed-this-customer");
        problems.require(
                !called.isEmpty() && called.length() <= 120 && !called.equals(ERASED),
                "name",
                "app.customer.key-a-name");
        problems.require(phone.strip().length() <= 60, "phone", "app.customer.that-is-too-long", 60);
        problems.require(MailAddress.isOneOrBlank(mail), "mail", "app.customer.key-an-address-such-as");
        problems.require(notes.strip().length() <= 2000, "notes", "app.customer.that-is-too-long", 2000);
        Optional<CustomerRow> other = customers.findByName(called).filter(o -> !o.id.equals(id));
        problems.require(other.isEmpty(), "name", "app.customer.another-is-called-so-merge", called);
        problems.throwIfAny();
        String before = row.name;
        row.phone = phone.strip();
        row.mail = mail.strip();
        row.unit = Arrays.stream(BenchUnit.values())
                .filter(u -> u.name().equals(unit))
                .findFirst()
                .orElse(null);
        row.days = DayForm.byName(days).orElse(null);
        row.notes = notes.strip();
        row.call(called);
        customers.saveAndFlush(row);
        if (!before.equals(called)) {
            names.save(new CustomerNameRow(id, before, by, clock.instant()));
            hangOn(id, id, called);
        }
        // Without the name: it stays in the journal for good, and a customer may be erased.
        journal.write(Journal.What.CUSTOMER_CHANGED, by, "");
        return byId(id);
    }

    /**
     * Two records of one customer become one: castings, former names and notes of the one that goes hang on the one that stays.
     *
     * @throws BadInputException when both are the same
     */
    public Customer merge(UUID gone, UUID stays, UUID by) {
        if (gone.equals(stays)) {
            throw new BadInputException("into", "app.customer.that-is-the-same-customer");
        }
        CustomerRow from = customers.findById(gone).orElseThrow();
        CustomerRow into = customers.findById(stays).orElseThrow();
        List<String> kept = new ArrayList<>();
        into.phone = either(into.phone, from.phone, kept);
        into.mail = either(into.mail, from.mail, kept);
        if (into.unit == null) {
            into.unit = from.unit;
        }
        if (into.days == null) {
            into.days = from.days;
        }
        into.notes = Stream.of(Stream.of(into.notes, from.notes), kept.stream())
                .flatMap(s -> s)
                .filter(n -> !n.isBlank())
                .distinct()
                .collect(Collectors.joining("\n"));
        if (into.notes.length() > 2000) {
            throw new BadInputException("into", "app.customer.the-notes-of-both-are-too-long");
        }
        String name = into.name;
        String other = from.name;
        customers.saveAndFlush(into);
        names.save(new CustomerNameRow(stays, other, by, clock.instant()));
        names.hangOn(gone, stays);
        hangOn(gone, stays, name);
        customers.deleteById(gone);
        customers.flush();
        journal.write(Journal.What.CUSTOMERS_MERGED, by, "");
        return byId(stays);
    }

    /** What one has stays; what both have and differs is kept beside it. */
    private static String either(String own, String other, List<String> kept) {
        if (own.isBlank()) {
            return other;
        }
        if (!other.isBlank() && !other.equals(own)) {
            kept.add("also " + other);
        }
        return own;
    }

    private void hangOn(UUID from, UUID into, String name) {
        carriers.forEach(c -> c.hangOn(from, into, name));
    }
}
