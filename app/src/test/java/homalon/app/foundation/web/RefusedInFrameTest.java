package homalon.app.foundation.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is not there, or not for whoever asks, is said in the frame: whoever mistyped a tag finds the right one from there. */
@ExtendWith(RunningShop.class)
class RefusedInFrameTest {
    private final RunningShop.Shop shop;

    RefusedInFrameTest(RunningShop.Shop shop) {
        this.shop = shop;
    }

    @ParameterizedTest
    @CsvSource({"/parts/T-9999/face, 404", "/nowhere, 404", "/shop, 403", "/customers/7, 400"})
    void isSaidWithFindAtHand(String path, int status) {
        HttpResponse<String> answer = Visitor.signedIn(shop.port(), "ines").get(path);
        assertEquals(status, answer.statusCode());
        assertTrue(answer.body().contains("id=\"find\"") && answer.body().contains(">Ines<"), answer.body());
    }

    @ParameterizedTest
    @CsvSource({"/assets/none.css, 404"})
    void aStrangerIsToldWithoutTheFrame(String path, int status) {
        HttpResponse<String> answer = new Visitor(shop.port()).get(path);
        assertEquals(status, answer.statusCode());
        assertFalse(answer.body().contains("id=\"find\""), answer.body());
    }
}
