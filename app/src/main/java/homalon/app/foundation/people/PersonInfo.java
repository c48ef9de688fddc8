package homalon.app.foundation.people;

import homalon.core.quantity.BenchUnit;
import java.util.UUID;

/**
 * A person as the other features see one.
 *
 * @param fahrenheit thinks of temperatures in °F
 */
public record PersonInfo(
        UUID id,
        String login,
        String name,
        Role role,
        BenchUnit unit,
        boolean fahrenheit,
        Theme theme,
        boolean hasPin,
        boolean active) {}
