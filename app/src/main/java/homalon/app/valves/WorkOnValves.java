package homalon.app.valves;

import homalon.app.part.PartFile;
import homalon.app.part.Parts;
import homalon.app.sheets.Sheet;
import homalon.app.sheets.Sheets;
import homalon.core.part.Valve;
import homalon.core.quantity.BenchUnit;
import homalon.core.valves.Measure;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Keeps how valves lie, what is read of them, and what a form says of one: several places at once, all or none. */
@Component
public class WorkOnValves {
    private final Parts parts;
    private final ValveFiles files;
    private final ValveKeys keys;
    private final Sheets sheets;

    WorkOnValves(Parts parts, ValveFiles files, ValveKeys keys, Sheets sheets) {
        this.parts = parts;
        this.files = files;
        this.keys = keys;
        this.sheets = sheets;
    }

    /** @param form as typed: how they lie, and the book, each field named by kind and item */
    @Transactional
    public void setUp(PartFile part, UUID id, Map<String, String> form, BenchUnit unit, UUID by) {
        sheets.setUp(part, id, Sheet.VALVES, ValveSetup.typed(form, unit), by);
    }

    /** @param sure odd as it is, it is so */
    @Transactional
    public void key(
            PartFile part,
            UUID id,
            String valve,
            Measure measure,
            String typed,
            BenchUnit unit,
            boolean sure,
            UUID by) {
        ValveFile file = files.require(part);
        keys.key(file, file.valve(valve), measure, new ValveKeys.Keyed(id, typed, unit, 0, sure, by));
    }

    /** Without any check beyond that of each place by itself. */
    @Transactional
    public void keep(String tag, UUID id, String valve, Map<Said, String> said, BenchUnit unit, UUID by) {
        keep(tag, id, valve, said, unit, by, (f, v) -> {});
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
    PartFile keep(String tag, UUID id, String valve, Map<Said, String> said, BenchUnit unit, UUID by, Check check) {
        PartFile part = parts.byTag(tag);
        ValveFile file = files.require(part);
        Valve of = file.valve(valve);
        said.forEach((what, typed) -> {
            boolean same = file.shown(of, what, unit).equals(typed.strip());
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
