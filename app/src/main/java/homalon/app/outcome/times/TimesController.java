package homalon.app.outcome.times;

import homalon.app.casting.part.InTheShop;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.web.Page;
import homalon.app.foundation.words.Words;
import homalon.core.bench.DayPlan;
import homalon.core.bench.JobSize;
import homalon.core.bench.JobSizes;
import homalon.core.bench.ShopTimes;
import homalon.core.bench.UsualTimes;
import homalon.core.input.RefusedInputException;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.route.Operation;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** How long work takes, for each size of casting, and where that comes from. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class TimesController {
    private static final int USUAL = 4;

    private final TimesBook times;
    private final InTheShop shop;

    /**
     * @param minutes in hands
     * @param alone minutes beside, in which it runs by itself; empty for none
     * @param source in words
     */
    record Shown(Operation operation, String words, int minutes, String alone, String source, boolean said) {}

    @GetMapping("/day/times")
    String page(Page page, @RequestParam Optional<Integer> cylinders) {
        return page(page, cylinders, null);
    }

    private String page(Page page, Optional<Integer> wanted, @Nullable String said) {
        return page.read(() -> {
            TreeSet<Integer> sizes = new TreeSet<>();
            shop.firstDue(DayPlan.CASTINGS).forEach(p -> sizes.add(p.numbers().cylinders()));
            sizes.add(USUAL);
            int cylinders = wanted.filter(sizes::contains).orElse(USUAL);
            ShopTimes known = times.now();
            page.show("sizes", sizes);
            page.show("cylinders", cylinders);
            page.show(
                    "times",
                    Arrays.stream(Operation.values())
                            .map(o -> shown(o, cylinders, known))
                            .filter(s -> s.minutes() > 0)
                            .toList());
            page.show("enough", ShopTimes.ENOUGH);
            page.show("said", said);
            return "outcome/times/times";
        });
    }

    private static Shown shown(Operation operation, int cylinders, ShopTimes known) {
        JobSize size = JobSizes.of(PartKind.HEAD, cylinders, Map.of(), 0).apply(operation);
        ShopTimes.Of of = new ShopTimes.Of(operation, cylinders);
        var usual = UsualTimes.of(operation, Material.CAST_IRON);
        int general = usual.of(size).stream()
                .filter(p -> p.attended())
                .mapToInt(p -> p.minutes())
                .sum();
        int alone = usual.minutes(size) - general;
        String source = switch (known.source(of)) {
            case SAID -> "said here";
            case LEARNED ->
                Optional.ofNullable(known.learned().get(of))
                        .map(l -> "from " + l.castings() + " like it (" + l.least() + " to " + l.most() + ")")
                        .orElse("");
            case GENERAL -> "a default";
        };
        return new Shown(
                operation,
                Words.of(operation.words()),
                known.hands(of).orElse(general),
                alone > 0 ? "and " + alone + " min by itself" : "",
                source,
                known.source(of) == ShopTimes.Source.SAID);
    }

    /** @param minutes 0 takes back what was said */
    @ToMachinists
    @PostMapping("/day/times")
    String say(
            Page page,
            @RequestParam UUID id,
            @RequestParam Operation operation,
            @RequestParam int cylinders,
            @RequestParam int minutes) {
        try {
            times.say(id, operation, cylinders, minutes, page.me());
            return page(
                    page,
                    Optional.of(cylinders),
                    minutes == 0 ? "It takes as long as before." : "Work is planned with that from now on.");
        } catch (RefusedInputException e) {
            page.unprocessable();
            return page(page, Optional.of(cylinders), Words.of(e.sentence()));
        }
    }
}
