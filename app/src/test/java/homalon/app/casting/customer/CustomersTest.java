package homalon.app.casting.customer;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.casting.part.Parts;
import homalon.app.foundation.people.People;
import homalon.app.foundation.web.NotHereException;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.visit.PartFile;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Customers as PostgreSQL keeps them. */
@ExtendWith(RunningShop.class)
class CustomersTest {
    private final Customers customers;
    private final Parts parts;
    private final HandsOfTests hands;
    private final UUID by;

    CustomersTest(RunningShop.Shop shop) {
        customers = shop.bean(Customers.class);
        parts = shop.bean(Parts.class);
        hands = new HandsOfTests(shop);
        by = shop.bean(People.class).all().get(0).id();
    }

    private Customer fresh(String name) {
        return customers.named(name + " " + UUID.randomUUID(), by);
    }

    private Customer change(Customer c, String name) {
        return customers.change(c.id(), name, c.phone(), c.mail(), "", "", c.notes(), c.version(), by);
    }

    private PartFile castingOf(Customer c) {
        return hands.bookFor(c.name());
    }

    @ParameterizedTest
    @ValueSource(strings = {"Meyer-Werft", "MEYER WERFT", "meyer  werft.", "Meyer/Werft"})
    void whoIsKeyedWithOtherCapitalsAndDashesIsTheSame(String keyed) {
        assertEquals(
                customers.named("Meyer-Werft", by).id(),
                customers.named(keyed, by).id());
    }

    @Test
    void anotherNameIsAnotherCustomer() {
        assertFalse(customers
                .named("Meyer-Werft", by)
                .id()
                .equals(customers.named("Meyer-Werfte", by).id()));
    }

    @ParameterizedTest
    @CsvSource({"meyer werft", "eyer-we", "meier werft", "meyerwerft"})
    void isFoundThoughSpeltNearlySo(String typed) {
        customers.named("Meyer-Werft", by);
        assertTrue(
                customers.find(typed, 0, 50).stream().anyMatch(c -> c.name().equals("Meyer-Werft")),
                () -> customers.find(typed, 0, 50).toString());
    }

    @Test
    void whatContainsTheLettersComesFirst() {
        customers.named("Limpet Marine", by);
        customers.named("Limpit Yard", by);
        assertEquals("Limpet Marine", customers.find("limpet", 0, 5).get(0).name());
    }

    @Test
    void nobodyIsFoundByWhatIsLikeNothing() {
        assertEquals(List.of(), customers.find("zqxjkvw", 0, 5));
    }

    @Test
    void aNewNameStandsOnEveryCasting() {
        Customer was = fresh("Pilot Bot Co");
        PartFile one = castingOf(was);
        PartFile two = castingOf(was);
        String right = "Pilot Boat Co " + UUID.randomUUID();
        change(was, right);
        assertEquals(right, parts.byTag(one.tag()).customer());
        assertEquals(right, parts.byTag(two.tag()).customer());
        assertEquals(List.of(was.name()), customers.formerNames(was.id()));
        assertEquals(
                one.version() + 1, parts.byTag(one.tag()).version(), "a sheet that is open is asked to look again");
    }

    @Test
    void whatIsKeptWithoutANewNameChangesNoCasting() {
        Customer was = fresh("Dredge");
        PartFile part = castingOf(was);
        Customer now = customers.change(
                was.id(), was.name(), " 0123 4567 ", "yard@example.org", "THOU", "", "pays late", was.version(), by);
        assertEquals("0123 4567", now.phone());
        assertEquals("yard@example.org", now.mail());
        assertEquals(Optional.of(BenchUnit.THOU), now.unit());
        assertEquals("pays late", now.notes());
        assertEquals(part.version(), parts.byTag(part.tag()).version());
        assertEquals(List.of(), customers.formerNames(was.id()));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            ''         |                |                       | name
            erased     |                |                       | name
            fine       |                | no address            | mail
            fine       |                | a b@c                 | mail
            fine       | 1234567890123456789012345678901234567890123456789012345678901 | | phone
            """)
    void whatCannotBeKeptIsRefusedWithItsField(String name, String phone, String mail, String field) {
        Customer was = fresh("Refused");
        BadInputException e = assertThrows(
                BadInputException.class,
                () -> customers.change(
                        was.id(),
                        name,
                        phone == null ? "" : phone,
                        mail == null ? "" : mail,
                        "",
                        "",
                        "",
                        was.version(),
                        by));
        assertEquals(field, e.problems().get(0).field());
        assertEquals(was, customers.byId(was.id()));
    }

    @Test
    void whoChangesWhatAnotherChangedMeanwhileIsAskedToLookAgain() {
        Customer was = fresh("Twice");
        change(was, was.name());
        customers.change(was.id(), was.name(), "1", "", "", "", "", was.version(), by);
        assertThrows(
                BadInputException.class,
                () -> customers.change(was.id(), was.name(), "2", "", "", "", "", was.version(), by));
        assertEquals("1", customers.byId(was.id()).phone());
    }

    @Test
    void aNameThatAnotherHasIsNotTakenButMerged() {
        Customer one = fresh("One");
        Customer other = fresh("Other");
        BadInputException e = assertThrows(BadInputException.class, () -> change(one, other.name()));
        assertEquals("name", e.problems().get(0).field());
    }

    @Test
    void twoRecordsBecomeOneAndNothingOfThemIsLost() {
        Customer gone = fresh("Hulk");
        Customer stays = fresh("Hulks");
        gone = customers.change(
                gone.id(), gone.name(), "111", "a@example.org", "THOU", "", "gate code 4", gone.version(), by);
        stays = customers.change(stays.id(), stays.name(), "222", "", "", "", "cash", stays.version(), by);
        PartFile part = castingOf(gone);
        Customer one = customers.merge(gone.id(), stays.id(), by);
        assertEquals(stays.name(), parts.byTag(part.tag()).customer());
        assertEquals("222", one.phone());
        assertEquals("a@example.org", one.mail());
        assertEquals(Optional.of(BenchUnit.THOU), one.unit());
        assertEquals("cash\ngate code 4\nalso 111", one.notes());
        assertEquals(List.of(gone.name()), customers.formerNames(stays.id()));
        UUID was = gone.id();
        assertThrows(NotHereException.class, () -> customers.byId(was));
    }

    @Test
    void nobodyIsMergedWithItself() {
        Customer one = fresh("Self");
        assertThrows(BadInputException.class, () -> customers.merge(one.id(), one.id(), by));
        assertEquals(one, customers.byId(one.id()));
    }

    @Test
    void theWordForTheErasedIsNobodysName() {
        assertThrows(BadInputException.class, () -> customers.named(Customers.ERASED, by));
    }
}
