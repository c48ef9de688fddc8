package homalon.app.foundation.devices;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.task.TaskExecutor;
import org.springframework.scheduling.annotation.EnableScheduling;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Tells whoever looks at a part that somebody wrote something on it: on its own pages, or on several parts at once. */
@Configuration
@EnableScheduling
public class PartChanges implements WebMvcConfigurer, HandlerInterceptor {
    /** Before the tag: what is told of a part. */
    public static final String TOPIC = "part-";
    /** Told where no page wrote it. */
    public static final String BY_ITSELF = "changed";

    private static final String ON = PartChanges.class.getName() + ".on";
    private static final Pattern PART = Pattern.compile("(?:/api/v1)?/parts/([A-Za-z]{1,3}-[0-9]{2,6})/.*");

    private final LiveBus bus;

    private final TaskExecutor teller;

    PartChanges(LiveBus bus, @Qualifier("applicationTaskExecutor") TaskExecutor teller) {
        this.bus = bus;
        this.teller = teller;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).addPathPatterns("/parts/**", "/batch/**", "/api/v1/parts/**");
    }

    /** Says on which parts this request writes, where its address does not name them. */
    public static void on(HttpServletRequest request, Collection<String> tags) {
        request.setAttribute(ON, List.copyOf(tags));
    }

    /** On which parts it writes; none where it writes on none. */
    public static List<String> written(HttpServletRequest request) {
        if (request.getAttribute(ON) instanceof List<?> tags) {
            return tags.stream().map(Object::toString).toList();
        }
        Matcher m = PART.matcher(request.getRequestURI());
        return m.matches() ? List.of(m.group(1).toUpperCase(Locale.ROOT)) : List.of();
    }

    @Override
    public void afterCompletion(HttpServletRequest request, HttpServletResponse response, Object handler, Exception e) {
        List<String> tags = written(request);
        if (request.getMethod().equals("POST") && response.getStatus() < 400 && !tags.isEmpty()) {
            String page = request.getHeader("X-Page");
            String from = page != null && page.matches("[0-9a-f-]{36}") ? page : BY_ITSELF;
            // Whoever wrote need not wait until the others are told.
            teller.execute(() -> tags.forEach(tag -> bus.tell(TOPIC + tag, from)));
        }
    }
}
