package homalon.app.outcome.estimate;

import homalon.app.foundation.devices.PartChanges;
import homalon.app.foundation.security.CurrentUser;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import lombok.RequiredArgsConstructor;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Before the answer goes out: whoever keyed what passes the sum cannot begin the next work in between. */
@Component
@RequiredArgsConstructor
class AfterWrites implements HandlerInterceptor {
    private static final Logger LOG = LoggerFactory.getLogger(AfterWrites.class);

    private final AskedAgain again;

    @Override
    public void postHandle(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable ModelAndView shown) {
        if (!request.getMethod().equals("POST") || response.getStatus() >= HttpServletResponse.SC_BAD_REQUEST) {
            return;
        }
        CurrentUser.now().ifPresent(me -> {
            for (String tag : PartChanges.written(request)) {
                try {
                    again.look(tag, me.id());
                } catch (RuntimeException e) {
                    // What was written is kept; the next that is written looks again.
                    LOG.warn("whether the customer of {} is to be asked was not looked at", tag, e);
                }
            }
        });
    }

    @Configuration
    @RequiredArgsConstructor
    static class OnCastings implements WebMvcConfigurer {
        private final AfterWrites after;

        @Override
        public void addInterceptors(InterceptorRegistry registry) {
            registry.addInterceptor(after).addPathPatterns("/parts/**", "/batch/**", "/api/v1/parts/**");
        }
    }
}
