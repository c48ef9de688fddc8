package homalon.app.machining.cut;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.cut.SetUpMethod;
import homalon.core.geometry.Box;
import homalon.core.part.Layout;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The depth to clean with its spread, and a plan by it. */
@ExtendWith(RunningShop.class)
class PlanSpreadTest {
    private final RunningShop.Shop shop;

    PlanSpreadTest(RunningShop.Shop shop) {
        this.shop = shop;
    }

    private static String found(Pattern pattern, String page) {
        Matcher matcher = pattern.matcher(page);
        assertTrue(matcher.find(), "nothing like " + pattern);
        return matcher.group(1).replace("&amp;", "&");
    }

    @Test
    void thePlanSaysWhatCleansItInNineOfTenCasesAndPlansByIt() {
        HandsOfTests hands = new HandsOfTests(shop);
        PartFile part = hands.bookReady();
        Box box = Layout.of(part.numbers()).box();
        hands.read(part, SurveyKind.FACE, s -> 0.08 * Math.pow(box.u(s.x()), 2));
        Visitor ines = Visitor.signedIn(shop.port(), "ines");
        String plan = ines.get("/parts/" + part.tag() + "/plan").body();
        double mostly = Double.parseDouble(found(Pattern.compile(">([0-9.]+)</b> cleans it in 9 of 10 cases"), plan));
        double likely = Double.parseDouble(found(Pattern.compile(">([0-9.]+)</b> as likely as not"), plan));
        assertTrue(likely > 0.075 && likely < mostly && mostly < 0.12, likely + " and " + mostly);
        String by = ines.get(found(Pattern.compile("href=\"([^\"]*total=[0-9][^\"]*)\""), plan))
                .body();
        double keyed = Double.parseDouble(found(Pattern.compile("name=\"total\"[^>]*value=\"([0-9.]+)"), by));
        assertEquals(mostly, keyed, 0.0011);
        double total = Double.parseDouble(
                found(Pattern.compile("passes add up to</span> <b class=\"font-mono\">([0-9.]+)"), by));
        assertTrue(total >= mostly - 0.0005, "the passes take that much: " + total);
    }

    /** The log says what is left with its spread. */
    @Test
    void theLogSaysWhatIsLeftInNineOfTenCases() {
        HandsOfTests hands = new HandsOfTests(shop);
        PartFile part = hands.bookReady();
        Box box = Layout.of(part.numbers()).box();
        hands.read(part, SurveyKind.FACE, s -> 0.08 * Math.pow(box.u(s.x()), 2));
        hands.plan(part, SetUpMethod.LEAST_REMOVAL);
        Visitor ines = Visitor.signedIn(shop.port(), "ines");
        double whole = left(ines, part);
        hands.pass(part, "0.03");
        assertEquals(whole - 0.03, left(ines, part), 0.0011);
        // Hardly more than what is told at all is left of the depth of 9 in 10, and less of the likely one.
        hands.pass(part, String.format(Locale.ROOT, "%.4f", whole - 0.03 - 0.0025));
        String cut = ines.get("/parts/" + part.tag() + "/cut").body();
        assertTrue(cut.contains("By what was read it is as likely clean as not"), cut);
        hands.read(part, SurveyKind.PROOF, s -> 0);
        assertFalse(ines.get("/parts/" + part.tag() + "/cut").body().contains("By what was read"), "read again");
    }

    private static double left(Visitor who, PartFile part) {
        return Double.parseDouble(found(
                Pattern.compile("By what was read ([0-9.]+) mm more cleans it in 9 of 10 cases"),
                who.get("/parts/" + part.tag() + "/cut").body()));
    }
}
