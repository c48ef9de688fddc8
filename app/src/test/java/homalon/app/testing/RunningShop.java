package homalon.app.testing;

import homalon.app.HomalonApplication;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.event.ContextClosedEvent;

/**
 * Gives a test the running application: the sample shop, started as it is started for people, on the test command's own
 * PostgreSQL and a free port. One serves all tests of a process; a test leaves other tests' parts alone. Why it is not Spring's own
 * test support: docs/decisions/0003-tests-start-the-application.md.
 */
public final class RunningShop implements ParameterResolver {
    /**
     * @param port that it serves on
     * @param beans of the application
     */
    public record Shop(int port, ConfigurableApplicationContext beans) implements AutoCloseable {
        public String address() {
            return "http://127.0.0.1:" + port;
        }

        public <T> T bean(Class<T> type) {
            return beans.getBean(type);
        }

        @Override
        public void close() {
            beans.close();
        }
    }

    /** A real shop on its first day: nobody has been there, on a database of its own that goes when it is closed. */
    public static Shop empty(String... settings) {
        String database = OwnDatabase.made();
        OwnDatabase.upgrade(OwnDatabase.url(database));
        return goesWith(database, onFirstDay(OwnDatabase.url(database), settings));
    }

    /** A real shop on its first day, on a database that somebody else makes and takes away. */
    public static Shop onFirstDay(String url, String... settings) {
        List<String> all = new ArrayList<>(List.of(settings));
        all.add("--homalon.demo=false");
        all.add("--spring.datasource.url=" + url);
        return start(all.toArray(String[]::new));
    }

    /** The sample shop on a database of its own ({@link OwnDatabase#sampled}), which goes when it is closed. */
    public static Shop sample(String database, BeanPostProcessor... besides) {
        return sample(database, List.of(), besides);
    }

    public static Shop sample(String database, List<String> settings, BeanPostProcessor... besides) {
        List<String> all = new ArrayList<>(settings);
        all.add("--homalon.demo=true");
        all.add("--spring.datasource.url=" + OwnDatabase.url(database));
        return goesWith(database, started(all, besides));
    }

    /** The sample shop, or one more instance of it, on a database that somebody else makes and takes away. */
    public static Shop on(String url) {
        return started(List.of("--homalon.demo=true", "--spring.datasource.url=" + url));
    }

    private static Shop goesWith(String database, Shop shop) {
        shop.beans().addApplicationListener(e -> {
            if (e instanceof ContextClosedEvent) {
                OwnDatabase.gone(database);
            }
        });
        return shop;
    }

    private static Shop start(String... settings) {
        return started(List.of(settings));
    }

    private static Shop started(List<String> settings, BeanPostProcessor... besides) {
        List<String> all =
                new ArrayList<>(List.of("--homalon.gauge-port=" + freePort(), "--spring.main.banner-mode=off"));
        all.addAll(settings);
        if (settings.stream().noneMatch(s -> s.startsWith("--server.port="))) {
            all.add("--server.port=0");
        }
        // Nothing is asked of the database but by the test itself.
        if (settings.stream().noneMatch(s -> s.startsWith("--homalon.day."))) {
            all.add("--homalon.day.by-itself=false");
            all.add("--homalon.day.solver-work=0.03");
        }
        ConfigurableApplicationContext beans = new SpringApplicationBuilder(HomalonApplication.class)
                .initializers(context -> {
                    for (BeanPostProcessor one : besides) {
                        context.getBeanFactory().addBeanPostProcessor(one);
                    }
                })
                .run(all.toArray(String[]::new));
        return new Shop(Integer.parseInt(beans.getEnvironment().getRequiredProperty("local.server.port")), beans);
    }

    /** A port that nobody has. */
    public static int freePort() {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        return parameter.getParameter().getType() == Shop.class;
    }

    /** Tests come class by class to one of several processes: a shop lives as long as its process. */
    private static final class OfAllTests {
        private static final Shop SHOP = sample(OwnDatabase.ofAllTests());
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
        return OfAllTests.SHOP;
    }
}
