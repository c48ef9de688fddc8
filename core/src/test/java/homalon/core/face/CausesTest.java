package homalon.core.face;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.PartKind;
import homalon.core.sim.SeededFace;
import homalon.core.words.English;
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

    private static List<Causes.Cause> causes(FlatnessResult flat, boolean between, String story, PartKind kind) {
        return Causes.of(new Causes.Seen(flat, between, story, kind));
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
        List<Causes.Cause> all = causes(face(longBow, lift), false, story, PartKind.HEAD);
        assertTrue(all.stream().anyMatch(c -> English.of(c.words()).contains(words)), all.toString());
        assertTrue(all.stream().allMatch(c -> !English.of(c.from()).isBlank()), "each says what it comes from");
        assertTrue(English.of(all.get(all.size() - 1).words()).startsWith("Read the deck"));
    }

    @Test
    void aFlatOverheadCamHeadThatWasHotIsStillLookedAt() {
        FlatnessResult flat = face(0.005, 0);
        List<Causes.Cause> all = causes(flat, false, "Twin-cam, boiled dry", PartKind.HEAD);
        assertEquals(1, all.size());
        assertTrue(English.of(all.get(0).words()).contains("cam line"));
        assertEquals(List.of(), causes(flat, false, "Twin-cam, in for a check", PartKind.HEAD));
        assertEquals(List.of(), causes(flat, false, "Twin-cam, boiled dry", PartKind.DECK));
    }

    @Test
    void aLowBetweenBoresWhereAGasketLeakedSendsOneToLookForPits() {
        FlatnessResult local = face(0, 0, new SeededFace.Dip(new Spot(206, 75), 0.08, 25));
        List<Causes.Cause> all = causes(local, true, "gasket gone between 2 and 3", PartKind.HEAD);
        assertTrue(English.of(all.get(0).words()).contains("pitted"), all.toString());
    }

    private static FlatnessResult bowed(double longBow, double crossBow, double lift, SeededFace.Dip... dips) {
        List<Spot> spots = new ArrayList<>();
        for (int i = 0; i <= 8; i++) {
            for (int j = 0; j <= 4; j++) {
                spots.add(new Spot(412.0 * i / 8, 150.0 * j / 4));
            }
        }
        Points points = new SeededFace(BOX, 0, 0, longBow, crossBow, lift, List.of(dips)).read(spots, 0, 1);
        return Flatness.of(points, FlatnessSettings.over(BOX).withLimit(0.03));
    }

    private static final SeededFace.Dip DENT = new SeededFace.Dip(new Spot(206, 75), 0.08, 25);

    /** Of a mixed shape only what its story fits is told, and only what speaks. */
    @Test
    void aMixedShapeIsExplainedByItsStory() {
        FlatnessResult mixed = bowed(0.05, 0, 0.1, new SeededFace.Dip(new Spot(206, 75), 0.05, 25));
        assertEquals(Shape.MIXED, mixed.shape());
        assertEquals(
                List.of("Read the deck as well: where a head is low, its block often is."),
                words(causes(mixed, false, "in for a check", PartKind.HEAD)));
        assertTrue(
                words(causes(mixed, false, "boiled dry", PartKind.HEAD)).get(0).startsWith("Low in the middle fits"));
        assertTrue(words(causes(mixed, false, "stored loose", PartKind.HEAD))
                .get(0)
                .startsWith("Two corners low fits"));
        assertTrue(
                words(causes(mixed, true, "gasket gone", PartKind.HEAD)).get(0).startsWith("Low between two bores"));
        FlatnessResult other = bowed(-0.05, -0.02, 0.1);
        assertEquals(Shape.MIXED, other.shape());
        assertTrue(
                words(causes(other, false, "boiled dry, gasket gone", PartKind.HEAD)).stream()
                        .noneMatch(w -> w.startsWith("Low")),
                "a crown is no hollow, and nothing local is left");
    }

    private static List<String> words(List<Causes.Cause> causes) {
        return causes.stream().map(it -> English.of(it.words())).toList();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                // long bow, cross bow, lift, story: what is said first, and from what
                "0.08|0|0|in for a check|Low in the middle: overheated once|a hollow, long bow above; the story says nothing of heat",
                "0.08|0|0|boiled|Low in the middle fits what was told|a hollow, long bow above, and the story",
                "0|0.08|0|boiled|Low in the middle fits what was told|a hollow, cross bow above, and the story",
                "-0.08|0|0|in for a check|High in the middle: welded|a crown, bow above",
                "-0.08|0|0|welded|High in the middle fits the weld|a crown, bow above, and the story",
                "0|-0.08|0|welded|High in the middle fits the weld|a crown, bow above, and the story",
                "0|0|0.3|in for a check|Two corners low: stored or stacked loose|the fourth corner above",
                "0|0|0.3|stored in a shed|Two corners low fits|the fourth corner above, and the story"
            })
    void whatIsSaidFirst(double longBow, double crossBow, double lift, String story, String says, String from) {
        List<Causes.Cause> all = causes(bowed(longBow, crossBow, lift), false, story, PartKind.DECK);
        assertTrue(English.of(all.get(0).words()).startsWith(says), all.toString());
        assertEquals(from, English.of(all.get(0).from()));
        assertEquals(2, all.size(), "one cause and what to read as well: " + all);
        assertTrue(English.of(all.get(1).words()).startsWith("Read the head as well"));
    }

    @Test
    void aTwistThatWasCutBeforeMayBeACut() {
        List<String> all = words(causes(bowed(0, 0, 0.3), false, "cut before", PartKind.HEAD));
        assertEquals("It was cut before: a cut with the corners set level leaves a twist.", all.get(1));
        assertEquals(3, all.size());
    }

    @Test
    void aDentIsADent() {
        FlatnessResult local = face(0, 0, DENT);
        assertEquals(Shape.LOCAL, local.shape());
        String says = "One low or high place";
        assertTrue(words(causes(local, true, "in for a check", PartKind.HEAD))
                .get(0)
                .startsWith(says));
        assertTrue(words(causes(local, false, "it leaks", PartKind.HEAD)).get(0).startsWith(says));
    }

    @ParameterizedTest
    @CsvSource({
        "HEAD, twin-cam boiled dry, true",
        "HEAD, twin-cam in for a check, false",
        "HEAD, a lid boiled dry, false",
        "DECK, twin-cam boiled dry, false",
        "HEAD, Overhead CAMSHAFT and OVERHEATED, true"
    })
    void whoseLineIsInQuestion(PartKind kind, String story, boolean asked) {
        assertEquals(asked, Causes.mayBeBent(kind, story));
    }
}
