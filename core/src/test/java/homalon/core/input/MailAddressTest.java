package homalon.core.input;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MailAddressTest {
    @ParameterizedTest
    @CsvSource({
        "desk@saltmarsh.example, true",
        "' desk@saltmarsh.example ', true",
        "'', true",
        "'  ', true",
        "desk, false",
        "desk@, false",
        "@saltmarsh, false",
        "de sk@saltmarsh, false",
        "a@b@c, false"
    })
    void oneOrNothing(String typed, boolean fits) {
        assertEquals(fits, MailAddress.isOneOrBlank(typed));
    }

    @ParameterizedTest
    @CsvSource({"118, true", "119, false"})
    void noLongerThanItIsKept(int before, boolean fits) {
        assertEquals(fits, MailAddress.isOneOrBlank("x".repeat(before) + "@y"));
    }
}
