package homalon.core.cut;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.chambers.EngineBook.Crown;
import homalon.core.chambers.EngineBook.Drive;
import homalon.core.chambers.EngineItem;
import homalon.core.cut.Budget.Kind;
import homalon.core.cut.Budget.State;
import homalon.core.part.PartKind;
import homalon.core.words.English;
import homalon.core.words.Message;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What may come off by each limit that a cut uses up as deep as it is, by sums done beside the program. */
class BudgetsTest {
    private static Budgets budgets(OutlookQuestion q) {
        return Outlook.of(q).budgets();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "-",
            value = {
                // face | drive | book | off since measured | cut | off the other | gasket | kind | now | after | room |
                // state
                "HEAD|GEARS|THINNEST 100.4, THICKNESS_LEAST 99.8|-|0.2|0|-|THICKNESS|100.4|100.2|0.6|WITHIN",
                "HEAD|GEARS|THINNEST 100.4, THICKNESS_LEAST 99.8|THINNEST 0.3|0.2|0|-|THICKNESS|100.1|99.9|0.3|WITHIN",
                "HEAD|GEARS|THINNEST 100.4, THICKNESS_LEAST 99.8|THINNEST 0.3|0.3|0|-|THICKNESS|100.1|99.8|0.3|WITHIN",
                "HEAD|GEARS|THINNEST 100.4, THICKNESS_LEAST 99.8|-|0.61|0|-|THICKNESS|100.4|99.79|0.6|OVER",
                "HEAD|GEARS|THICKNESS_LEAST 99.8|-|0.1|0|-|THICKNESS|-|-|-|NOT_MEASURED",
                "HEAD|GEARS|CLASS_THICKNESS 99.8|-|0.1|0|-|CLASS_THICKNESS|-|-|-|NOT_MEASURED",
                "HEAD|GEARS|THINNEST 99.9, CLASS_THICKNESS 99.8|-|0.1|0|-|CLASS_THICKNESS|99.9|99.8|0.1|ON_THE_LINE",
                "HEAD|GEARS|LIFE_MOST 0.8|-|0.2|0|-|LIFE|0|0.2|0.8|WITHIN",
                "HEAD|GEARS|LIFE_MOST 0.8|-|0.9|0|-|LIFE|0|0.9|0.8|OVER",

                // Piston to head: a cut of the head leaves it, one of the deck takes it.
                "HEAD|GEARS|GASKET 1.2, DECK 0.3|-|0.4|0.1|-|SQUEEZE|1.5|1.4|Infinity|WITHIN",
                "HEAD|GEARS|GASKET 1.2, DECK 0.3|-|0.4|0.6|-|SQUEEZE|1.5|0.9|Infinity|OVER",
                "DECK|GEARS|GASKET 1.2, DECK 0.3|-|0.4|0.1|-|SQUEEZE|1.5|1.1|0.5|WITHIN",
                "DECK|GEARS|GASKET 1.2, DECK 0.3|DECK 0.1|0.4|0|-|SQUEEZE|1.4|1.0|0.4|WITHIN",
                "DECK|GEARS|GASKET 1.2, DECK 0.3|-|0.4|0|0.9|SQUEEZE|1.5|0.8|0.2|OVER",
                "DECK|GEARS|GASKET 1.2|-|0.4|0|-|SQUEEZE|-|-|-|NOT_MEASURED",

                // A valve that stands along the bore: the cut, what comes off the other face, less what a gasket is
                // thicker.
                "HEAD|GEARS|INTAKE_ROOM 2.6, GASKET 1.2|-|0.4|0.1|1.3|INTAKE|2.6|2.2|1.1|WITHIN",
                "HEAD|GEARS|INTAKE_ROOM 2.6, SINK 0.2|INTAKE_ROOM 0.1|0.4|0.1|-|INTAKE|2.7|2.2|1.1|WITHIN",
                "HEAD|PUSHROD|EXHAUST_ROOM 2.6|-|0.11|0|-|EXHAUST|2.6|2.49|0.1|OVER",
                "HEAD|PUSHROD|STROKE 80|-|0.1|0|-|EXHAUST|-|-|-|NOT_MEASURED",

                // A class asks for two standard uncertainties of the piston's height, 0.01 each.
                "DECK|GEARS|DECK 0.3, CLASS_DECK 0.1|-|0.1|0|-|CLASS_DECK|0.3|0.2|0.18|WITHIN",
                "DECK|GEARS|DECK 0.3, CLASS_DECK 0.1|-|0.19|0|-|CLASS_DECK|0.3|0.11|0.18|ON_THE_LINE",
                "DECK|GEARS|DECK 0.3, CLASS_DECK 0.1|-|0.23|0|-|CLASS_DECK|0.3|0.07|0.18|OVER",
                "DECK|GEARS|DECK 0.3, CLASS_DECK 0.1|DECK 0.05|0.1|0|-|CLASS_DECK|0.25|0.15|0.13|WITHIN",
                "HEAD|GEARS|DECK 0.3, CLASS_DECK 0.1|-|0.1|0.05|-|CLASS_DECK|0.3|0.25|Infinity|WITHIN",
                "DECK|GEARS|CLASS_DECK 0.1|-|0.1|0|-|CLASS_DECK|-|-|-|NOT_MEASURED",
                "HEAD|GEARS|WAY_METAL 4.5, WAY_METAL_LEAST 4.0|WAY_METAL 0.1|0.2|0|-|WAY_METAL|4.4|4.2|0.4|WITHIN",
                "HEAD|GEARS|WAY_METAL_LEAST 4.0|-|0.2|0|-|WAY_METAL|-|-|-|NOT_MEASURED",
                "HEAD|GEARS|RING_DEPTH 0.7|RING_DEPTH 0.2|0.5|0|-|RING|0.5|0|0.5|WITHIN",
                "HEAD|GEARS|RING_DEPTH 0.7|-|0.71|0|-|RING|0.7|-0.01|0.7|OVER",
                "HEAD|GEARS|RECESSION 0.6, RECESSION_LEAST 0.1, SINK 0.1|RECESSION 0.2|0.3|0|-|RECESSION|0.5|0.2|0.4|WITHIN",
                "DECK|SIDE_VALVE|RECESSION 0.6, RECESSION_LEAST 0.1|-|0.6|0|-|RECESSION|0.6|0|0.5|OVER",

                // Under the roof of a side-valve head.
                "HEAD|SIDE_VALVE|ROOM 2.3, SINK 0.1, GASKET 1.2|ROOM 0.2|0.4|0.1|1.3|ROOM|2.2|1.8|1.2|WITHIN",
                "HEAD|SIDE_VALVE|ROOM 2.3|-|1.3|0|-|ROOM|2.3|1.0|1.3|WITHIN",
                "HEAD|SIDE_VALVE|ROOM 2.3|-|1.31|0|-|ROOM|2.3|0.99|1.3|OVER",
                "HEAD|SIDE_VALVE|STROKE 80|-|0.1|0|-|ROOM|-|-|-|NOT_MEASURED"
            })
    void whatMayComeOff(
            PartKind face,
            Drive drive,
            String book,
            String since,
            double cut,
            double other,
            Double gasket,
            Kind kind,
            Double now,
            Double after,
            Double room,
            State state) {
        Budget b = budgets(QuestionOfTests.of(face, drive, Crown.FLAT, book, since, cut, other, gasket)).all().stream()
                .filter(x -> x.kind() == kind)
                .findFirst()
                .orElseThrow();
        assertEquals(state, b.state());
        assertEquals(now == null, b.figures().isEmpty());
        if (now == null) {
            return;
        }
        assertEquals(now, b.now(), 1e-9);
        assertEquals(after, b.after(), 1e-9);
        assertEquals(room, b.room(), 1e-9);
        assertFalse(b.working().lines().isEmpty());
    }

