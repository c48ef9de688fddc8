package homalon.core.cut;

import static org.junit.jupiter.api.Assertions.assertEquals;

import homalon.core.words.English;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class SetUpMethodTest {
    @ParameterizedTest
    @EnumSource(SetUpMethod.class)
    void onlyTheParallelOneNamesWhatItIsParallelTo(SetUpMethod method) {
        assertEquals(method.words(), method.words(false));
        String byIndex = English.of(method.words(true));
        assertEquals(
                method == SetUpMethod.PARALLEL ? "Parallel to the crank line" : English.of(method.words()), byIndex);
    }
}
