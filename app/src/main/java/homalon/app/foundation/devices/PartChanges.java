package homalon.app.foundation.devices;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
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

/** Tells whoever looks at a part that somebody wrote something on it. */
@Configuration
@EnableScheduling
class PartChanges implements WebMvcConfigurer, HandlerInterceptor {
    private static final Pattern PART = Pattern.compile("/parts/([A-Za-z]{1,3}-[0-9]{2,6})/.*");

    private final LiveBus bus;

    private final TaskExecutor teller;

    PartChanges(LiveBus bus, @Qualifier("applicationTaskExecutor") TaskExecutor teller) {
        this.bus = bus;
        this.teller = teller;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).addPathPatterns("/parts/**");
    }

    @Override
    public void afterCompletion(HttpServletRequest request, HttpServletResponse response, Object handler, Exception e) {
        Matcher m = PART.matcher(request.getRequestURI());
        if (request.getMethod().equals("POST") && response.getStatus() < 400 && m.matches()) {
            String page = request.getHeader("X-Page");
            String topic = "part-" + m.group(1).toUpperCase(Locale.ROOT);
            String from = page != null && page.matches("[0-9a-f-]{36}") ? page : "changed";
            // Whoever wrote need not wait until the others are told.
            teller.execute(() -> bus.tell(topic, from));
        }
    }
}