    @ParameterizedTest
    @CsvSource({
        "HEAD, SIDE_VALVE, SQUEEZE",
        "HEAD, SIDE_VALVE, INTAKE",
        "HEAD, GEARS, ROOM",
        "HEAD, GEARS, RING",
        "HEAD, GEARS, LIFE",
        "HEAD, GEARS, THICKNESS",
        "HEAD, GEARS, CLASS_DECK",
        "HEAD, GEARS, WAY_METAL",
        "DECK, GEARS, RECESSION"
    })
    void whatNobodyLimits(PartKind face, Drive drive, Kind kind) {
        String book = "RECESSION 0.6, RECESSION_LEAST 0.1".repeat(kind == Kind.RECESSION ? 1 : 0);
        Budgets all =
                budgets(QuestionOfTests.of(face, drive, Crown.FLAT, book.isEmpty() ? null : book, null, 0.1, 0, null));
        assertTrue(all.all().stream().noneMatch(b -> b.kind() == kind));
    }

    private static OutlookQuestion needing(String book, double need, String since) {
        OutlookQuestion q = QuestionOfTests.of(PartKind.HEAD, Drive.GEARS, Crown.FLAT, book, since, 0, 0, null);
        return new OutlookQuestion(
                q.book(),
                q.face(),
                q.chambers(),
                q.pistons(),
                q.rims(),
                0,
                q.life(),
                q.since(),
                Optional.of(FaceNeed.of(need)),
                q.casting(),
                q.whatIf());
    }

