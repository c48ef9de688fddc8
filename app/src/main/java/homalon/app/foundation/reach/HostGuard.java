package homalon.app.foundation.reach;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import lombok.RequiredArgsConstructor;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Answers only to the shop's own names: a foreign name that was pointed at this address would otherwise make a browser take
 * another site's page for the shop's.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
@RequiredArgsConstructor
class HostGuard extends OncePerRequestFilter {
    private static final int MISDIRECTED = 421;

    private final Reach reach;
    private final CustomerPort customers;

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (reach.answers(request.getServerName()) || customers.asked(request)) {
            chain.doFilter(request, response);
            return;
        }
        response.setStatus(MISDIRECTED);
        response.setContentType("text/plain");
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        response.getWriter()
                .write(
                        "This shop is not known by that name. Use the address on its tags, or have the owner add the name"
                                + " (HOMALON_HOSTS).\n");
    }
}
