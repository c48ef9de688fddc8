package homalon.app.foundation.reach;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.InetAddress;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.health.actuate.endpoint.HealthDescriptor;
import org.springframework.boot.health.actuate.endpoint.HealthEndpoint;
import org.springframework.boot.health.contributor.Status;
import org.springframework.boot.micrometer.metrics.autoconfigure.export.prometheus.PrometheusOutputFormat;
import org.springframework.boot.micrometer.metrics.autoconfigure.export.prometheus.PrometheusScrapeEndpoint;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Readiness and figures have a port of their own on the loopback address, and nothing else is answered there; on the shop's port
 * they are not to be found. A second connector of the same server: a second application context for them, which is the usual
 * way, takes two seconds of every start (ADR 28).
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class WatchPort extends OncePerRequestFilter implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
    private static final String INSIDE = "/watch";

    private static final int THREADS = 4;

    private final int port;
    private final ObjectProvider<HealthEndpoint> health;
    private final ObjectProvider<PrometheusScrapeEndpoint> figures;

    /** @param port 0 for none */
    WatchPort(
            @Value("${homalon.watch-port}") int port,
            ObjectProvider<HealthEndpoint> health,
            ObjectProvider<PrometheusScrapeEndpoint> figures) {
        this.port = port;
        this.health = health;
        this.figures = figures;
    }

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        OwnPort.open(factory, port, InetAddress.getLoopbackAddress(), THREADS);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (port != 0 && request.getLocalPort() == port) {
            // Past every other filter: neither a full queue nor a session has a part in it.
            answer(request, response);
        } else if (inside(request.getServletPath())) {
            response.sendError(HttpServletResponse.SC_NOT_FOUND);
        } else {
            chain.doFilter(request, response);
        }
    }

    private void answer(HttpServletRequest request, HttpServletResponse response) throws IOException {
        if (!request.getMethod().equals("GET")) {
            response.setStatus(HttpServletResponse.SC_METHOD_NOT_ALLOWED);
            return;
        }
        switch (request.getServletPath()) {
            case "/health" -> health(response, health.getObject().health());
            case "/health/readiness" -> health(response, health.getObject().healthForPath("readiness"));
            case "/health/liveness" -> health(response, health.getObject().healthForPath("liveness"));
            case "/prometheus" -> {
                var scraped = figures.getObject().scrape(PrometheusOutputFormat.CONTENT_TYPE_004, null);
                response.setContentType(String.valueOf(scraped.getContentType()));
                response.getOutputStream().write(scraped.getBody());
            }
            default -> response.setStatus(HttpServletResponse.SC_NOT_FOUND);
        }
    }

    private static void health(HttpServletResponse response, HealthDescriptor found) throws IOException {
        boolean up = found.getStatus().equals(Status.UP);
        response.setStatus(up ? HttpServletResponse.SC_OK : HttpServletResponse.SC_SERVICE_UNAVAILABLE);
        response.setContentType("application/json");
        response.getOutputStream().print("{\"status\":\"" + found.getStatus().getCode() + "\"}");
    }

    /** Where the framework would show the same: on no port of ours. */
    private static boolean inside(String path) {
        return path.equals(INSIDE) || path.startsWith(INSIDE + "/");
    }
}