    /** What the face needs, against what may come off: equal is enough, a hair more is not. */
    @ParameterizedTest
    @CsvSource({"0.2, true, FITS", "0.20000001, false, DO_NOT_CUT", "0.1, true, FITS"})
    void enoughOrNot(double need, boolean enough, FaceNeed.Advice advice) {
        Budgets b = budgets(needing("THINNEST 100, THICKNESS_LEAST 99.8", need, null));
        assertEquals(enough, b.enough());
        assertEquals(advice, b.advice());
        assertEquals(0.2, b.mayComeOff().orElseThrow(), 1e-9);
        assertTrue(b.thicknessKnown());
    }

    /** A gouge is as deep as it was, less what came off since; one that is gone asks for nothing. */
    @Test
    void whatTheFaceNeeds() {
        Budgets b = budgets(needing("GOUGE 0.3", 0.1, "GOUGE 0.2"));
        assertEquals(
                List.of(0.1, 0.3 - 0.2),
                b.needs().stream().map(Budgets.Need::depth).toList());
        assertEquals(1, budgets(needing("GOUGE 0.3", 0.1, "GOUGE 0.3")).needs().size());
        assertEquals(1, budgets(needing("STROKE 80", 0.1, null)).needs().size());
        assertEquals(
                FaceNeed.Advice.DO_NOT_CUT,
                budgets(needing("GOUGE 0.3, THINNEST 100, THICKNESS_LEAST 99.8", 0.1, null))
                        .advice());
        assertEquals(
                FaceNeed.Advice.FITS,
                budgets(needing("GOUGE 0.2, THINNEST 100, THICKNESS_LEAST 99.8", 0.1, null))
                        .advice());
    }

    @Test
    void whatIsOpenIsNamed() {
        Budgets none = budgets(QuestionOfTests.of(PartKind.HEAD, Drive.GEARS, Crown.FLAT, null, null, 0, 0, null));
        assertEquals(List.of(EngineItem.THICKNESS_LEAST, EngineItem.LIFE_MOST), none.withoutLimit());
        assertTrue(none.mayComeOff().isEmpty());
        assertFalse(none.thicknessKnown());
        assertEquals("", English.of(none.lifeOpen()));
        assertEquals(3, none.notMeasured().size(), "both valves and the squeeze");
        Budgets byClass = budgets(QuestionOfTests.of(
                PartKind.HEAD, Drive.GEARS, Crown.FLAT, "CLASS_THICKNESS 99, LIFE_MOST 1", null, 0, 0, null));
        assertEquals(List.of(), byClass.withoutLimit());
    }

