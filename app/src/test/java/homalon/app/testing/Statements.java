package homalon.app.testing;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Proxy;
import java.sql.Connection;
import java.util.concurrent.atomic.AtomicLong;
import javax.sql.DataSource;
import org.springframework.beans.factory.config.BeanPostProcessor;

/**
 * Counts the statements that an application sends to its database while it answers. What it does by itself meanwhile, such as sealing
 * what was handed over without, belongs to no answer.
 */
public final class Statements implements BeanPostProcessor {
    private final AtomicLong sent = new AtomicLong();

    public long sent() {
        return sent.get();
    }

    @Override
    public Object postProcessAfterInitialization(Object bean, String name) {
        return bean instanceof DataSource source ? wrapped(DataSource.class, source) : bean;
    }

    private <T> T wrapped(Class<T> type, T inner) {
        return type.cast(Proxy.newProxyInstance(type.getClassLoader(), new Class<?>[] {type}, (self, method, given) -> {
            boolean answering = Thread.currentThread().getName().contains("-exec-");
            if (answering
                    && (method.getName().startsWith("prepare")
                            || method.getName().equals("createStatement"))) {
                sent.incrementAndGet();
            }
            try {
                Object answer = method.invoke(inner, given);
                return answer instanceof Connection c && type == DataSource.class
                        ? wrapped(Connection.class, c)
                        : answer;
            } catch (InvocationTargetException e) {
                throw e.getCause();
            }
        }));
    }
}
