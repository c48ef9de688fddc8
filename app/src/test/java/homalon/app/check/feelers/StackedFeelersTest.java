package homalon.app.check.feelers;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.foundation.web.Keyed;
import homalon.app.foundation.words.Words;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.core.face.FeelerSurvey;
import homalon.core.face.Gap;
import homalon.core.input.RefusedInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.BladeSet;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.FeelerKind;
import homalon.core.visit.FeelerWay;
import homalon.core.visit.PartFile;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Gaps wider than any blade of the set. */
@ExtendWith(RunningShop.class)
class StackedFeelersTest {
    private final FeelerSurveys surveys;
    private final HandsOfTests hands;
    private final PartFile part;

    StackedFeelersTest(RunningShop.Shop shop) {
        this.surveys = shop.bean(FeelerSurveys.class);
        this.hands = new HandsOfTests(shop);
        this.part = hands.bookReady();
        shop.bean(FeelerStarts.class)
                .start(part, FeelerKind.FACE, FeelerSurvey.Kind.GAP, FeelerWay.FIND, BenchUnit.MM, hands.ines());
    }

    private FeelerFile now() {
        return surveys.find(part, FeelerKind.FACE).orElseThrow();
    }

    private FeelerFile.PlaceFile place() {
        return now().lines().get(0).places().get(1);
    }

    private void say(String typed) {
        surveys.key(
                part,
                FeelerKind.FACE,
                new Keyed(UUID.randomUUID(), place().id().toString(), typed, BenchUnit.MM, 99_999_999L, false),
                anyone -> "Someone",
                hands.ines());
    }

    @ParameterizedTest
    @CsvSource({"0.5+0.2, 0.7, true", "+0.2+0.5, 0.7, true", "-0.5+0.2+0.05, 0.75, false", "0.5+0.2-, 0.7, false"})
    void bladesAreStackedWhereNoneIsThickEnough(String typed, String together, boolean goes) {
        BladeSet before = now().blades();
        say(typed);
        Optional<Length> thick = Optional.of(Length.ofMm(together));
        assertEquals(goes ? new Gap(thick, Optional.empty()) : new Gap(Optional.empty(), thick), place().gap());
        assertEquals(before, now().blades(), "a stack is no blade");
    }

    @ParameterizedTest
    @CsvSource({"0.2+0.2, each once", "0.017+0.2, no feeler of 0.017", "0.02+0.03+0.04+0.05+0.06, at the most"})
    void whatIsNoStackIsRefused(String typed, String why) {
        String said = Words.of(
                assertThrows(RefusedInputException.class, () -> say(typed)).sentence());
        assertTrue(said.contains(why), said);
        assertTrue(place().gap().goes().isEmpty() && place().gap().refuses().isEmpty(), "nothing is kept");
    }
}
