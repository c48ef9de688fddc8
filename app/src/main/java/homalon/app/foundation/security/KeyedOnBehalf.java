package homalon.app.foundation.security;

import homalon.app.foundation.load.Refusal;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.people.People;
import homalon.app.foundation.people.PersonInfo;
import homalon.app.foundation.people.Role;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Lets an owner accept what a browser still held of a person who was shut out: the reading is that person's, as the device says;
 * stored it is by the owner. For nobody else and for nothing else.
 */
@Component
@RequiredArgsConstructor
class KeyedOnBehalf extends OncePerRequestFilter {
    static final String HEADER = "X-Keyed-By";
    private static final String NOT =
            "Only the owner may accept what somebody else keyed, and only of a person whose account is blocked: let them sign in and send it.";

    private final People people;
    private final Journal journal;

    /** @param owner who accepted it, and is named as the one who stored it */
    record Accepted(UUID owner) {}

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return request.getHeader(HEADER) == null;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        Optional<PersonInfo> other = id(request.getHeader(HEADER)).flatMap(people::find);
        boolean may = who != null
                && who.getPrincipal() instanceof CurrentUser signed
                && signed.role() == Role.OWNER
                && request.getMethod().equals("POST")
                && request.getRequestURI().endsWith("/readings")
                && other.filter(o -> !o.active()).isPresent();
        if (!may) {
            Refusal.answer(request, response, HttpServletResponse.SC_FORBIDDEN, NOT);
            return;
        }
        CurrentUser owner = (CurrentUser) who.getPrincipal();
        PersonInfo keyed = other.orElseThrow();
        SecurityContext before = SecurityContextHolder.getContext();
        SecurityContext accepted = SecurityContextHolder.createEmptyContext();
        UsernamePasswordAuthenticationToken asKeyed = UsernamePasswordAuthenticationToken.authenticated(
                new CurrentUser(keyed.id(), keyed.login(), owner.role(), owner.byPin(), owner.since()),
                null,
                who.getAuthorities());
        asKeyed.setDetails(new Accepted(owner.id()));
        accepted.setAuthentication(asKeyed);
        SecurityContextHolder.setContext(accepted);
        try {
            chain.doFilter(request, response);
        } finally {
            SecurityContextHolder.setContext(before);
        }
        if (response.getStatus() < 300) {
            journal.write(Journal.What.ACCEPTED, owner.id(), keyed.login() + ": " + request.getRequestURI());
        }
    }

    private static Optional<UUID> id(String text) {
        try {
            return Optional.of(UUID.fromString(text));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    @Configuration
    static class NotAServletFilter {
        /** The filter belongs to its security chain alone. */
        @Bean
        FilterRegistrationBean<KeyedOnBehalf> keyedByNotEverywhere(KeyedOnBehalf filter) {
            FilterRegistrationBean<KeyedOnBehalf> registration = new FilterRegistrationBean<>(filter);
            registration.setEnabled(false);
            return registration;
        }
    }
}
