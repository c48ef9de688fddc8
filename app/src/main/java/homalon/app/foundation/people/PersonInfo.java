package homalon.app.foundation.people;

import homalon.core.quantity.BenchUnit;
import java.util.UUID;

/** A person as the other features see one. */
public record PersonInfo(
        UUID id, String login, String name, Role role, BenchUnit unit, Theme theme, boolean hasPin, boolean active) {}
