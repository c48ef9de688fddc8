package homalon.app.foundation.door;

import homalon.app.foundation.security.CurrentUser;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * The shop's settings ask for the password again: a change of person by PIN, or a bench that was left open, must not open people,
 * devices and tokens.
 */
@Configuration
class PasswordConfirmation implements WebMvcConfigurer, HandlerInterceptor {
    private static final String KEYED = "homalon.passwordKeyedAt";

    private final Clock clock;
    private final Duration opensFor;

    PasswordConfirmation(Clock clock, @Value("${homalon.session.settings}") Duration opensFor) {
        this.clock = clock;
        this.opensFor = opensFor;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).addPathPatterns("/shop", "/shop/**");
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws IOException {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        if (who == null || !(who.getPrincipal() instanceof CurrentUser signed) || fresh(signed, request)) {
            return true;
        }
        response.sendRedirect("/confirm");
        return false;
    }

    private boolean fresh(CurrentUser signed, HttpServletRequest request) {
        Instant least = clock.instant().minus(opensFor);
        if (!signed.byPin() && signed.since() != null && signed.since().isAfter(least)) {
            return true;
        }
        HttpSession session = request.getSession(false);
        return session != null && session.getAttribute(KEYED) instanceof Instant keyed && keyed.isAfter(least);
    }

    void keyed(HttpServletRequest request) {
        request.getSession().setAttribute(KEYED, clock.instant());
    }
}
