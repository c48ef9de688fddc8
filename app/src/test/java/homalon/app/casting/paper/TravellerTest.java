package homalon.app.casting.paper;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.casting.part.DoneBy;
import homalon.app.casting.work.WorkEntry;
import homalon.app.casting.work.WorkLog;
import homalon.app.foundation.people.People;
import homalon.app.foundation.words.Words;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.cut.SetUpMethod;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import homalon.core.route.Operation;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The sheet that goes along names who did what, as far as the program knows it. */
@ExtendWith(RunningShop.class)
class TravellerTest {
    private final RunningShop.Shop shop;
    private final HandsOfTests hands;

    TravellerTest(RunningShop.Shop shop) {
        this.shop = shop;
        this.hands = new HandsOfTests(shop);
    }

    @Test
    void whoDidWhatAndWhen() {
        PartFile part = hands.bookReady();
        hands.read(part, SurveyKind.FACE, p -> p.x() / 5000);
        UUID marit = shop.bean(People.class).all().stream()
                .filter(p -> p.name().equals("Marit"))
                .findFirst()
                .orElseThrow()
                .id();
        shop.bean(WorkLog.class)
                .write(
                        part,
                        UUID.randomUUID(),
                        WorkEntry.Kind.WAIVED,
                        Operation.PRESSURE_TEST,
                        "no water in it",
                        marit);
        Map<Operation, DoneBy.Hand> by = shop.bean(DoneBy.class).hands(part);
        assertEquals(hands.ines(), by.get(Operation.FACE_CHECK).by());
        assertEquals(marit, by.get(Operation.PRESSURE_TEST).by());
        assertFalse(by.containsKey(Operation.CUT) || by.containsKey(Operation.PROOF), by.toString());
        hands.plan(part, SetUpMethod.LEAST_REMOVAL);
        hands.pass(part, "0.05");
        String page = Visitor.signedIn(shop.port(), "ines")
                .get("/parts/" + part.tag() + "/traveller")
                .body();
        String day = "Ines, \\d{1,2} \\w{3} \\d\\d:\\d\\d";
        for (Operation done :
                new Operation[] {Operation.CLEAN, Operation.FACE_CHECK, Operation.CUT_PLAN, Operation.CUT}) {
            assertTrue(row(page, done, day), done + " in " + page);
        }
        assertFalse(row(page, Operation.HAND_OVER, day), "nobody handed it over yet");
    }

    /** A day is written one way, whatever language the browser asks for. */
    @Test
    void aDayIsWrittenOneWay() {
        LayoutNumbers numbers = LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("84"), Length.ofMm("96"));
        PartFile part = hands.book("Dated", "Dated Yard", "", "", numbers, Optional.of(LocalDate.of(2031, 3, 4)));
        Visitor french = Visitor.signedIn(shop.port(), "ines").through("Accept-Language", "fr-FR,fr;q=0.9");
        for (String paper : new String[] {"tag", "traveller"}) {
            String page = french.get("/parts/" + part.tag() + "/" + paper).body();
            assertTrue(page.contains("due <b>4 March 2031</b>"), page);
        }
    }

    private static boolean row(String page, Operation of, String signed) {
        String words = Words.of(of.words());
        return Pattern.compile("<b>" + Pattern.quote(words) + "</b>.*?</tr>", Pattern.DOTALL)
                .matcher(page)
                .results()
                .anyMatch(m -> Pattern.compile(signed).matcher(m.group()).find());
    }
}
