package homalon.app.foundation.load;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.concurrent.Semaphore;
import java.util.concurrent.atomic.AtomicLong;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Waits for the whole of a form, or of a small call of the calculation interface, before anything is done about it: who sends
 * slowly, or never ends, keeps a thread but neither a place among those worked on nor a connection to the database.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
class BufferedBodyFilter extends OncePerRequestFilter {
    /** As Tomcat's own limit for forms is set. */
    static final int MOST = 256 * 1024;

    private static final int COMING = 400;
    private static final long ALL = 64_000_000;
    private static final long LONGEST_MS = 20_000;
    private static final String SLOW = "That came too slowly to wait for: send it again.";
    private static final String MUCH = "That is too much at once: send less.";
    private static final String BUSY =
            "The shop has more to read than it can hold just now: try again in a few seconds.";

    private final Semaphore coming = new Semaphore(COMING);
    private final AtomicLong held = new AtomicLong();

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!awaited(request)) {
            chain.doFilter(request, response);
            return;
        }
        if (request.getContentLengthLong() > MOST) {
            Refusal.answer(request, response, HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE, MUCH);
            return;
        }
        if (!coming.tryAcquire()) {
            Refusal.answer(request, response, HttpServletResponse.SC_SERVICE_UNAVAILABLE, BUSY);
            return;
        }
        byte[] body;
        try {
            body = whole(request, response);
        } finally {
            coming.release();
        }
        if (body != null) {
            try {
                chain.doFilter(new BufferedBody(request, body), response);
            } finally {
                held.addAndGet(-body.length);
            }
        }
    }

    /** Forms always; other text when it says that it is small. Files are taken in as they stream, see {@link BigFiles}. */
    private static boolean awaited(HttpServletRequest request) {
        String type = request.getContentType();
        if (type == null) {
            return false;
        }
        if (BufferedBody.isForm(type)) {
            return true;
        }
        long length = request.getContentLengthLong();
        return length > 0 && length <= MOST && !type.startsWith("application/octet-stream");
    }

    /** Null when it was answered already. */
    private byte[] whole(HttpServletRequest request, HttpServletResponse response) throws IOException {
        long until = System.nanoTime() + LONGEST_MS * 1_000_000;
        ByteArrayOutputStream body = new ByteArrayOutputStream(Math.max(512, request.getContentLength()));
        byte[] some = new byte[8192];
        InputStream in = request.getInputStream();
        boolean kept = false;
        try {
            for (int n = in.read(some); n >= 0; n = in.read(some)) {
                body.write(some, 0, n);
                if (body.size() > MOST) {
                    Refusal.answer(request, response, HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE, MUCH);
                    return null;
                }
                if (held.addAndGet(n) > ALL) {
                    Refusal.answer(request, response, HttpServletResponse.SC_SERVICE_UNAVAILABLE, BUSY);
                    return null;
                }
                if (System.nanoTime() > until) {
                    Refusal.answer(request, response, HttpServletResponse.SC_REQUEST_TIMEOUT, SLOW);
                    return null;
                }
            }
            kept = true;
            return body.toByteArray();
        } catch (IOException e) {
            // Whoever sent it has gone, or sent nothing for too long.
            Refusal.answer(request, response, HttpServletResponse.SC_REQUEST_TIMEOUT, SLOW);
            return null;
        } finally {
            if (!kept) {
                held.addAndGet(-body.size());
            }
        }
    }
}
