package homalon.app.machining.valves;

import homalon.app.casting.part.Parts;
import homalon.app.casting.sheets.Sheets;
import homalon.app.foundation.web.Keyed;
import homalon.core.input.BadInputException;
import homalon.core.part.Valve;
import homalon.core.quantity.BenchUnit;
import homalon.core.valves.Measure;
import homalon.core.visit.PartFile;
import homalon.core.visit.Said;
import homalon.core.visit.Sheet;
import homalon.core.visit.ValveFile;
import homalon.core.visit.ValveSetup;
import java.nio.charset.StandardCharsets;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Keeps how valves lie, what is read of them, and what a form says of one: several places at once, all or none. */
@Component
@RequiredArgsConstructor
public class WorkOnValves {
    private final Parts parts;
    private final ValveFiles files;
    private final ValveKeys keys;
    private final Sheets sheets;

    /** @param form as typed: how they lie, and the book, each field named by kind and item */
    @Transactional
    public void setUp(PartFile part, UUID id, Map<String, String> form, BenchUnit unit, UUID by) {
        sheets.setUp(
                part,
                id,
                Sheet.VALVES,
                ValveSetup.typed(form, unit, part.rules().books()),
                by);
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
        keys.key(
                file,
                file.valve(valve),
                measure,
                new Keyed(id, ValveFile.place(valve, measure), typed, unit, 0L, sure),
                by);
    }

    /** Without any check beyond that of each place by itself. */
    @Transactional
    public void keep(String tag, UUID id, String valve, Map<Said, String> said, BenchUnit unit, UUID by) {
        keep(parts.byTag(tag), id, valve, said, unit, by, (f, v) -> {});
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
    void keep(PartFile part, UUID id, String valve, Map<Said, String> said, BenchUnit unit, UUID by, Check check) {
        ValveFile file = files.require(part);
        Valve of = file.valve(valve);
        // In one order, whoever asks: a record reads the same each time.
        new TreeMap<>(said).forEach((what, typed) -> {
            boolean same = file.shown(of, what, unit).equals(typed.strip());
            if (!same || what.isWork()) {
                keys.say(file, of, what, own(id, what), typed, unit, by);
            }
        });
        check.on(files.require(part), of);
    }

    /** Says which valves of a casting a form is for. */
    interface Which {
        boolean takes(ValveFile file, Valve valve);
    }

    /**
     * The same of several valves of one kind: all of them or, when it does not fit one, none.
     *
     * @param from one of the kind; what stands of it is what the others get
     * @param what of it
     * @throws BadInputException naming the valve that it does not fit, or that there is none left to take it
     */
    @Transactional
    void keepForAll(
            PartFile part, UUID id, String from, List<Said> what, Which which, BenchUnit unit, UUID by, Check check) {
        ValveFile file = files.require(part);
        Valve model = file.valve(from);
        Map<Said, String> said = new EnumMap<>(Said.class);
        what.forEach(s -> {
            if (!file.shown(model, s, unit).isEmpty()) {
                said.put(s, file.shown(model, s, unit));
            }
        });
        if (said.isEmpty()) {
            throw new BadInputException("all", "app.valves.choose-it-for-this-one-first-it-then");
        }
        List<Valve> takers = file.valves().stream()
                .filter(v -> v.kind() == model.kind() && !v.equals(model) && which.takes(file, v))
                .toList();
        if (takers.isEmpty()) {
            throw new BadInputException(
                    "all",
                    "app.valves.no-other-is-left-to-take-it",
                    model.kind().words());
        }
        for (Valve v : takers) {
            UUID own = UUID.nameUUIDFromBytes((id + v.key()).getBytes(StandardCharsets.UTF_8));
            try {
                keep(part, own, v.key(), said, unit, by, check);
            } catch (BadInputException e) {
                throw new BadInputException("all", "app.valves.nothing-was-kept", v.name(), e.sentence());
            }
        }
    }

    /**
     * Signs for every valve that nothing but a name settles: a guide that was felt and found good, or a figure nearer to its limit than its
     * gauges can tell. All or none.
     *
     * @throws BadInputException when there is none
     */
    @Transactional
    public void answer(PartFile part, UUID id, BenchUnit unit, UUID by) {
        ValveFile file = files.require(part);
        List<Valve> felt = file.valves().stream().filter(file::mayBeSigned).toList();
        if (felt.isEmpty()) {
            throw new BadInputException("felt", "app.valves.no-guide-that-was-felt-and-found-good");
        }
        for (Valve v : felt) {
            UUID own = UUID.nameUUIDFromBytes((id + v.key()).getBytes(StandardCharsets.UTF_8));
            keep(part, own, v.key(), Map.of(Said.FELT, "signed"), unit, by, (f, w) -> {});
        }
    }

    private static UUID own(UUID id, Said what) {
        return UUID.nameUUIDFromBytes((id + what.name()).getBytes(StandardCharsets.UTF_8));
    }
}
