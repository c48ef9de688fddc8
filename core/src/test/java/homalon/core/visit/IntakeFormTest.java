package homalon.core.visit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.input.BadInputException;
import homalon.core.part.ChamberShape;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.route.Happened;
import homalon.core.rulebook.FaceDefaults;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.RuleBook;
import homalon.core.rulebook.Source;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class IntakeFormTest {
    private static IntakeForm keyed(String... fields) {
        Map<String, String> given = new HashMap<>(Map.of(
                "tag",
                "T-0001",
                "kind",
                "HEAD",
                "material",
                "ALUMINIUM",
                "cylinders",
                "4",
                "bore",
                "87",
                "spacing",
                "98"));
        for (int i = 0; i < fields.length; i += 2) {
            given.put(fields[i], fields[i + 1]);
        }
        return new IntakeForm(given);
    }

    private static List<String> refused(IntakeForm form, BenchUnit unit) {
        return assertThrows(BadInputException.class, () -> form.read(unit, FaceDefaults.of(BenchUnit.MM)))
                .problems()
                .stream()
                .map(BadInputException.Problem::field)
                .toList();
    }

    @Test
    void whatIsLeftBlankIsProposedFromBoreAndSpacing() {
        Booking booking = keyed().read(BenchUnit.MM, FaceDefaults.of(BenchUnit.MM));
        LayoutNumbers usual = LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("87"), Length.ofMm("98"));
        assertEquals(usual.length(), booking.numbers().length());
        assertEquals(usual.width(), booking.numbers().width());
        assertEquals(usual.boltHole(), booking.numbers().boltHole());
        assertEquals(Material.ALUMINIUM, booking.material());
        assertEquals(List.of(), booking.limits());
        assertEquals(Optional.empty(), booking.due());
        assertEquals(Optional.empty(), booking.gasketKind());
    }

    @Test
    void whatIsKeyedStandsInItsPlace() {
        Booking booking = keyed(
                        "length", "412", "width", "150.5", "boltHole", "12", "intakeSide", "top", "firstNumber", "5")
                .read(BenchUnit.MM, FaceDefaults.of(BenchUnit.MM));
        assertEquals(Length.ofMm("412"), booking.numbers().length());
        assertEquals(Length.ofMm("150.5"), booking.numbers().width());
        assertEquals(Length.ofMm("12"), booking.numbers().boltHole());
        assertTrue(booking.numbers().intakeAtTop());
        assertEquals(5, booking.numbers().firstNumber());
    }

    /** A deck has no chambers cut into it, whatever the form says. */
    @Test
    void aDeckIsRound() {
        assertEquals(
                ChamberShape.ROUND,
                keyed("kind", "DECK", "chambers", "CUT_OFF")
                        .read(BenchUnit.MM, FaceDefaults.of(BenchUnit.MM))
                        .numbers()
                        .chambers());
        assertEquals(
                ChamberShape.CUT_OFF,
                keyed("chambers", "CUT_OFF")
                        .read(BenchUnit.MM, FaceDefaults.of(BenchUnit.MM))
                        .numbers()
                        .chambers());
    }

    @Test
    void eachLimitHasItsOwnSource() {
        List<FlatnessLimit> limits = keyed(
                        "overall",
                        "0.05",
                        "overallSource",
                        "GASKET",
                        "along",
                        "0.04",
                        "alongSource",
                        "MAKER",
                        "across",
                        "0.03",
                        "acrossSource",
                        "SHOP",
                        "window",
                        "0.02",
                        "windowSource",
                        "OWNER",
                        "boreLimit",
                        "0.01",
                        "boreSource",
                        "RULES")
                .read(BenchUnit.MM, FaceDefaults.of(BenchUnit.MM))
                .limits();
        assertEquals(
                Set.of(
                        FlatnessLimit.overall(Length.ofMm("0.05"), Source.GASKET),
                        FlatnessLimit.along(Length.ofMm("0.04"), Source.MAKER),
                        FlatnessLimit.across(Length.ofMm("0.03"), Source.SHOP),
                        FlatnessLimit.inAny(RuleBook.DEFAULT_WINDOW, Length.ofMm("0.02"), Source.OWNER),
                        FlatnessLimit.aroundBores(Length.ofMm("0.01"), Source.RULES)),
                limits.stream().collect(Collectors.toSet()));
    }

    @Test
    void ticksComeOneByOneOrTogether() {
        IntakeForm apart = keyed("happened.OVERHEATED", "on", "happened.STOOD_WITH_WATER", "on");
        assertTrue(apart.ticked(Happened.OVERHEATED));
        assertEquals(
                Set.of(Happened.OVERHEATED, Happened.STOOD_WITH_WATER),
                apart.read(BenchUnit.MM, FaceDefaults.of(BenchUnit.MM))
                        .came()
                        .orElseThrow()
                        .happened());
        assertEquals(
                Set.of(Happened.OVERHEATED),
                keyed("happened", "OVERHEATED")
                        .read(BenchUnit.MM, FaceDefaults.of(BenchUnit.MM))
                        .came()
                        .orElseThrow()
                        .happened());
    }

    @ParameterizedTest
    @CsvSource({
        "bore, '', bore",
        "bore, big, bore",
        "spacing, '', spacing",
        "length, long, length",
        "due, tomorrow, due",
        "overall, 0, overall",
        "overall, 5.01, overall",
        "overall, -0.05, overall",
        "overall, flat, overall",
        "windowSide, 9.9, windowSide",
        "windowSide, 1001, windowSide",
        "cylinders, 0, cylinders",
    })
    void whatCannotBeIsNamedByItsField(String field, String typed, String named) {
        assertEquals(List.of(named), refused(keyed(field, typed), BenchUnit.MM));
    }

    /** At the edge of what may be: a limit of 5 mm, squares of 10 mm and of a metre. */
    @ParameterizedTest
    @CsvSource({"overall, 5", "windowSide, 10", "windowSide, 1000"})
    void theEdgeIsStillTaken(String field, String typed) {
        keyed(field, typed, "window", "0.02").read(BenchUnit.MM, FaceDefaults.of(BenchUnit.MM));
    }

    @Test
    void allThatIsWrongIsToldAtOnce() {
        assertEquals(
                Set.of("length", "overall", "due"),
                Set.copyOf(refused(keyed("length", "x", "overall", "y", "due", "z"), BenchUnit.MM)));
    }

    @Test
    void oneBoreNeedsNoSpacing() {
        assertEquals(
                Length.ofMm("87"),
                keyed("cylinders", "1", "spacing", "")
                        .read(BenchUnit.MM, FaceDefaults.of(BenchUnit.MM))
                        .numbers()
                        .spacing());
    }

    /** A sheet that is opened and kept as it is changes nothing, at either bench. */
    @ParameterizedTest
    @EnumSource
    void theSheetOfACastingReadsBackToIt(BenchUnit unit) {
        PartFile part = Castings.of(
                PartKind.HEAD,
                4,
                Optional.of(new CameWith(Set.of(Happened.OVERHEATED), List.of("Cam"))),
                "overheated",
                "skim");
        Booking booking = IntakeForm.of(part, unit).read(unit, FaceDefaults.of(BenchUnit.MM));
        assertEquals(part.tag(), booking.tag());
        assertEquals(part.kind(), booking.kind());
        assertEquals(part.customer(), booking.customer());
        assertEquals(part.material(), booking.material());
        assertEquals(part.numbers(), booking.numbers());
        assertEquals(part.entered(), booking.limits());
        assertEquals(part.visit().came(), booking.came());
        assertEquals("overheated", booking.history());
        assertEquals("skim", booking.wishes());
        assertEquals(part.version(), IntakeForm.of(part, unit).version());
    }

    /** The sister of a casting has its layout, not what happened to it; of another customer not his wishes either. */
    @Test
    void theNextOfABatchIsFilledAsTheFirst() {
        PartFile part = Castings.of(
                PartKind.HEAD,
                4,
                Optional.of(new CameWith(Set.of(Happened.OVERHEATED), List.of())),
                "overheated",
                "skim");
        IntakeForm job = IntakeForm.as(part, "T-0002", true, BenchUnit.MM);
        assertEquals("T-0002", job.get("tag"));
        assertEquals(part.customer(), job.get("customer"));
        assertEquals("skim", job.get("wishes"));
        assertEquals("", job.get("history"));
        assertEquals("", job.get("happened"));
        assertEquals(part.numbers(), job.layout(BenchUnit.MM));
        IntakeForm other = IntakeForm.as(part, "T-0003", false, BenchUnit.MM);
        assertEquals("", other.get("customer"));
        assertEquals("", other.get("wishes"));
        assertEquals(
                LocalDate.of(2026, 12, 4),
                keyed("due", "2026-12-04")
                        .read(BenchUnit.MM, FaceDefaults.of(BenchUnit.MM))
                        .due()
                        .orElseThrow());
    }
}
