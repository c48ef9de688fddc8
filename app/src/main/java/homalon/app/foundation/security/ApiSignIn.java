package homalon.app.foundation.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Signs programs in to the calculation interface: a bearer token, or the token as the password of HTTP Basic. In the demo
 * the account {@code api} has a password that is printed in the README; it does not exist anywhere else.
 */
@Component
class ApiSignIn extends OncePerRequestFilter implements AuthenticationEntryPoint {
    private static final String DEMO_ACCOUNT = "api";
    private static final String DEMO_PASSWORD = "saltmarsh-demo";

    private final ApiTokens tokens;
    private final LoginThrottle throttle;
    private final boolean demo;

    ApiSignIn(ApiTokens tokens, LoginThrottle throttle, @Value("${homalon.demo}") boolean demo) {
        this.tokens = tokens;
        this.throttle = throttle;
        this.demo = demo;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String header = request.getHeader("Authorization");
        if (header != null) {
            List<LoginThrottle.Subject> subjects =
                    List.of(LoginThrottle.Subject.address("api-from:" + request.getRemoteAddr()));
            Optional<String> name = program(header);
            int wait = name.isEmpty() ? throttle.take(subjects) : 0;
            if (wait > 0) {
                ProblemJson.write(
                        response,
                        429,
                        "Too many wrong tries",
                        LoginThrottle.told(wait) + ", then use a token that works.");
                return;
            }
            name.ifPresent(n -> SecurityContextHolder.getContext()
                    .setAuthentication(UsernamePasswordAuthenticationToken.authenticated(
                            n, null, List.of(new SimpleGrantedAuthority("ROLE_PROGRAM")))));
        }
        chain.doFilter(request, response);
    }

    private Optional<String> program(String header) {
        if (header.regionMatches(true, 0, "Bearer ", 0, 7)) {
            return tokens.nameOf(header.substring(7).strip());
        }
        if (!header.regionMatches(true, 0, "Basic ", 0, 6)) {
            return Optional.empty();
        }
        try {
            String pair =
                    new String(Base64.getDecoder().decode(header.substring(6).strip()), StandardCharsets.UTF_8);
            int colon = pair.indexOf(':');
            String user = colon < 0 ? pair : pair.substring(0, colon);
            String password = colon < 0 ? "" : pair.substring(colon + 1);
            if (demo && user.equals(DEMO_ACCOUNT) && password.equals(DEMO_PASSWORD)) {
                return Optional.of("demo");
            }
            return tokens.nameOf(password);
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    @Override
    public void commence(HttpServletRequest request, HttpServletResponse response, AuthenticationException e)
            throws IOException {
        response.setHeader("WWW-Authenticate", "Basic realm=\"Homalon calculations\", charset=\"UTF-8\"");
        ProblemJson.write(
                response, 401, "Not signed in", "Send a token that the owner issued: Authorization: Bearer <token>.");
    }

    @Configuration
    static class NotAServletFilter {
        /** The filter belongs to its security chain alone. */
        @Bean
        FilterRegistrationBean<ApiSignIn> apiSignInNotEverywhere(ApiSignIn filter) {
            FilterRegistrationBean<ApiSignIn> registration = new FilterRegistrationBean<>(filter);
            registration.setEnabled(false);
            return registration;
        }
    }
}
