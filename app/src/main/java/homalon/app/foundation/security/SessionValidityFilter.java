package homalon.app.foundation.security;

import homalon.app.foundation.people.People;
import homalon.app.foundation.people.PersonInfo;
import homalon.app.foundation.people.Role;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Looks at every request whether the person of the session still belongs: whoever was shut out, was given another role, or has
 * been signed in for too long is out, on all devices, before anything is answered.
 */
@Component
class SessionValidityFilter extends OncePerRequestFilter {
    /** The person of this request, as the table knows them now. */
    static final String PERSON = SessionValidityFilter.class.getName();

    private final People people;
    private final Clock clock;
    private final Duration longest;

    /** @param longest a session of an owner, or on a device that is not enabled, from the sign-in on */
    SessionValidityFilter(People people, Clock clock, @Value("${homalon.session.longest}") Duration longest) {
        this.people = people;
        this.clock = clock;
        this.longest = longest;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        if (who != null && who.getPrincipal() instanceof CurrentUser signed) {
            Optional<PersonInfo> now = people.find(signed.id());
            if (now.isEmpty() || !now.get().active() || now.get().role() != signed.role() || over(signed, request)) {
                HttpSession session = request.getSession(false);
                if (session != null) {
                    session.invalidate();
                }
                SecurityContextHolder.clearContext();
            } else {
                request.setAttribute(PERSON, now.get());
            }
        }
        chain.doFilter(request, response);
    }

    private boolean over(CurrentUser signed, HttpServletRequest request) {
        if (signed.since() == null) {
            return true;
        }
        if (clock.instant().isBefore(signed.since().plus(longest))) {
            return false;
        }
        // A bench in use stays open; the store ends what is not used (SessionStore).
        return signed.role() == Role.OWNER
                || PinSignIn.deviceToken(request).flatMap(people::device).isEmpty();
    }

    @Configuration
    static class NotAServletFilter {
        /** The filter belongs to its security chain alone. */
        @Bean
        FilterRegistrationBean<SessionValidityFilter> stillBelongsNotEverywhere(SessionValidityFilter filter) {
            FilterRegistrationBean<SessionValidityFilter> registration = new FilterRegistrationBean<>(filter);
            registration.setEnabled(false);
            return registration;
        }
    }
}
