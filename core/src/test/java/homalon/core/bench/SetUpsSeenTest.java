package homalon.core.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;

import homalon.core.part.Material;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SetUpsSeenTest {
    /** One letter for a pass: small on one machine, large on the other; i iron, a aluminium. */
    private static List<SetUpsSeen.Pass> passes(String said) {
        List<SetUpsSeen.Pass> all = new ArrayList<>();
        for (int i = 0; i < said.length(); i++) {
            char c = said.charAt(i);
            all.add(new SetUpsSeen.Pass(
                    Character.isUpperCase(c) ? "old" : "new",
                    Character.toLowerCase(c) == 'i' ? Material.CAST_IRON : Material.ALUMINIUM,
                    Instant.ofEpochSecond(60L * i)));
        }
        return all;
    }

    @ParameterizedTest
    @CsvSource({"'', 0", "iiii, 0", "iia, 1", "iaia, 3", "iAiA, 0", "iIaA, 2", "aiIIiA, 2"})
    void aMachineIsSetUpWhereItsMetalChanges(String said, int changes) {
        List<SetUpsSeen.Pass> passes = new ArrayList<>(passes(said));
        Collections.reverse(passes);
        assertEquals(new SetUpsSeen(changes, 20 * changes), SetUpsSeen.of(passes, 20));
    }

    @Test
    void aShareIsToldFromTenOn() {
        assertEquals(-1, new SetUpsSeen(9, 180).percent(100));
        assertEquals(25, new SetUpsSeen(10, 200).percent(600));
        assertEquals(100, new SetUpsSeen(10, 200).percent(0));
    }
}
