package homalon.app.foundation.time;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import lombok.RequiredArgsConstructor;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * A reading that waited for the network was measured when it was keyed, not when it arrived. The device says how long ago that
 * was, by its own clock from key to sending: however wrong that clock is, the time between is right. When the line was stored is
 * noted by the database beside it, whatever the device says.
 */
@Component
@RequiredArgsConstructor
class KeyedAgo implements HandlerInterceptor {
    static final String HEADER = "X-Keyed-Ago";
    /** Longer than any reading waits; what is said beyond it is not believed. */
    private static final Duration LONGEST = Duration.ofDays(30);

    private final ShopClock clock;

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (request.getRequestURI().endsWith("/readings")) {
            clock.setBack(said(request.getHeader(HEADER)));
        }
        return true;
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, Exception failed) {
        if (request.getRequestURI().endsWith("/readings")) {
            clock.setBack(Duration.ZERO);
        }
    }

    /** Zero for nothing, for what is no number of milliseconds, and for times to come or too long ago. */
    static Duration said(String header) {
        if (header == null || !header.matches("[0-9]{1,12}")) {
            return Duration.ZERO;
        }
        Duration ago = Duration.ofMillis(Long.parseLong(header));
        return ago.compareTo(LONGEST) > 0 ? Duration.ZERO : ago;
    }

    @Configuration
    static class Everywhere implements WebMvcConfigurer {
        private final KeyedAgo ago;

        Everywhere(KeyedAgo ago) {
            this.ago = ago;
        }

        @Override
        public void addInterceptors(InterceptorRegistry registry) {
            registry.addInterceptor(ago);
        }
    }
}
