package homalon.app.machining.valves;

import homalon.app.casting.part.PartPage;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.words.Words;
import homalon.core.catalogue.Metal;
import homalon.core.input.BadInputException;
import homalon.core.part.Valve;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.quantity.Quantity;
import homalon.core.route.Operation;
import homalon.core.rulebook.BenchGauges;
import homalon.core.seats.InsertChoice;
import homalon.core.seats.PressFit;
import homalon.core.verdict.Verdict;
import homalon.core.visit.InsertPlace;
import homalon.core.visit.PlaceLine;
import homalon.core.visit.RingFitted;
import homalon.core.visit.Said;
import homalon.core.visit.ValveFile;
import homalon.core.words.Message;
import java.math.BigDecimal;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.util.MultiValueMap;
import org.springframework.util.StringUtils;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Inserts: the place is measured, the list stepped through, the ring fitted. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class InsertController {
    /** What turning °F into °C leaves. */
    private static final double SLACK = 1e-6;

    private static final List<Said> PLACE =
            List.of(Said.COUNTERBORE, Said.FLOOR, Said.WALL, Said.THROAT, Said.PROUD, Said.RUN_AT, Said.METAL);
    /** What is chosen for one may stand for others of its kind; what is measured is measured at each. */
    private static final List<Said> CHOSEN =
            List.of(Said.COUNTERBORE, Said.FLOOR, Said.THROAT, Said.PROUD, Said.RUN_AT, Said.METAL, Said.CHILL);

    private static final int MOST_LINES = 12;
    /** Of a casting or a gauge in a shop, degrees C. */
    private static final double COLDEST = -30;

    private static final double HOTTEST = 150;

    private final ValveFiles files;
    private final InsertViews views;
    private final WorkPages pages;

    @ToMachinists
    @PostMapping("/parts/{tag}/inserts/{valve}/place")
    String place(PartPage page, @PathVariable String valve, @RequestParam MultiValueMap<String, String> all) {
        Map<String, String> form = all.toSingleValueMap();
        Map<Said, String> said = new EnumMap<>(Said.class);
        PLACE.forEach(s -> said.put(s, form.getOrDefault(s.name(), "")));
        said.put(Said.DAMAGE, InsertPlace.damage(lines(all, "from", "to", "past"), page.unit()));
        said.put(Said.NEIGHBOURS, InsertPlace.neighbours(lines(all, "neighbour", "centres", "beside"), page.unit()));
        String runAt = said.get(Said.RUN_AT).strip();
        if (!runAt.isEmpty()) {
            said.put(Said.RUN_AT, degrees(page, "RUN_AT", runAt, 20, 500));
        }
        String metal = said.get(Said.METAL).strip();
        if (!metal.isEmpty() && !known(metal)) {
            throw new BadInputException("METAL", "app.valves.choose-a-metal-of-the-list-or-any");
        }
        said.put(
                Said.SIGNED,
                Stream.concat(
                                Stream.of(InsertPlace.JUDGED),
                                InsertPlace.SIGNS.keySet().stream().sorted())
                        .filter(form::containsKey)
                        .collect(Collectors.joining(" ")));
        if (page.shell().owner()) {
            said.put(Said.OVERSTRAIN, form.containsKey("overstrain") ? "signed" : "");
        }
        return pages.keep(page, WorkPage.INSERTS, valve, said, (file, v) -> {
            // All sizes are understood together before they are kept.
            InsertPlace.of(file, v);
            file.length(v, Said.WALL).filter(w -> w.signum() <= 0).ifPresent(w -> {
                throw new BadInputException("wall", "app.valves.wall-to-water-key-what-is-left-beside");
            });
        });
    }

    private static List<PlaceLine> lines(
            MultiValueMap<String, String> form, String first, String second, String third) {
        List<String> of = form.getOrDefault(first, List.of());
        return IntStream.range(0, Math.min(of.size(), MOST_LINES))
                .mapToObj(i -> new PlaceLine(of.get(i), at(form, second, i), at(form, third, i)))
                .toList();
    }

    private static String at(MultiValueMap<String, String> form, String field, int no) {
        List<String> of = form.getOrDefault(field, List.of());
        return no < of.size() ? of.get(no) : "";
    }

    private static boolean known(String metal) {
        for (Metal m : Metal.values()) {
            if (m.name().equals(metal)) {
                return true;
            }
        }
        return false;
    }

    private static String degrees(PartPage page, String field, String typed, double least, double most) {
        return BigDecimal.valueOf(celsius(page, field, typed, least, most))
                .stripTrailingZeros()
                .toPlainString();
    }

    /** To a tenth. */
    private static double celsius(PartPage page, String field, String typed, double least, double most) {
        OptionalDouble celsius = Quantity.TEMPERATURE.read(page.writer().temperatureTyped(typed), BenchUnit.MM);
        if (celsius.isPresent() && celsius.getAsDouble() >= least - SLACK && celsius.getAsDouble() <= most + SLACK) {
            return Math.rint(celsius.getAsDouble() * 10) / 10;
        }
        throw new BadInputException(
                field,
                "app.valves.temperature-key-to-degrees-c-such-as",
                new Message.Celsius(least),
                new Message.Celsius(most),
                new Message.Celsius(least < 0 ? -78 : 200));
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/inserts/{valve}/choose")
    String choose(PartPage page, @PathVariable String valve, @RequestParam(defaultValue = "") String code) {
        return pages.keep(page, WorkPage.INSERTS, valve, Map.of(Said.INSERT, code), (file, v) -> {
            if (code.isBlank()) {
                return;
            }
            InsertChoice.Step step = step(file, v, code, page.writer());
            if (!step.passes()) {
                InsertChoice.Check broken = step.broken().get(0);
                throw new BadInputException(
                        "code",
                        "app.valves.does-not-pass",
                        code,
                        broken.rule().words(),
                        Words.of(broken.says(), page.writer()));
            }
        });
    }

    private InsertChoice.Step step(ValveFile file, Valve v, String code, LengthWriter writer) {
        return views
                .choice(file, v, writer)
                .orElseThrow(() -> new BadInputException("code", "app.valves.measure-the-place-first-counterbore"))
                .steps()
                .stream()
                .filter(s -> s.insert().code().equals(code))
                .findFirst()
                .orElseThrow(() -> new BadInputException("code", "app.valves.that-insert-is-not-on-the-list-choose"));
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/inserts/{valve}/heat")
    String heat(
            PartPage page,
            @PathVariable String valve,
            @RequestParam(defaultValue = "") String chillTo,
            @RequestParam(defaultValue = "") String warmTo) {
        String chill = chillTo.isBlank() ? "20" : degrees(page, "chillTo", chillTo, -200, PressFit.ROOM);
        String warm = warmTo.isBlank() ? "20" : degrees(page, "warmTo", warmTo, PressFit.ROOM, 350);
        return pages.keep(page, WorkPage.INSERTS, valve, Map.of(Said.CHILL, chill + " " + warm), (f, v) -> {});
    }

    /** The same ring for every valve of the kind that has none yet; each still needs its own wall measured. */
    @ToMachinists
    @PostMapping("/parts/{tag}/inserts/{valve}/for-all")
    String forAll(PartPage page, @PathVariable String valve) {
        return pages.keepForAll(
                page,
                WorkPage.INSERTS,
                valve,
                CHOSEN,
                (file, v) -> file.length(v, Said.COUNTERBORE).isEmpty(),
                (f, v) -> {});
    }

    /** What speaks against a ring that is in, as it was measured. */
    private static Optional<String> odd(PressFit fit, BenchGauges gauges) {
        Verdict holds = fit.holdsHot(gauges);
        if (holds != Verdict.WITHIN) {
            return Optional.of(
                    holds == Verdict.OUT
                            ? "that press is too little to hold when it is hot"
                            : "that press is too near the least that holds hot for these gauges to tell");
        }
        return fit.strain().compareTo(PressFit.Strain.SIGNED) < 0
                ? Optional.empty()
                : Optional.of("with that press the casting is "
                        + Words.of(fit.strain().words()));
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/inserts/{valve}/done")
    String done(
            PartPage page,
            @PathVariable String valve,
            @RequestParam(defaultValue = "") String hole,
            @RequestParam(defaultValue = "") String ring,
            @RequestParam(defaultValue = "") String casting,
            @RequestParam(defaultValue = "") String gauge,
            @RequestParam(defaultValue = "false") boolean anyway) {
        page.require(Operation.INSERT);
        ValveFile file = files.require(page.part());
        String code = file.text(file.valve(valve), Said.INSERT)
                .orElseThrow(() -> new BadInputException("done", "app.valves.choose-the-insert-first"));
        if (hole.isBlank() || ring.isBlank()) {
            throw new BadInputException("hole", "app.valves.key-the-counterbore-as-it-was-cut-and");
        }
        RingFitted fitted = new RingFitted(
                code,
                Length.parseSize(hole, page.unit()),
                Length.parseSize(ring, page.unit()),
                measuredAt(page, casting, gauge));
        Optional<PressFit> planned =
                step(file, file.valve(valve), code, page.writer()).fit();
        Optional<String> odd =
                planned.map(fitted::in).flatMap(p -> odd(p, page.part().rules().gauges()));
        if (odd.isPresent() && !anyway) {
            throw new BadInputException(
                    "hole", "app.valves.measure-both-again-if-it-is-in-so-tick", StringUtils.capitalize(odd.get()));
        }
        return pages.done(page, WorkPage.INSERTS, valve, Map.of(Said.INSERT_DONE, fitted.kept()));
    }

    /** Both or neither: a gauge that is as warm as the casting leaves a part of the error, not none. */
    private static Optional<RingFitted.At> measuredAt(PartPage page, String casting, String gauge) {
        if (casting.isBlank() && gauge.isBlank()) {
            return Optional.empty();
        }
        return Optional.of(new RingFitted.At(
                celsius(page, "casting", casting, COLDEST, HOTTEST), celsius(page, "gauge", gauge, COLDEST, HOTTEST)));
    }
}
