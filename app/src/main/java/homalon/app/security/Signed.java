package homalon.app.security;

import homalon.app.people.Role;
import java.io.Serializable;
import java.security.Principal;
import java.util.UUID;

/** The person of a session. Unit and theme are not in it: they are read afresh, so that two browsers agree. */
public record Signed(UUID id, String login, Role role) implements Principal, Serializable {
    @Override
    public String getName() {
        return login;
    }
}
