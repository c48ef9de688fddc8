package homalon.app.foundation.reach;

import jakarta.servlet.http.HttpServletRequest;
import java.net.InetAddress;
import java.net.URI;
import java.net.UnknownHostException;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/**
 * The address that stands in codes and links, and the host names that are answered. Set by the command; without a setting the
 * shop is there for this machine alone.
 */
@Component
public class Reach {
    private static final Set<String> THIS_MACHINE = Set.of("localhost", "127.0.0.1", "::1");

    private final Optional<URI> address;
    private final Set<String> hosts = new HashSet<>(THIS_MACHINE);

    /**
     * @param address scheme, host and port that phones and tablets use; empty: the one that was asked
     * @param hosts further names that are answered
     */
    Reach(@Value("${homalon.public-address:}") String address, @Value("${homalon.hosts:}") List<String> hosts) {
        this.address = address.isBlank()
                ? Optional.empty()
                : Optional.of(URI.create(address.strip().replaceFirst("/+$", "")));
        this.address.ifPresent(a -> this.hosts.add(bare(a.getHost())));
        hosts.stream().filter(h -> !h.isBlank()).forEach(h -> this.hosts.add(bare(h)));
    }

    /** A link that works wherever the shop is reached. Called while a request is answered. */
    public String link(String path) {
        return address.map(URI::toString)
                        .orElseGet(() -> ServletUriComponentsBuilder.fromCurrentContextPath()
                                .toUriString())
                + path;
    }

    /** True when a code on a tag cannot open anything on a phone, since nothing but this machine is answered. */
    public boolean thisMachineOnly() {
        return address.map(a -> THIS_MACHINE.contains(bare(a.getHost()))).orElse(true);
    }

    /** Whether a request's host name is one of the shop's own. A name that is not may be a trick of a foreign page. */
    public boolean answers(String host) {
        return host != null && hosts.contains(bare(host));
    }

    /**
     * Whether a request comes from the machine that the shop runs on. What came through a proxy that is not configured does not,
     * wherever that proxy stands.
     */
    public static boolean fromThisMachine(HttpServletRequest request) {
        if (request.getHeader("X-Forwarded-For") != null || request.getHeader("Forwarded") != null) {
            return false;
        }
        try {
            String from = request.getRemoteAddr();
            return from != null
                    && (InetAddress.getByName(from).isLoopbackAddress() || from.equals(request.getLocalAddr()));
        } catch (UnknownHostException e) {
            return false;
        }
    }

    /** Small letters, no brackets of an IPv6 address, no dot at the end. */
    private static String bare(String host) {
        String small = host.strip().toLowerCase(Locale.ROOT);
        if (small.startsWith("[") && small.endsWith("]")) {
            small = small.substring(1, small.length() - 1);
        }
        return small.endsWith(".") ? small.substring(0, small.length() - 1) : small;
    }
}
