package homalon.app.foundation.load;

import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import java.util.regex.Pattern;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Keeps more requests out than the machine and the database's connections can work on at once. Files that never change, the
 * question whether the shop serves, open streams and files coming in do not wait here: they take hardly anything, or have a
 * budget of their own ({@link BigFiles}).
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 3)
class LoadLimiterFilter extends OncePerRequestFilter {
    private static final Set<String> LOOKING = Set.of("GET", "HEAD", "OPTIONS");
    /** A file has its own turn ({@link BigFiles}): it may come in for minutes, and would keep a place all that time. */
    private static final Pattern FILES = Pattern.compile("/parts/[^/]+/(photos|scan|scan/look|seal/file)|/stock");

    private static final String BUSY =
            "The shop is busy: more people ask than it can answer just now. Try again in a few seconds.";

    private final LoadLimiter admission;
    private final long looking;
    private final long keying;

    /**
     * @param atOnce worked on; fewer than there are connections to the database
     * @param waiting in each queue
     * @param looking how long a page may wait
     * @param keying how long what is keyed may wait
     */
    LoadLimiterFilter(
            @Value("${homalon.load.at-once}") int atOnce,
            @Value("${homalon.load.waiting}") int waiting,
            @Value("${homalon.load.looking-ms}") long looking,
            @Value("${homalon.load.keying-ms}") long keying,
            MeterRegistry meters) {
        this.admission = new LoadLimiter(atOnce, waiting);
        this.looking = looking;
        this.keying = keying;
        for (LoadLimiter.Lane lane : LoadLimiter.Lane.values()) {
            Gauge.builder("homalon.waiting", admission, a -> a.waiting(lane))
                    .tag("lane", lane.name().toLowerCase(java.util.Locale.ROOT))
                    .description("requests that wait for their turn")
                    .register(meters);
        }
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        String path = request.getRequestURI();
        String accept = request.getHeader("Accept");
        return path.startsWith("/assets/")
                || path.equals("/alive")
                || (accept != null && accept.startsWith("text/event-stream"))
                || (request.getMethod().equals("POST")
                        && !(request instanceof BufferedBody)
                        && FILES.matcher(path).matches());
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean looks = LOOKING.contains(request.getMethod());
        boolean in;
        try {
            in = admission.enter(looks ? LoadLimiter.Lane.LOOKING : LoadLimiter.Lane.KEYING, looks ? looking : keying);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            in = false;
        }
        if (!in) {
            Refusal.answer(request, response, HttpServletResponse.SC_SERVICE_UNAVAILABLE, BUSY);
            return;
        }
        try {
            chain.doFilter(request, response);
        } finally {
            admission.leave();
        }
    }
}
