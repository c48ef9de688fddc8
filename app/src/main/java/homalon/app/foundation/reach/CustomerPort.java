package homalon.app.foundation.reach;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.InetAddress;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Pages for customers have a port of their own: nothing else is answered there, and they are answered nowhere else, so that a shop can put this
 * one port on the internet and nothing of the shop with it.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
public class CustomerPort extends OncePerRequestFilter
        implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
    private static final String PAGES = "/c/";
    private static final Pattern PAGE =
            Pattern.compile("/c/[A-Za-z0-9_-]{1,64}(?:/choice|/map\\.svg|/photos/[0-9a-f-]{36})?");
    /** What a page needs to look like one: its style and its letters. */
    private static final Pattern LOOKS =
            Pattern.compile("/assets/(?:app[0-9a-f-]*\\.css|files/[A-Za-z0-9_-]+\\.woff2)");

    private static final String ROBOTS = "/robots.txt";
    private static final Set<String> METHODS = Set.of("GET", "HEAD", "POST");
    private static final int THREADS = 8;

    private final int port;
    private final InetAddress bind;
    private final String address;

    /**
     * @param port 0 for none
     * @param bind where it listens
     * @param address scheme, host and port by which customers reach it; empty: this machine's own
     */
    CustomerPort(
            @Value("${homalon.customers.port:0}") int port,
            @Value("${homalon.customers.bind:127.0.0.1}") InetAddress bind,
            @Value("${homalon.customers.address:}") String address) {
        this.port = port;
        this.bind = bind;
        this.address = address.strip().replaceFirst("/+$", "");
    }

    /** A link that customers can open; empty where no port is open for them. */
    public Optional<String> link(String token) {
        return port == 0
                ? Optional.empty()
                : Optional.of((address.isEmpty() ? "http://127.0.0.1:" + port : address) + PAGES + token);
    }

    /** Whether a link opens nothing but on the machine that the shop runs on. */
    public boolean thisMachineOnly() {
        return address.isEmpty();
    }

    /** Whether it was asked there: no cookie and no sign-in has a part in it, so that no foreign name can borrow one. */
    boolean asked(HttpServletRequest request) {
        return port != 0 && request.getLocalPort() == port;
    }

    @Override
    public void customize(TomcatServletWebServerFactory factory) {
        OwnPort.open(factory, port, bind, THREADS);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        // As it was sent: what is written in another way is not taken for what it may mean.
        String path = request.getRequestURI();
        boolean page = PAGE.matcher(path).matches();
        if (!asked(request)) {
            if (path.startsWith(PAGES) || request.getServletPath().startsWith(PAGES)) {
                response.sendError(HttpServletResponse.SC_NOT_FOUND);
            } else {
                chain.doFilter(request, response);
            }
            return;
        }
        response.setHeader("X-Robots-Tag", "noindex, nofollow, noarchive");
        if (!METHODS.contains(request.getMethod())) {
            response.setStatus(HttpServletResponse.SC_METHOD_NOT_ALLOWED);
        } else if (path.equals(ROBOTS)) {
            response.setContentType("text/plain");
            response.getOutputStream().print("User-agent: *\nDisallow: /\n");
        } else if (page
                || (LOOKS.matcher(path).matches() && !request.getMethod().equals("POST"))) {
            chain.doFilter(request, response);
        } else {
            response.setStatus(HttpServletResponse.SC_NOT_FOUND);
        }
    }
}
