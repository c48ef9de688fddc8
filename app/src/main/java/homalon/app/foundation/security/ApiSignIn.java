package homalon.app.foundation.security;

import homalon.app.foundation.people.People;
import homalon.app.foundation.people.PersonInfo;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.GrantedAuthority;
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

    /** Stands in no table. */
    private static final UUID DEMO = new UUID(0, 0);

    private final ApiTokens tokens;
    private final People people;
    private final LoginThrottle throttle;
    private final boolean demo;

    ApiSignIn(ApiTokens tokens, People people, LoginThrottle throttle, @Value("${homalon.demo}") boolean demo) {
        this.tokens = tokens;
        this.people = people;
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
            Optional<ApiTokens.Token> token = program(header);
            int wait = token.isEmpty() ? throttle.take(subjects) : 0;
            if (wait > 0) {
                ProblemJson.write(
                        response,
                        429,
                        "Too many wrong tries",
                        LoginThrottle.told(wait) + ", then use a token that works.");
                return;
            }
            token.ifPresent(t -> SecurityContextHolder.getContext().setAuthentication(signedIn(t)));
        }
        chain.doFilter(request, response);
    }

    /** One that writes is signed in as whoever answers for it, as long as that person is not blocked. */
    private Authentication signedIn(ApiTokens.Token token) {
        List<GrantedAuthority> may = new ArrayList<>(List.of(new SimpleGrantedAuthority("ROLE_PROGRAM")));
        Object who = token.name();
        Optional<PersonInfo> person = token.writesFor().flatMap(people::find).filter(PersonInfo::active);
        if (person.isPresent()) {
            may.add(new SimpleGrantedAuthority("ROLE_WRITING_PROGRAM"));
            PersonInfo p = person.get();
            who = new CurrentUser(p.id(), p.login(), p.role(), false, token.issuedAt());
        }
        return UsernamePasswordAuthenticationToken.authenticated(who, null, may);
    }

    private Optional<ApiTokens.Token> program(String header) {
        if (header.regionMatches(true, 0, "Bearer ", 0, 7)) {
            return tokens.of(header.substring(7).strip());
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
                return Optional.of(new ApiTokens.Token(DEMO, "demo", Instant.EPOCH, Optional.empty()));
            }
            return tokens.of(password);
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
