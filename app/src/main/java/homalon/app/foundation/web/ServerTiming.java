package homalon.app.foundation.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Says at {@code /timing} how long the server took for the last POST, and how much of it on the processor: for measuring only,
 * since the second figure is comparable on a machine that others share. A wrapper that holds the answer back for a header would
 * be measured with it. Off unless {@code homalon.timing} is set.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
@ConditionalOnProperty("homalon.timing")
class ServerTiming extends OncePerRequestFilter {
    private final ThreadMXBean threads = ManagementFactory.getThreadMXBean();

    private volatile String last = "";

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (request.getRequestURI().equals("/timing")) {
            response.setContentType("text/plain");
            response.getWriter().write(last);
            return;
        }
        long wall = System.nanoTime();
        long cpu = threads.getCurrentThreadCpuTime();
        chain.doFilter(request, response);
        if (request.getMethod().equals("POST") || request.getRequestURI().endsWith("/live")) {
            double tookMs = (System.nanoTime() - wall) / 1e6;
            double cpuMs = (threads.getCurrentThreadCpuTime() - cpu) / 1e6;
            last = "%.2f %.2f".formatted(tookMs, cpuMs);
        }
    }
}