    /** Over whatever is cut, and over by what is cut. */
    @Test
    void overAlready() {
        String book = "THINNEST 99.8, THICKNESS_LEAST 99.8, LIFE_MOST 0.8, RING_DEPTH 0.1";
        Budgets none = budgets(QuestionOfTests.of(PartKind.HEAD, Drive.GEARS, Crown.FLAT, book, null, 0, 0, null));
        assertEquals(List.of(), none.over());
        assertEquals(List.of(), none.overAlready());
        Budgets cut = budgets(QuestionOfTests.of(PartKind.HEAD, Drive.GEARS, Crown.FLAT, book, null, 0.2, 0, null));
        assertEquals(
                List.of(Kind.THICKNESS, Kind.RING),
                cut.over().stream().map(Budget::kind).toList());
        assertEquals(List.of(), cut.overAlready(), "nothing was over before");
        Budgets before =
                budgets(QuestionOfTests.of(PartKind.HEAD, Drive.GEARS, Crown.FLAT, book, "THINNEST 0.1", 0, 0, null));
        assertEquals(
                List.of(Kind.THICKNESS),
                before.overAlready().stream().map(Budget::kind).toList());
        assertEquals(0, before.mayComeOff().orElseThrow(), "less than nothing is nothing");
    }

    /** A deck cut down to its budget: what stands proud of it then. */
    @ParameterizedTest
    @CsvSource(
            nullValues = "-",
            value = {"DECK, 0.9, -", "DECK, 0.5, 0.4", "DECK, 1.2, -", "HEAD, 0.5, -"})
    void pistonsThatComeProud(PartKind face, double deck, Double proud) {
        // A gasket of 1.5 leaves 0.5 below the squeeze of 1.0 beside the piston's own height.
        Budgets b = budgets(QuestionOfTests.of(
                face, Drive.GEARS, Crown.FLAT, "GASKET 1.5, LIFE_MOST 0.9, DECK " + deck, null, 0, 0, null));
        double may = Math.min(0.9, deck + 1.5 - 1.0);
        double over = may - deck;
        assertEquals(
                face == PartKind.DECK && over > 1e-9 ? over : Double.NaN,
                b.proud().orElse(Double.NaN),
                1e-9);
        assertEquals(proud == null ? Double.NaN : proud, b.proud().orElse(Double.NaN), 1e-9);
    }

    @Test
    void whatWasNotMeasuredIsNamedAndNothingElse() {
        Budgets b = budgets(QuestionOfTests.of(
                PartKind.HEAD,
                Drive.GEARS,
                Crown.FLAT,
                "THINNEST 100, THICKNESS_LEAST 99, INTAKE_ROOM 3, GASKET 1.2",
                null,
                0,
                0,
                null));
        assertEquals(
                List.of(Kind.SQUEEZE, Kind.EXHAUST),
                b.notMeasured().stream().map(Budget::kind).toList());
        assertEquals(
                "not known: Piston below the deck, − proud",
                English.bare(b.notMeasured().get(0).working().lines().get(0)));
        Budgets other =
                budgets(QuestionOfTests.of(PartKind.HEAD, Drive.GEARS, Crown.FLAT, "DECK 0.3", null, 0, 0, null));
        assertEquals(
                "not known: Gasket, compressed",
                English.bare(other.notMeasured().get(0).working().lines().get(0)));
    }

    private static OutlookQuestion lived(String book, OutlookQuestion.Life life) {
        OutlookQuestion q = QuestionOfTests.of(PartKind.HEAD, Drive.GEARS, Crown.FLAT, book, null, 0, 0, null);
        return new OutlookQuestion(
                q.book(), q.face(), q.chambers(), q.rims(), 0, life, q.since(), q.need(), q.whatIf());
    }

    /** What came off before is known, guessed or not known: it is said wherever a life's limit stands. */
    @ParameterizedTest
    @CsvSource({
        "KNOWN, ''",
        "ESTIMATED, what came off before is an estimate",
        "UNKNOWN, what came off before is not known"
    })
    void howSureALifeIs(OutlookQuestion.Life.Sure sure, String said) {
        OutlookQuestion.Life life = new OutlookQuestion.Life(0.3, sure);
        assertEquals(said, English.of(budgets(lived("LIFE_MOST 0.8", life)).lifeOpen()));
        assertEquals("", English.of(budgets(lived("STROKE 80", life)).lifeOpen()), "no limit, nothing to say");
        Budget b = budgets(lived("LIFE_MOST 0.8", life)).all().stream()
                .filter(x -> x.kind() == Kind.LIFE)
                .findFirst()
                .orElseThrow();
        assertEquals(0.5, b.room(), 1e-9);
        assertEquals(0.2, b.left(0.3), 1e-9);
        assertEquals(
                "ledger: {} off so far" + (said.isEmpty() ? "" : "; " + said),
                English.bare(b.working().lines().get(0)));
    }

