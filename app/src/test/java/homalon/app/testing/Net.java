package homalon.app.testing;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The net between a device and a shop, which can be cut: nothing that is under way arrives, and nobody answers. A browser that is told
 * to be offline lets requests of a page that is being opened through now and then.
 */
public final class Net implements AutoCloseable {
    private final ServerSocket door;
    private final int port;
    private final Set<Socket> open = ConcurrentHashMap.newKeySet();
    private volatile boolean cut;

    /** @param shop that lies beyond it */
    public Net(RunningShop.Shop shop) {
        this.port = shop.port();
        try {
            this.door = new ServerSocket(0, 50, InetAddress.getLoopbackAddress());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        begin(this::letIn);
    }

    /** The shop as a device finds it through this net. */
    public RunningShop.Shop through(RunningShop.Shop shop) {
        return new RunningShop.Shop(door.getLocalPort(), shop.beans());
    }

    /** No line is left open, and none is opened, until it is mended. */
    public void cut() {
        cut = true;
        open.forEach(this::shut);
    }

    public void mend() {
        cut = false;
    }

    private void letIn() {
        while (!door.isClosed()) {
            try {
                join(door.accept());
            } catch (IOException e) {
                // The door was closed, or nobody is beyond it: the device sees that its line ends.
            }
        }
    }

    private void join(Socket device) throws IOException {
        open.add(device);
        if (cut) {
            shut(device);
            return;
        }
        Socket server = new Socket(InetAddress.getLoopbackAddress(), port);
        open.add(server);
        begin(() -> carry(device, server));
        begin(() -> carry(server, device));
    }

    private void carry(Socket from, Socket to) {
        try (InputStream in = from.getInputStream();
                OutputStream out = to.getOutputStream()) {
            in.transferTo(out);
        } catch (IOException e) {
            // One of the two has closed it.
        } finally {
            shut(from);
            shut(to);
        }
    }

    private void shut(Socket one) {
        open.remove(one);
        try {
            one.close();
        } catch (IOException e) {
            // It is closed.
        }
    }

    private static void begin(Runnable work) {
        Thread thread = new Thread(work, "net of a test");
        thread.setDaemon(true);
        thread.start();
    }

    @Override
    public void close() throws IOException {
        cut();
        door.close();
    }
}
