package homalon.app.foundation.reach;

import java.net.InetAddress;
import org.apache.catalina.connector.Connector;
import org.apache.coyote.AbstractProtocol;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;

/** One more port of the same server, for what is kept apart from the shop (ADR 28). */
final class OwnPort {
    private OwnPort() {}

    /** @param port 0 for none */
    static void open(TomcatServletWebServerFactory factory, int port, InetAddress bind, int threads) {
        if (port == 0) {
            return;
        }
        Connector connector = new Connector(TomcatServletWebServerFactory.DEFAULT_PROTOCOL);
        connector.setPort(port);
        AbstractProtocol<?> protocol = (AbstractProtocol<?>) connector.getProtocolHandler();
        protocol.setAddress(bind);
        protocol.setMaxThreads(threads);
        protocol.setMinSpareThreads(1);
        factory.addAdditionalConnectors(connector);
    }
}
