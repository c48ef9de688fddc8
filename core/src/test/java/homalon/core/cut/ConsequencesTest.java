package homalon.core.cut;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.chambers.EngineBook.Crown;
import homalon.core.chambers.EngineBook.Drive;
import homalon.core.cut.Consequence.Kind;
import homalon.core.cut.Consequence.Tone;
import homalon.core.part.PartKind;
import homalon.core.words.English;
import homalon.core.words.Message;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a cut brings with it, figure by figure, by sums done beside the program. */
class ConsequencesTest {
    private static String said(Message line) {
        return English.of(line);
    }

    private static Optional<Consequence> told(OutlookQuestion q, Kind kind) {
        return Consequences.of(q).stream().filter(c -> c.kind() == kind).findFirst();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                // face | drive | book | measured before so much was cut | cut | off the other | gasket | kind | tone |
                // figures |
                // says | advice | report
                "HEAD|CHAIN_OR_BELT|SPROCKET 50|-|0.3|0.2|-|CAM|OVER|0.57296|-|The cam comes 1.15° late at the crank; 1.00°"
                        + " allowed|An adjustable sprocket|Cam timing comes 1.15°",
                "HEAD|CHAIN_OR_BELT|SPROCKET 50, GASKET 1.2|-|0.3|0.2|1.5|CAM|FINE|0.22918|-|The cam comes 0.46° late|-|Cam"
                        + " timing comes 0.46°",
                "HEAD|CHAIN_OR_BELT|SPROCKET 50|-|0.436|0|-|CAM|FINE|0.49962|-|The cam comes 1.00°|-|Cam timing",
                "HEAD|CHAIN_OR_BELT|SPROCKET 50|-|0.437|0|-|CAM|OVER|0.50077|-|The cam comes 1.00°|An adjustable|Cam timing",
                "HEAD|CHAIN_OR_BELT|SPROCKET 50, RETARD_MOST 0.4|-|0.2|0|-|CAM|OVER|0.22918|-|The cam comes 0.46° late at the"
                        + " crank; 0.40° allowed, maker|An adjustable|Cam timing",
                "HEAD|CHAIN_OR_BELT|STROKE 80|-|0.2|0|-|CAM|NOT_KNOWN|-|-|Cam sprocket, pitch radius is not keyed.|-|-",
                "HEAD|UNKNOWN|STROKE 80|-|0.2|0|-|CAM|NOT_KNOWN|-|-|How its valves are driven is not keyed.|-|-",

                // Valves: 18 degrees off the bore's axis, a flat crown: each 0.3 takes 0.315 of the room.
                "HEAD|CHAIN_OR_BELT|INTAKE_ROOM 2.6, INTAKE_LEAN 18, SINK 0.1|-|0.3|0|-|INTAKE|FINE|2.38456|1.5|Intake keeps"
                        + " 2.385 to the piston; 1.500 at the least|-|Intake valve to piston comes to 2.385",
                "HEAD|CHAIN_OR_BELT|INTAKE_ROOM 2.6, INTAKE_LEAN 18, SINK 0.1|INTAKE_ROOM 0.1|0.2|0.1|-|INTAKE|FINE|2.27942|1.5|"
                        + "Intake keeps 2.279|-|Intake valve",
                "HEAD|PUSHROD|EXHAUST_ROOM 2.6|-|0.1|0|-|EXHAUST|FINE|2.5|2.5|Exhaust keeps 2.500 to the piston; 2.500 at the"
                        + " least|-|Exhaust valve to piston",
                "HEAD|PUSHROD|EXHAUST_ROOM 2.6|-|0.11|0|-|EXHAUST|OVER|2.49|2.5|Exhaust keeps 2.490|Less cut, a thicker"
                        + " gasket|Exhaust valve to piston",
                "HEAD|PUSHROD|EXHAUST_ROOM 2.6, GASKET 1.2|-|0.3|0|1.4|EXHAUST|FINE|2.5|2.5|Exhaust keeps 2.500|-|Exhaust",
                "HEAD|PUSHROD|STROKE 80|-|0.1|0|-|INTAKE|NOT_KNOWN|-|-|Intake valve to piston is not keyed.|-|-",

                // A manifold between two banks at 45 degrees, its faces 10 off square: x sin 45 / cos 55, x cos 10 /
                // cos 55.
                "HEAD|PUSHROD|BANK_HALF 45, FLANGE_LEAN 10|-|0.6|0.4|-|MANIFOLD|LOOK|1.23280|1.71696|Each manifold flange loses"
                        + " 1.233 and the end rails 1.717|Cut both banks alike|The intake manifold needs 1.233 off each flange",
                "HEAD|PUSHROD|BANK_HALF 45|-|0|0|-|MANIFOLD|FINE|0|0|Each manifold flange loses 0.000|-|-",

                // Pushrods.
                "HEAD|PUSHROD|PRELOAD 0.8, PRELOAD_MOST 1.4|-|0.4|0.1|-|PUSHROD|LOOK|0.5|-|Lifter preload comes to 1.300; 1.400 at"
                        + " the most.|Shorter pushrods|The pushrods stand 0.500 too long",
                "HEAD|PUSHROD|PRELOAD 0.8, PRELOAD_MOST 1.4|PRELOAD 0.2|0.4|0|-|PUSHROD|LOOK|0.4|-|Lifter preload comes to 1.400;"
                        + "|Shorter pushrods|The pushrods stand 0.400",
                "HEAD|PUSHROD|PRELOAD 0.8, PRELOAD_MOST 1.4|-|0.7|0|-|PUSHROD|OVER|0.7|-|Lifter preload comes to 1.500;|Shorter"
                        + " pushrods|The pushrods stand 0.700",
                "HEAD|PUSHROD|PRELOAD 0.8|-|0.5|0|-|PUSHROD|LOOK|0.5|-|Lifter preload comes to 1.300.|Shorter|The pushrods",
                "HEAD|PUSHROD|STROKE 80|-|0.5|0|-|PUSHROD|LOOK|0.5|-|Lifter preload grows by 0.500.|Shorter|The pushrods",
                "HEAD|PUSHROD|GASKET 1.2|-|0.2|0|1.4|PUSHROD|FINE|0|-|Lifter preload grows by 0.000.|-|-",

                // Valves in the block: the roof comes nearer.
                "HEAD|SIDE_VALVE|ROOM 2.3, SINK 0.1|ROOM 0.2|0.3|0|-|ROOM|FINE|1.9|1.0|The valve at full lift keeps 1.900 under the"
                        + " roof; 1.000 at the least|-|Side valve at full lift to the head's roof: 1.900",
                "HEAD|SIDE_VALVE|ROOM 2.3|-|1.3|0|-|ROOM|FINE|1.0|1.0|The valve at full lift keeps 1.000|-|Side valve",
                "HEAD|SIDE_VALVE|ROOM 2.3|-|1.3|0.1|-|ROOM|OVER|0.9|1.0|The valve at full lift keeps 0.900|Less cut|Side valve",
                "HEAD|SIDE_VALVE|STROKE 80|-|0.1|0|-|ROOM|NOT_KNOWN|-|-|Side valve at full lift, to the roof is not keyed.|-|-",

                // Valve heads below the face.
                "HEAD|GEARS|RECESSION 0.6, RECESSION_LEAST 0.3, SINK 0.1|RECESSION 0.1|0.3|0|-|RECESSION|FINE|0.3|0.3|Valve heads"
                        + " lie 0.300 below the face then; 0.300 at the least.|-|Valve heads lie 0.300",
                "HEAD|GEARS|RECESSION 0.6, RECESSION_LEAST 0.3|-|0.35|0|-|RECESSION|OVER|0.25|0.3|Valve heads lie 0.250|Seats are"
                        + " set deeper|Valve heads lie 0.250",
                "HEAD|GEARS|RECESSION 0.6|-|0.35|0.4|-|RECESSION|LOOK|0.25|-|Valve heads lie 0.250 below the face then; no limit"
                        + " is keyed.|-|Valve heads lie 0.250",
                "DECK|SIDE_VALVE|RECESSION 0.6|-|0.35|0|-|RECESSION|LOOK|0.25|-|Valve heads lie 0.250|-|Valve heads",

                // Piston to head, of a deck.
                "DECK|PUSHROD|GASKET 1.2, DECK 0.3|-|0.5|0|-|SQUEEZE|FINE|1.0|1.0|Piston keeps 1.000 to the head; 1.000 at the"
                        + " least|-|Piston to head at top dead centre: 1.000",
                "DECK|PUSHROD|GASKET 1.2, DECK 0.3|DECK 0.1|0.5|0|-|SQUEEZE|OVER|0.9|1.0|Piston keeps 0.900|A gasket thicker|Piston"
                        + " to head",
                "DECK|PUSHROD|GASKET 1.2, DECK 0.3|-|0.5|0|1.1|SQUEEZE|OVER|0.9|1.0|Piston keeps 0.900|A gasket thicker|Piston",
                "DECK|PUSHROD|DECK 0.3|-|0.5|0|-|SQUEEZE|NOT_KNOWN|-|-|Gasket, compressed is not keyed.|-|-",
                "DECK|PUSHROD|GASKET 1.2|-|0.5|0|-|SQUEEZE|NOT_KNOWN|-|-|Piston below the deck, − proud is not keyed.|-|-",

                // Bolts.
                "HEAD|GEARS|BOLT_ROOM 3.0|BOLT_ROOM 0.2|0.4|0.1|-|BOLTS|FINE|2.3|-|2.300 of blind hole is left below the bolts.|-"
                        + "|Blind bolt holes keep 2.300",
                "HEAD|GEARS|BOLT_ROOM 3.0, GASKET 1.2|-|0.4|0|1.3|BOLTS|FINE|2.7|-|2.700 of blind hole|-|Blind bolt holes",
                "HEAD|GEARS|BOLT_ROOM 0.5|-|0.5|0|-|BOLTS|OVER|0|-|0.000 of blind hole|They would bottom|Blind bolt holes",
                "HEAD|GEARS|STROKE 80|-|0.4|0.1|-|BOLTS|LOOK|0.5|-|Bolts reach 0.500 deeper|In blind holes|Head bolts reach 0.500",

                // What stands in the face.
                "HEAD|GEARS|STROKE 80|-|0.2|0.4|-|PROUD|LOOK|0.2|-|Dowels and oil restrictors stand 0.200 further proud; injectors"
                        + "|Shorten what would touch; spring seats|Dowels and oil restrictors stand 0.200",
                "DECK|GEARS|STROKE 80|-|0.2|0|-|PROUD|LOOK|0.2|-|Dowels, restrictors and fixed liners stand 0.200|Shorten what would"
                        + " touch; liners|Dowels"
            })
    void whatACutBrings(
            PartKind face,
            Drive drive,
            String book,
            String since,
            double cut,
            double other,
            Double gasket,
            Kind kind,
            Tone tone,
            Double figure,
            Double second,
            String says,
            String advice,
            String report) {
        Consequence c = told(QuestionOfTests.of(face, drive, Crown.FLAT, book, since, cut, other, gasket), kind)
                .orElseThrow();
        assertEquals(tone, c.tone(), said(c.says()));
        List<Double> figures =
                Stream.of(figure, second).filter(Objects::nonNull).toList();
        assertEquals(figures.size(), c.figures().size());
        for (int i = 0; i < figures.size(); i++) {
            assertEquals(figures.get(i), c.figures().get(i), 1e-5);
        }
        assertTrue(said(c.says()).startsWith(says), said(c.says()));
        assertEquals(advice == null, English.of(c.advice()).isEmpty(), English.of(c.advice()));
        assertTrue(advice == null || English.of(c.advice()).startsWith(advice), English.of(c.advice()));
        String reported = c.report().map(ConsequencesTest::said).orElse("");
        assertEquals(report == null, reported.isEmpty(), reported);
        assertTrue(report == null || reported.startsWith(report), reported);
        assertEquals(tone == Tone.NOT_KNOWN, c.working().lines().isEmpty());
        assertEquals(English.of(kind.words()), English.of(c.working().title()));
    }

    /** What does not concern an engine is not spoken of. */
    @ParameterizedTest
    @CsvSource({
        "HEAD, PUSHROD, CAM, 0.2",
        "HEAD, SIDE_VALVE, INTAKE, 0.2",
        "HEAD, SIDE_VALVE, EXHAUST, 0.2",
        "HEAD, PUSHROD, MANIFOLD, 0.2",
        "HEAD, GEARS, PUSHROD, 0.2",
        "HEAD, GEARS, ROOM, 0.2",
        "HEAD, GEARS, RECESSION, 0.2",
        "HEAD, GEARS, SQUEEZE, 0.2",
        "DECK, SIDE_VALVE, SQUEEZE, 0.2",
        "HEAD, GEARS, BOLTS, 0",
        "HEAD, GEARS, PROUD, 0"
    })
    void whatItDoesNotHave(PartKind face, Drive drive, Kind kind, double cut) {
        assertTrue(told(QuestionOfTests.of(face, drive, Crown.FLAT, null, null, cut, 0, null), kind)
                .isEmpty());
    }

    @Test
    void aDeckOfAnOverheadValveEngineHasNoValveHeadsInIt() {
        assertTrue(told(
                        QuestionOfTests.of(
                                PartKind.DECK, Drive.PUSHROD, Crown.FLAT, "RECESSION 0.6", null, 0.1, 0, null),
                        Kind.RECESSION)
                .isEmpty());
        assertTrue(told(
                        QuestionOfTests.of(PartKind.HEAD, Drive.PUSHROD, Crown.FLAT, "BANK_HALF 0", null, 0.1, 0, null),
                        Kind.MANIFOLD)
                .isEmpty());
    }

    @Test
    void aPocketParallelToTheValveLosesLessThanAFlatCrown() {
        String book = "EXHAUST_ROOM 2.6, EXHAUST_LEAN 18";
        double pocket = told(
                        QuestionOfTests.of(
                                PartKind.HEAD, Drive.CHAIN_OR_BELT, Crown.PARALLEL_POCKET, book, null, 0.3, 0, null),
                        Kind.EXHAUST)
                .orElseThrow()
                .figures()
                .get(0);
        assertEquals(2.6 - 0.3 * Math.cos(Math.toRadians(18)), pocket, 1e-9);
        Consequence flat = told(
                        QuestionOfTests.of(PartKind.HEAD, Drive.CHAIN_OR_BELT, Crown.FLAT, book, null, 0.3, 0, null),
                        Kind.EXHAUST)
                .orElseThrow();
        assertEquals(2.6 - 0.3 / Math.cos(Math.toRadians(18)), flat.figures().get(0), 1e-9);
        assertTrue(said(flat.says()).contains("The late cam takes more of it"), "a chain makes it late");
        Consequence gears = told(
                        QuestionOfTests.of(PartKind.HEAD, Drive.GEARS, Crown.FLAT, book, null, 0.3, 0, null),
                        Kind.EXHAUST)
                .orElseThrow();
        assertFalse(said(gears.says()).contains("late"), "gears do not");
    }

    @Test
    void theWorkingsLeadToTheirFigures() {
        Consequence c = told(
                        QuestionOfTests.of(
                                PartKind.HEAD,
                                Drive.PUSHROD,
                                Crown.FLAT,
                                "INTAKE_ROOM 2.6, SINK 0.1",
                                "INTAKE_ROOM 0.1",
                                0.3,
                                0.1,
                                null),
                        Kind.INTAKE)
                .orElseThrow();
        assertTrue(said(c.working().lines().get(0)).contains("lean not keyed, taken as none"));
        assertEquals(
                "2.600 − 0.500 / cos(lean) + 0.100 sunk = 2.200",
                said(c.working().lines().get(1)));
        Consequence bolts = told(
                        QuestionOfTests.of(
                                PartKind.HEAD,
                                Drive.GEARS,
                                Crown.FLAT,
                                "BOLT_ROOM 3.0, GASKET 1.2",
                                "BOLT_ROOM 0.2",
                                0.4,
                                0.1,
                                1.3),
                        Kind.BOLTS)
                .orElseThrow();
        assertEquals("3.000 − 0.600 = 2.400", said(bolts.working().lines().get(0)));
        Consequence room = told(
                        QuestionOfTests.of(
                                PartKind.HEAD,
                                Drive.SIDE_VALVE,
                                Crown.FLAT,
                                "ROOM 2.3, SINK 0.1",
                                "ROOM 0.2",
                                0.3,
                                0,
                                null),
                        Kind.ROOM)
                .orElseThrow();
        assertEquals(
                "measured 2.300, nearer by 0.500, sunk 0.100",
                said(room.working().lines().get(0)));
        Consequence recession = told(
                        QuestionOfTests.of(
                                PartKind.HEAD,
                                Drive.GEARS,
                                Crown.FLAT,
                                "RECESSION 0.6, SINK 0.1",
                                "RECESSION 0.1",
                                0.3,
                                0,
                                null),
                        Kind.RECESSION)
                .orElseThrow();
        assertEquals(
                "0.600 − 0.400 cut + 0.100 sunk = 0.300",
                said(recession.working().lines().get(0)));
        Consequence squeeze = told(
                        QuestionOfTests.of(
                                PartKind.DECK, Drive.PUSHROD, Crown.FLAT, "GASKET 1.2, DECK 0.3", null, 0.5, 0, null),
                        Kind.SQUEEZE)
                .orElseThrow();
        assertEquals(
                "gasket and deck 1.500 − 0.500 cut = 1.000",
                said(squeeze.working().lines().get(0)));
    }
}
