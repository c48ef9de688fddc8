package homalon.app.machining.chambers;

import homalon.app.casting.sheets.Sheets;
import homalon.app.foundation.web.AskAgainException;
import homalon.app.foundation.web.Keyed;
import homalon.core.chambers.EngineBook;
import homalon.core.chambers.EngineItem;
import homalon.core.chambers.Fill;
import homalon.core.chambers.FillState;
import homalon.core.chambers.Ratios;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.Source;
import homalon.core.visit.ChamberFile;
import homalon.core.visit.ChamberPlace;
import homalon.core.visit.ChamberSetup;
import homalon.core.visit.EngineForm;
import homalon.core.visit.Figure;
import homalon.core.visit.PartFile;
import homalon.core.visit.Sheet;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Keeps fills, what was read of pistons, and what is known of the engine. */
@Component
@RequiredArgsConstructor
public class WorkOnChambers {
    /** Chambers of one head are alike: one that differs by this share asks before it is believed. */
    private static final double ODD = 0.08;

    private final ChamberFiles files;
    private final Sheets sheets;

    /**
     * Keeps the engine's figures as a form has them: what is blank is taken back, what is the same is left.
     *
     * @param form as typed, by {@link EngineItem}; the source of a limit under its name and {@code .source}; drive, crown, rods and
     *     depths beside them; under {@code seen} the number of the last line when the form was drawn
     * @throws BadInputException naming every field that cannot be; nothing is kept then
     */
    @Transactional
    public void engine(PartFile part, UUID id, Map<String, String> form, BenchUnit unit, UUID by) {
        ChamberFile file = files.of(part);
        ChamberSetup setup = ChamberSetup.typed(form, unit);
        Map<EngineItem, EngineBook.Entry> entries = entries(file, form, unit, by);
        new EngineBook(
                entries,
                setup.drive(),
                setup.crown(),
                setup.rods(),
                part.rules().books());
        if (!setup.kept().equals(file.sheet().setup())) {
            sheets.setUp(part, id, Sheet.CHAMBERS, setup.kept(), by);
        }
        for (EngineItem item : EngineItem.values()) {
            keep(file, item, id, typed(form, item, unit), unit, by);
            if (item.group() == EngineItem.Group.LIMITS) {
                String source = entries.containsKey(item) ? source(form, item).name() : "";
                keepText(file, ChamberFile.source(item), id, source, unit, by);
            }
        }
    }

    private static String typed(Map<String, String> form, EngineItem item, BenchUnit unit) {
        return item.asKept(form.getOrDefault(item.name(), "").strip(), unit);
    }

    private static Map<EngineItem, EngineBook.Entry> entries(
            ChamberFile file, Map<String, String> form, BenchUnit unit, UUID by) {
        Map<EngineItem, EngineBook.Entry> entries = new EnumMap<>(EngineItem.class);
        List<BadInputException.Problem> problems = new ArrayList<>();
        for (EngineItem item : EngineItem.values()) {
            String typed = typed(form, item, unit);
            try {
                meanwhile(file, item, form, by);
                if (typed.length() > 40) {
                    throw new BadInputException(
                            item.name(), "app.chambers.that-is-too-long-key-a-number", item.words());
                }
                if (!typed.isEmpty()) {
                    entries.put(item, new EngineBook.Entry(item.read(typed, unit), source(form, item)));
                }
            } catch (BadInputException e) {
                problems.addAll(e.problems());
            }
        }
        if (!problems.isEmpty()) {
            throw new BadInputException(problems);
        }
        return entries;
    }

    /** A form that was drawn before somebody else keyed a figure would put its old one in that one's place. */
    private static void meanwhile(ChamberFile file, EngineItem item, Map<String, String> form, UUID by) {
        Figure f = file.sheet().standing().get(ChamberFile.place(item));
        String seen = form.getOrDefault("seen", "");
        boolean later = f != null && seen.matches("[0-9]{1,18}") && f.seq() > Long.parseLong(seen);
        if (later
                && !f.by().equals(by)
                && !f.typed().equals(form.getOrDefault(item.name(), "").strip())) {
            throw new BadInputException(
                    item.name(), "app.chambers.somebody-keyed-meanwhile-for-open-the", f.typed(), item.words());
        }
    }

    private static Source source(Map<String, String> form, EngineItem item) {
        String name = form.getOrDefault(item.name() + ".source", "");
        for (Source s : EngineForm.SOURCES) {
            if (s.name().equals(name)) {
                return s;
            }
        }
        return Source.SHOP;
    }

