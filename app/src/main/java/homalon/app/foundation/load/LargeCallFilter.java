package homalon.app.foundation.load;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.UncheckedIOException;
import lombok.RequiredArgsConstructor;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Large calls of the calculation interface come in like files, one after the other; behind the door, so only from who may. */
@Component
@Order(0)
@RequiredArgsConstructor
class LargeCallFilter extends OncePerRequestFilter {
    private static final long MOST = 64_000_000;

    private final BigFiles files;

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().startsWith("/api/")
                || (request.getContentLengthLong() >= 0 && request.getContentLengthLong() <= BufferedBodyFilter.MOST)
                || !request.getMethod().equals("POST");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            files.take(request.getInputStream(), MOST, whole -> {
                try {
                    chain.doFilter(new BufferedBody(request, whole), response);
                } catch (ServletException e) {
                    throw new IOException(e);
                }
                return null;
            });
        } catch (BigFiles.TooLargeException e) {
            Refusal.answer(
                    request,
                    response,
                    HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE,
                    "Send at most 2 000 000 points and 64 MB in one call.");
        } catch (BusyException e) {
            Refusal.answer(request, response, HttpServletResponse.SC_SERVICE_UNAVAILABLE, e.getMessage());
        } catch (UncheckedIOException e) {
            if (e.getCause().getCause() instanceof ServletException inner) {
                throw inner;
            }
            throw e.getCause();
        }
    }
}
