package homalon.app.foundation.load;

import static org.junit.jupiter.api.Assertions.assertEquals;

import io.micrometer.core.instrument.simple.SimpleMeterRegistry;
import jakarta.servlet.http.HttpServletRequest;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.mock.web.MockHttpServletRequest;

/** Which requests go through the queues; nobody keys past them under another type of body. */
class WhoWaitsTest {
    private final LoadLimiterFilter filter = new LoadLimiterFilter(8, 150, 1, 1, new SimpleMeterRegistry());

    @ParameterizedTest
    @CsvSource({
        "GET,  /,                              ,                         true",
        "GET,  /parts/T-0407/face,             ,                         true",
        "HEAD, /,                              ,                         true",
        "GET,  /assets/shop.css,               ,                         false",
        "GET,  /alive,                         ,                         false",
        "POST, /parts/T-0407/face/readings,    application/octet-stream, true",
        "POST, /parts/T-0407/cut/readings,     text/plain,               true",
        "POST, /parts/T-0407/report,           ,                         true",
        "PUT,  /parts/T-0407/scan,             application/octet-stream, true",
        "POST, /parts/T-0407/scan,             application/octet-stream, false",
        "POST, /parts/T-0407/scan/look,        application/octet-stream, false",
        "POST, /parts/T-0407/scan/places,      application/octet-stream, true",
        "POST, /parts/T-0407/photos,           application/octet-stream, false",
        "POST, /parts/T-0407/seal/file,        application/octet-stream, false",
        "POST, /stock,                         application/octet-stream, false",
        "POST, /stock/drop,                    application/octet-stream, true"
    })
    void onlyFilesHaveATurnOfTheirOwn(String method, String path, String type, boolean waits) {
        MockHttpServletRequest request = new MockHttpServletRequest(method, path);
        request.setContentType(type);
        assertEquals(!waits, filter.shouldNotFilter(request));
    }

    /** A form that came in whole may wait for its turn, wherever it goes; a stream of what happens never does. */
    @ParameterizedTest
    @CsvSource({"/parts/T-0407/scan, true", "/stock, true"})
    void aFormWaitsWhereverItGoes(String path, boolean waits) {
        HttpServletRequest whole = new BufferedBody(new MockHttpServletRequest("POST", path), new byte[0]);
        assertEquals(!waits, filter.shouldNotFilter(whole));
        MockHttpServletRequest live = new MockHttpServletRequest("GET", "/live");
        live.addHeader("Accept", "text/event-stream");
        assertEquals(true, filter.shouldNotFilter(live));
    }
}
