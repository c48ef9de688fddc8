package homalon.app.foundation.devices;

import homalon.core.face.PlaceProposal;
import homalon.core.geometry.Spot;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import homalon.core.sim.GaugeWalk;
import homalon.core.sim.SeededFace;
import java.io.IOException;
import java.io.OutputStream;
import java.net.ConnectException;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;

/** A simulated indicator: {@code ./homalon gauge}. Walks over a seeded face and sends what a real one's receiver would. */
public final class GaugeProgram {
    private GaugeProgram() {}

    /** What it does when nothing is said. */
    private static Map<String, String> usual() {
        return new HashMap<>(Map.of(
                "port", "8482",
                "id", "G-07",
                "seed", "7",
                "cylinders", "4",
                "density", "usual",
                "lost", "0.05",
                "twice", "0.05",
                "wrong-unit-at", "0",
                "pace", "1"));
    }

    public static void main(String[] args) throws IOException, InterruptedException {
        Map<String, String> given = usual();
        for (int i = 0; i + 1 < args.length; i += 2) {
            String name = args[i].replaceFirst("^--", "");
            if (given.replace(name, args[i + 1]) == null) {
                stop(2, "--" + name + " is not known; see docs/gauge.md");
            }
        }
        List<GaugeWalk.Sent> lines = List.of();
        int port = 0;
        double pace = 1;
        try {
            lines = walk(given).lines();
            port = Integer.parseInt(given.get("port"));
            pace = Double.parseDouble(given.get("pace"));
        } catch (IllegalArgumentException e) {
            stop(2, "that cannot be a gauge: " + e.getMessage() + "; see docs/gauge.md");
        }
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port)) {
            send(lines, socket.getOutputStream(), pace);
        } catch (ConnectException e) {
            stop(1, "nothing listens on port " + port + "; start ./homalon demo first");
        }
    }

    private static void stop(int code, String why) {
        System.err.println("homalon: " + why);
        System.exit(code);
    }

    private static GaugeWalk walk(Map<String, String> given) {
        Layout layout = Layout.of(LayoutNumbers.proposed(
                PartKind.HEAD, Integer.parseInt(given.get("cylinders")), Length.ofMm("87"), Length.ofMm("98")));
        Random random = new Random(Long.parseLong(given.get("seed")));
        SeededFace face = new SeededFace(
                layout.box(),
                0.1 * random.nextGaussian(),
                0.05 * random.nextGaussian(),
                0.05 * random.nextGaussian(),
                0.02 * random.nextGaussian(),
                0.06 * random.nextGaussian(),
                List.of());
        PlaceProposal.Density density =
                PlaceProposal.Density.valueOf(given.get("density").toUpperCase(Locale.ROOT));
        List<Spot> spots = PlaceProposal.of(layout, density).stream()
                .map(PlaceProposal.Place::spot)
                .toList();
        return new GaugeWalk(
                given.get("id"),
                face,
                spots,
                Long.parseLong(given.get("seed")),
                Double.parseDouble(given.get("lost")),
                Double.parseDouble(given.get("twice")),
                Integer.parseInt(given.get("wrong-unit-at")));
    }

    private static void send(List<GaugeWalk.Sent> lines, OutputStream out, double pace)
            throws IOException, InterruptedException {
        for (GaugeWalk.Sent sent : lines) {
            Thread.sleep((long) (sent.millis() / Math.max(0.01, pace)));
            out.write((sent.line().written() + "\n").getBytes(StandardCharsets.US_ASCII));
            out.flush();
            if (sent.line().button()) {
                System.out.println("place " + sent.place() + ": " + sent.line().written());
            }
        }
    }
}
