package homalon.app.valves;

import homalon.app.part.PartFile;
import homalon.app.part.Parts;
import homalon.core.part.Valve;
import homalon.core.quantity.BenchUnit;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what a form says of one valve: several places at once, all or none. */
@Component
class WorkOnValves {
    private final Parts parts;
    private final ValveFiles files;
    private final ValveKeys keys;

    WorkOnValves(Parts parts, ValveFiles files, ValveKeys keys) {
        this.parts = parts;
        this.files = files;
        this.keys = keys;
    }

    /** Refuses what cannot stand beside the rest, once the form's figures are in place; nothing is kept then. */
    interface Check {
        void on(ValveFile file, Valve valve);
    }

    /**
     * @param id of the form; every place gets an id of its own made from it, so that a form sent twice is kept once
     * @param said what was typed, by place; a blank takes back what stands
     */
    @Transactional
    public PartFile keep(
            String tag, UUID id, String valve, Map<Said, String> said, BenchUnit unit, UUID by, Check check) {
        PartFile part = parts.byTag(tag);
        ValveFile file = files.require(part);
        Valve of = file.valve(valve);
        said.forEach((what, typed) -> {
            boolean same = file.figure(of, what)
                    .map(f -> f.typed().equals(typed.strip()))
                    .orElse(typed.isBlank());
            if (!same || what.isWork()) {
                keys.say(file, of, what, own(id, what), typed, unit, by);
            }
        });
        check.on(files.require(part), of);
        return part;
    }

    private static UUID own(UUID id, Said what) {
        return UUID.nameUUIDFromBytes((id + what.name()).getBytes(StandardCharsets.UTF_8));
    }
}
