package homalon.app.machining.cut;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import java.util.Locale;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Levelling and the clamps on a part of the demo whose cut is planned. */
@ExtendWith(RunningShop.class)
class SetupChecksTest {
    private static final String AT = "/parts/T-0401/cut/check";

    private static String check(Visitor visitor, String kind, String... heights) {
        String[] fields = new String[4 + 2 * heights.length];
        fields[0] = "id";
        fields[1] = UUID.randomUUID().toString();
        fields[2] = "kind";
        fields[3] = kind;
        for (int i = 0; i < heights.length; i++) {
            fields[4 + 2 * i] = "read";
            fields[5 + 2 * i] = heights[i];
        }
        return visitor.key(AT, fields).body();
    }

    private static double raise(String page) {
        Matcher m = Pattern.compile("Raise ([ABC]) by ([0-9.]+) mm").matcher(page);
        assertTrue(m.find(), page);
        return Double.parseDouble(m.group(2));
    }

    @Test
    void theSupportToRaiseIsNamedAndWhatIsRaisedAsSaidIsLevel(RunningShop.Shop shop) {
        Visitor visitor = Visitor.signedIn(shop.port(), "ines");
        String first = check(visitor, "LEVEL", "0", "-2", "0");
        assertTrue(first.contains("Raise B by"), first);
        double by = raise(first);
        String second = check(visitor, "LEVEL", "0", String.format(Locale.ROOT, "%.3f", by - 2), "0");
        assertTrue(!second.contains("Raise B by 2"), second);
        assertTrue(raise(second) < 0.3, "only what the face departs from the plane is left");
    }

    @Test
    void clampsThatBendItAreSaidToSpringBack(RunningShop.Shop shop) {
        Visitor visitor = Visitor.signedIn(shop.port(), "ines");
        check(visitor, "CLAMPS_OFF", "0", "0.01", "0.02", "0.03", "-0.05");
        assertTrue(check(visitor, "CLAMPS_ON", "0.1", "0.11", "0.12", "0.13", "0.05")
                .contains("only hold it"));
        String bent = check(visitor, "CLAMPS_ON", "0", "0.01", "0.02", "0.03", "0.02");
        assertTrue(bent.contains("springs back"), bent);
        assertEquals(
                422,
                visitor.key(AT, "id", UUID.randomUUID().toString(), "kind", "CLAMPS_ON", "read", "1")
                        .statusCode());
        assertTrue(check(visitor, "LEVEL", "0", "0", "x").length() < 400, "refused in a sentence");
    }
}
