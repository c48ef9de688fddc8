package homalon.app.foundation.opened;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.authorization.AuthorizationResult;
import org.springframework.security.authorization.method.PreAuthorizeAuthorizationManager;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.util.SimpleMethodInvocation;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Asks Spring Security's own method rules before a handler is called, and before its arguments are read: what may not be called
 * says nothing of what it would have wanted. A handler that no annotation opens is closed.
 */
@Component
class AccessInterceptor implements HandlerInterceptor {
    private static final String OURS = "homalon.app.";

    private final PreAuthorizeAuthorizationManager rules = new PreAuthorizeAuthorizationManager();

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws IOException {
        if (handler instanceof HandlerMethod method
                && method.getBeanType().getName().startsWith(OURS)
                && !open(method)) {
            response.sendError(HttpServletResponse.SC_FORBIDDEN);
            return false;
        }
        return true;
    }

    private boolean open(HandlerMethod method) {
        AuthorizationResult said = rules.authorize(
                () -> SecurityContextHolder.getContext().getAuthentication(),
                new SimpleMethodInvocation(method.getBean(), method.getMethod()));
        return said != null && said.isGranted();
    }

    @Configuration
    static class Everywhere implements WebMvcConfigurer {
        private final AccessInterceptor closed;

        Everywhere(AccessInterceptor closed) {
            this.closed = closed;
        }

        @Override
        public void addInterceptors(InterceptorRegistry registry) {
            registry.addInterceptor(closed);
        }
    }
}
