package homalon.app.foundation.security;

import homalon.app.foundation.people.Role;
import java.io.Serializable;
import java.security.Principal;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;

/**
 * The person of a session. Unit and theme are not in it: they are read afresh, so that two browsers agree.
 *
 * @param byPin true for a change of person by PIN, which opens no settings
 * @param since when this person signed in; null for a session of an older version
 */
public record CurrentUser(UUID id, String login, Role role, boolean byPin, Instant since)
        implements Principal, Serializable {
    /** Whose session asks now; empty for a visitor, and for a program with a token. */
    public static Optional<CurrentUser> now() {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        return who != null && who.getPrincipal() instanceof CurrentUser s ? Optional.of(s) : Optional.empty();
    }

    @Override
    public String getName() {
        return login;
    }
}