    private void keep(ChamberFile file, EngineItem item, UUID id, String typed, BenchUnit unit, UUID by) {
        String place = ChamberFile.place(item);
        String shown = EngineForm.shown(file, item, unit);
        if (typed.equals(shown)) {
            return;
        }
        if (typed.isEmpty()) {
            sheets.withdraw(file.part(), Sheet.CHAMBERS, own(id, place), place, by);
            return;
        }
        Optional<Length> length =
                item.unit().isLength() ? Optional.of(Length.roundedFromMm(item.read(typed, unit))) : Optional.empty();
        sheets.say(file.part(), Sheet.CHAMBERS, place, length, typed, unit, Sheets.Hand.sure(own(id, place), by));
    }

    private void keepText(ChamberFile file, String place, UUID id, String text, BenchUnit unit, UUID by) {
        Figure standing = file.sheet().standing().get(place);
        String shown = standing == null ? "" : standing.typed();
        if (text.equals(shown)) {
            return;
        }
        if (text.isEmpty()) {
            sheets.withdraw(file.part(), Sheet.CHAMBERS, own(id, place), place, by);
        } else {
            sheets.say(
                    file.part(),
                    Sheet.CHAMBERS,
                    place,
                    Optional.empty(),
                    text,
                    unit,
                    Sheets.Hand.sure(own(id, place), by));
        }
    }

    private static UUID own(UUID id, String place) {
        return UUID.nameUUIDFromBytes((id + place).getBytes(StandardCharsets.UTF_8));
    }

    /**
     * A fill as the burette was read.
     *
     * @param number of the fill, from 1
     */
    @Transactional
    public void fill(PartFile part, FillState state, Length depth, int cylinder, int number, Keyed keyed, UUID by) {
        key(files.of(part), ChamberPlace.fill(state, depth, cylinder, number), keyed, by);
    }

    /** What the crown of one piston holds. */
    @Transactional
    public void crown(PartFile part, int cylinder, Keyed keyed, UUID by) {
        key(files.of(part), ChamberPlace.piston(ChamberPlace.What.CROWN, cylinder), keyed, by);
    }

    /** @throws BadInputException for what cannot be; {@link AskAgainException} for what is odd and was not said to be sure */
    @Transactional
    void key(ChamberFile file, ChamberPlace place, Keyed keyed, UUID by) {
        sheets.ask(file.part(), Sheet.CHAMBERS, place.key(), Sheets.Hand.of(keyed, by));
        String tidy = keyed.tidy();
        if (keyed.skips()) {
            sheets.skip(file.part(), Sheet.CHAMBERS, place.key(), keyed.unit(), Sheets.Hand.of(keyed, by));
            return;
        }
        Optional<Length> length = Optional.empty();
        switch (place.what()) {
            case FILL -> {
                double cc =
                        Fill.read(tidy, file.book().value(EngineItem.BURETTE)).cc();
                deeper(file, place, cc);
                if (!keyed.sure()) {
                    odd(file, place, cc);
                }
            }
            case DECK -> length = Optional.of(Length.roundedFromMm(typed(EngineItem.DECK, tidy, keyed.unit())));
            case CROWN -> typed(EngineItem.CROWN, tidy, keyed.unit());
        }
        sheets.say(file.part(), Sheet.CHAMBERS, place.key(), length, tidy, keyed.unit(), Sheets.Hand.of(keyed, by));
    }

    private static double typed(EngineItem item, String typed, BenchUnit unit) {
        try {
            return item.read(typed, unit);
        } catch (BadInputException e) {
            throw new BadInputException("typed", e.sentence());
        }
    }

    /** Filled less than full it holds less. */
    private static void deeper(ChamberFile file, ChamberPlace place, double cc) {
        file.filled(place.cylinder(), place.state())
                .filter(f -> place.depth().signum() > 0 && cc >= f.volume().cc())
                .ifPresent(f -> {
                    throw new BadInputException(
                            "typed",
                            "app.chambers.to-the-brim-this-chamber-holds-filled",
                            Ratios.cc(f.volume().cc()));
                });
    }

    private static void odd(ChamberFile file, ChamberPlace place, double cc) {
        OptionalDouble mean = file.bores().stream()
                .filter(b -> b.number() != place.cylinder())
                .flatMap(b -> file.fills(b.number(), place.state(), place.depth()).stream())
                .mapToDouble(ChamberFile::cc)
                .average();
        if (mean.isPresent() && Math.abs(cc - mean.getAsDouble()) > ODD * mean.getAsDouble()) {
            throw new AskAgainException("The other chambers hold about " + Ratios.cc(mean.getAsDouble()) + ", this one "
                    + Ratios.cc(cc) + ": Enter again if it is so, or read the burette again.");
        }
    }
}
