package homalon.app.casting.part;

import homalon.app.casting.customer.NamedAfter;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Castings carry the name of their customer. */
@Component
@RequiredArgsConstructor
class CastingNames implements NamedAfter {
    private final PartRepository parts;

    @Override
    public void hangOn(UUID from, UUID into, String name) {
        parts.hangOn(from, into, name);
    }
}