    /** A gouge that may come out does not forbid a cut that the set-up alone made too deep. */
    @Test
    void aGougeThatFitsLeavesTheOtherAdvice() {
        OutlookQuestion q = QuestionOfTests.of(
                PartKind.HEAD,
                Drive.GEARS,
                Crown.FLAT,
                "THINNEST 100, THICKNESS_LEAST 99.8, GOUGE 0.15",
                null,
                0,
                0,
                null);
        FaceNeed need = new FaceNeed(OptionalDouble.empty(), 0.3, 0.18, 0.1);
        OutlookQuestion asked = new OutlookQuestion(
                q.book(),
                q.face(),
                q.chambers(),
                q.pistons(),
                q.rims(),
                0,
                q.life(),
                q.since(),
                Optional.of(need),
                q.casting(),
                q.whatIf());
        assertEquals(need.advice(0.2), budgets(asked).advice());
        assertEquals(FaceNeed.Advice.LEAST_REMOVAL, budgets(asked).advice());
        OutlookQuestion none = QuestionOfTests.of(
                PartKind.HEAD,
                Drive.GEARS,
                Crown.FLAT,
                "THINNEST 100, THICKNESS_LEAST 99.8, GOUGE 0.3",
                null,
                0,
                0,
                null);
        assertEquals(FaceNeed.Advice.DO_NOT_CUT, budgets(none).advice(), "nothing but the gouge asks for a cut");
        assertFalse(budgets(none).enough());
    }

    private static ChamberNow chamber(homalon.core.chambers.OpeningArea opening) {
        return new ChamberNow(
                "1",
                46,
                46,
                0.2,
                ChamberNow.Basis.FILLED,
                0,
                0,
                0,
                opening,
                Optional.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }

    /** Said only where the limit that ends the cut follows a chamber, and nobody measured its opening. */
    @ParameterizedTest
    @CsvSource({"CLASS_CC 45, true, true", "CLASS_CC 45, false, false", "'CLASS_CC 20, LIFE_MOST 0.1', true, false"})
    void whatRestsOnAnAssumedOpening(String book, boolean rough, boolean said) {
        OutlookQuestion q = QuestionOfTests.of(PartKind.HEAD, Drive.GEARS, Crown.FLAT, book, null, 0, 0, null);
        var opening = rough
                ? homalon.core.chambers.OpeningArea.outline(4800, 250)
                : homalon.core.chambers.OpeningArea.keyed(4800);
        Budgets b = budgets(new OutlookQuestion(
                q.book(),
                q.face(),
                List.of(chamber(opening)),
                RimDepths.level(1),
                0,
                q.life(),
                q.since(),
                q.need(),
                q.whatIf()));
        assertEquals(said, b.restsOnAssumedOpening());
    }

    @Test
    void theWorkingOfAValveFollowsItsCrown() {
        for (Crown crown : Crown.values()) {
            Budget b = budgets(QuestionOfTests.of(
                            PartKind.HEAD,
                            Drive.GEARS,
                            crown,
                            "INTAKE_ROOM 2.6, INTAKE_LEAN 20, GASKET 1.2",
                            null,
                            0.3,
                            0.1,
                            1.3))
                    .all()
                    .stream()
                    .filter(x -> x.kind() == Kind.INTAKE)
                    .findFirst()
                    .orElseThrow();
            Message after = b.working().lines().get(1);
            assertEquals(
                    crown == Crown.FLAT
                            ? "after: {} − {} / cos(lean) + {} = {}"
                            : "after: {} − {} · cos(lean) + {} = {}",
                    English.bare(after));
            assertEquals(0.3, English.lengths(after).get(1), 1e-9, "0.3 and 0.1 off, less a gasket 0.1 thicker");
            assertEquals(b.after(), English.lengths(after).get(3), 1e-12);
        }
    }
}
