package homalon.core.face;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.PartKind;
import homalon.core.sim.SeededFace;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CausesTest {
    private static final Box BOX = new Box(0, 0, 412, 150);

    private static FlatnessResult face(double longBow, double lift, SeededFace.Dip... dips) {
        List<Spot> spots = new ArrayList<>();
        for (int i = 0; i <= 8; i++) {
            for (int j = 0; j <= 4; j++) {
                spots.add(new Spot(412.0 * i / 8, 150.0 * j / 4));
            }
        }
        Points points = new SeededFace(BOX, 0, 0, longBow, 0, lift, List.of(dips)).read(spots, 0, 1);
        return Flatness.of(points, FlatnessSettings.over(BOX).withLimit(0.03));
    }

    private static List<Causes.Cause> causes(FlatnessResult flat, String shape, String story, PartKind kind) {
        return Causes.of(new Causes.Seen(flat, shape, story, kind));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0.08 | 0 | overheated in August | fits what was told: it was hot",
                "0.08 | 0 | in for a check | Ask whether it was hot",
                "-0.08 | 0 | crowned after welding | fits the weld",
                "0 | 0.3 | stored leaning on one corner | stored or stacked loose",
                "0 | 0.3 | skimmed by others | corners set level"
            })
    void aCauseFitsTheShapeAndTheStory(double longBow, double lift, String story, String words) {
        List<Causes.Cause> all = causes(face(longBow, lift), "", story, PartKind.HEAD);
        assertTrue(all.stream().anyMatch(c -> c.words().contains(words)), all.toString());
        assertTrue(all.stream().allMatch(c -> !c.from().isBlank()), "each says what it comes from");
        assertTrue(all.get(all.size() - 1).words().startsWith("Read the deck"));
    }

    @Test
    void aFlatOverheadCamHeadThatWasHotIsStillLookedAt() {
        FlatnessResult flat = face(0.005, 0);
        List<Causes.Cause> all = causes(flat, "", "Twin-cam, boiled dry", PartKind.HEAD);
        assertEquals(1, all.size());
        assertTrue(all.get(0).words().contains("cam line"));
        assertEquals(List.of(), causes(flat, "", "Twin-cam, in for a check", PartKind.HEAD));
        assertEquals(List.of(), causes(flat, "", "Twin-cam, boiled dry", PartKind.DECK));
    }

    @Test
    void aLowBetweenBoresWhereAGasketLeakedSendsOneToLookForPits() {
        FlatnessResult local = face(0, 0, new SeededFace.Dip(new Spot(206, 75), 0.08, 25));
        List<Causes.Cause> all = causes(local, "lowest between 2 and 3", "gasket gone between 2 and 3", PartKind.HEAD);
        assertTrue(all.get(0).words().contains("pitted"), all.toString());
    }
}
