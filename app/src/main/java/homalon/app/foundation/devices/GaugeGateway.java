package homalon.app.foundation.devices;

import homalon.core.quantity.GaugeLine;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Semaphore;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * Takes the lines of indicators' receivers over TCP on the loopback address: drops what is no line and what came before, counts
 * what went missing, and tells the rest on the bus. Nothing a gauge sends is a reading until a person's page takes it.
 */
@Component
class GaugeGateway {
    private static final Logger LOG = LoggerFactory.getLogger(GaugeGateway.class);
    private static final int MOST_CONNECTIONS = 16;
    private static final int QUIET_MILLIS = 120_000;
    private static final long LEAST_GAP_NANOS = 80_000_000;

    private final LiveBus bus;
    private final int port;
    private final JsonMapper json = JsonMapper.builder().build();
    private final Semaphore room = new Semaphore(MOST_CONNECTIONS);
    private ServerSocket server;

    /** @param port 0 for no gateway */
    GaugeGateway(LiveBus bus, @Value("${homalon.gauge-port}") int port) {
        this.bus = bus;
        this.port = port;
    }

    /** What a page is told of a gauge. */
    record Heard(
            String gauge,
            long number,
            String typed,
            double mm,
            String unit,
            int battery,
            boolean button,
            long missed,
            boolean unitChanged) {}

    /** What is known of one gauge on one connection. */
    private static final class Known {
        private long number;
        private String unit = "";
        private long toldAt;
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        if (port == 0) {
            return;
        }
        try {
            server = new ServerSocket(port, 20, InetAddress.getLoopbackAddress());
        } catch (IOException e) {
            LOG.warn("no gauge gateway: port {} cannot be had", port);
            return;
        }
        Thread thread = new Thread(this::accept, "gauge-gateway");
        thread.setDaemon(true);
        thread.start();
    }

    @PreDestroy
    void stop() throws IOException {
        if (server != null) {
            server.close();
        }
    }

    private void accept() {
        while (!server.isClosed()) {
            try {
                Socket socket = server.accept();
                if (!room.tryAcquire()) {
                    socket.close();
                    continue;
                }
                Thread thread = new Thread(() -> serve(socket), "gauge");
                thread.setDaemon(true);
                thread.start();
            } catch (IOException e) {
                LOG.debug("gateway", e);
            }
        }
    }

    private void serve(Socket socket) {
        Map<String, Known> gauges = new ConcurrentHashMap<>();
        try (socket;
                InputStream in = socket.getInputStream()) {
            socket.setSoTimeout(QUIET_MILLIS);
            StringBuilder line = new StringBuilder();
            byte[] buffer = new byte[1024];
            for (int n = in.read(buffer); n > 0; n = in.read(buffer)) {
                for (int i = 0; i < n; i++) {
                    if (buffer[i] == '\n') {
                        GaugeLine.parse(line.toString()).ifPresent(l -> heard(gauges, l));
                        line.setLength(0);
                    } else if (line.length() <= GaugeLine.LONGEST) {
                        line.append((char) (buffer[i] & 0xff));
                    }
                }
            }
        } catch (IOException e) {
            LOG.debug("a gauge has gone", e);
        } finally {
            room.release();
        }
    }

    private void heard(Map<String, Known> gauges, GaugeLine line) {
        if (gauges.size() >= MOST_CONNECTIONS && !gauges.containsKey(line.gauge())) {
            return;
        }
        Known known = gauges.computeIfAbsent(line.gauge(), g -> new Known());
        // A gauge that was switched off counts from the beginning again.
        boolean again = line.number() <= known.number && known.number - line.number() < 1000 && line.number() > 1;
        if (again) {
            return;
        }
        long missed = known.number == 0 || line.number() <= known.number ? 0 : line.number() - known.number - 1;
        boolean unitChanged = !known.unit.isEmpty() && !known.unit.equals(line.unit());
        known.number = line.number();
        known.unit = line.unit();
        long now = System.nanoTime();
        // A page needs no more than twelve values in a second, but every press of the button.
        if (!line.button() && now - known.toldAt < LEAST_GAP_NANOS) {
            return;
        }
        known.toldAt = now;
        tell(line, missed, unitChanged);
    }

    private void tell(GaugeLine line, long missed, boolean unitChanged) {
        Heard heard = new Heard(
                line.gauge(),
                line.number(),
                line.typed(),
                line.length().mm(),
                line.unit(),
                line.battery(),
                line.button(),
                missed,
                unitChanged);
        try {
            bus.tell("gauge", json.writeValueAsString(heard));
        } catch (RuntimeException e) {
            LOG.debug("a gauge's value could not be told", e);
        }
    }
}
