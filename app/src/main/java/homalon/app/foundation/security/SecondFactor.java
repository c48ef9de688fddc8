package homalon.app.foundation.security;

import java.util.UUID;

/** Whether somebody comes in by what they hold, and no longer by a password alone. */
public interface SecondFactor {
    boolean askedOf(UUID person);
}
