package homalon.app.foundation.web;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.http.server.PathContainer;

/** A pattern is skipped by the number of its parts only where that number is the same for every address that fits it. */
class HandlerLookupTest {
    @ParameterizedTest
    @CsvSource({
        "/find,/find",
        "/parts/{tag},/parts/T-0412",
        "/parts/{tag}/face/readings,/parts/T-0412/face/readings",
        "/parts/{tag}/{file}.csv,/parts/T-0412/ledger.csv",
        "/parts/{tag}/{kind:face|proof}/readings,/parts/T-0412/proof/readings"
    })
    void countsAPatternAsSpringCountsTheAddress(String pattern, String address) {
        assertEquals(Optional.of(PathContainer.parsePath(address).elements().size()), HandlerLookup.parts(pattern));
    }

    @ParameterizedTest
    @CsvSource({"/", "''", "/files/**", "/files/{*rest}", "/files/"})
    void leavesToSpringWhatTakesAnyNumber(String pattern) {
        assertEquals(Optional.empty(), HandlerLookup.parts(pattern));
    }
}
