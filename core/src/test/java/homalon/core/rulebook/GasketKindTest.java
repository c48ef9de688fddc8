package homalon.core.rulebook;

import static org.junit.jupiter.api.Assertions.assertEquals;

import homalon.core.part.Material;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class GasketKindTest {
    /** A composite gasket holds on a rougher face of iron than of aluminium; steel wants both fine. */
    @ParameterizedTest
    @CsvSource({
        "COMPOSITE, CAST_IRON, 1.5, 3.0, 2.25",
        "COMPOSITE, ALUMINIUM, 0.8, 1.6, 1.2",
        "LAYERED_STEEL, CAST_IRON, 0, 0.8, 0.8",
        "LAYERED_STEEL, ALUMINIUM, 0, 0.8, 0.8",
        "COPPER, ALUMINIUM, 0.8, 1.5, 1.15",
        "RACE, CAST_IRON, 0, 0.4, 0.4"
    })
    void finishFollowsTheGasketAndTheMetal(GasketKind kind, Material face, double least, double most, double wanted) {
        assertEquals(least, kind.leastRa(face), 1e-12);
        assertEquals(most, kind.mostRa(face), 1e-12);
        assertEquals(wanted, kind.wantedRa(face), 1e-12);
    }
}
