package homalon.app.web;

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
import org.springframework.web.util.ContentCachingResponseWrapper;

/**
 * Says with each answer how long the server took, and how much of it on the processor: for measuring only, since the second
 * figure is comparable on a machine that others share. Off unless {@code homalon.timing} is set.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
@ConditionalOnProperty("homalon.timing")
class ServerTiming extends OncePerRequestFilter {
    private final ThreadMXBean threads = ManagementFactory.getThreadMXBean();

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!request.getMethod().equals("POST")) {
            chain.doFilter(request, response);
            return;
        }
        ContentCachingResponseWrapper answer = new ContentCachingResponseWrapper(response);
        long wall = System.nanoTime();
        long cpu = threads.getCurrentThreadCpuTime();
        chain.doFilter(request, answer);
        double tookMs = (System.nanoTime() - wall) / 1e6;
        double cpuMs = (threads.getCurrentThreadCpuTime() - cpu) / 1e6;
        answer.setHeader("Server-Timing", "app;dur=%.2f, cpu;dur=%.2f".formatted(tookMs, cpuMs));
        answer.copyBodyToResponse();
    }
}
