package homalon.app.check.integrity;

import homalon.app.casting.part.Faces;
import homalon.app.casting.part.PartPage;
import homalon.app.foundation.drawing.CrackMark;
import homalon.app.foundation.drawing.DecayDrawing;
import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.people.People;
import homalon.app.foundation.words.Words;
import homalon.app.shop.instruments.StepGauges;
import homalon.core.geometry.Spot;
import homalon.core.integrity.Decay;
import homalon.core.integrity.Remedy;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.LengthWriter;
import homalon.core.quantity.Quantity;
import homalon.core.route.Operation;
import homalon.core.route.StepKind;
import homalon.core.rulebook.BenchFigure;
import homalon.core.rulebook.BenchGauges;
import homalon.core.rulebook.BookDefaults;
import homalon.core.verdict.Verdict;
import homalon.core.visit.GaugesInHand;
import homalon.core.visit.PartFile;
import homalon.core.visit.TestFile;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Pressure tests: set-up, readings with their temperature, bubbles, and what is owed again. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class PressureController {
    private final Faces faces;
    private final PressureTests tests;
    private final Cracks cracks;
    private final People people;
    private final StepGauges gauges;

    /** Of a test as it is usually held, bar. */
    private static final double USUAL_LEAST = 2;

    private static final double USUAL_MOST = 3;

    /** One reading. */
    record Line(UUID id, String minute, String bar, String celsius, String corrected, String by) {}

    /** One place with bubbles. */
    record Bubble(UUID id, String where, String by) {}

    /** A test as the page shows it. */
    record Shown(
            String title,
            String style,
            String verdict,
            String why,
            String lost,
            String limit,
            String leak,
            List<String> working,
            String curve,
            List<Line> lines,
            List<Bubble> bubbles,
            boolean looked) {}

    @GetMapping("/parts/{tag}/pressure")
    String page(PartPage page) {
        return page.read(() -> {
            show(page);
            return "check/integrity/pressure";
        });
    }

    private void show(PartPage page) {
        PartFile part = page.part();
        Map<UUID, String> names = people.names();
        List<TestFile> all = tests.of(part);
        GaugesInHand with = gauges.of(part, all);
        List<CrackMark> marks = marks(part, all);
        var standing = page.standing();
        page.show(
                "owed",
                standing.route()
                        .open(Operation.PRESSURE_TEST)
                        .map(s -> Words.of(s.because()))
                        .orElse(List.of()));
        page.show(
                "drawing",
                FaceDrawing.of(
                                faces.layout(part.numbers()),
                                "pressure",
                                "Face of " + part.tag() + ", front at the left")
                        .cracks(marks)
                        .svg());
        List<Shown> shown = new ArrayList<>();
        for (int i = all.size() - 1; i >= 0; i--) {
            shown.add(shown(all.get(i), i + 1, names, part.rules().books(), with.gauges(), page.writer()));
        }
        page.show("tests", shown);
        boolean settled =
                all.isEmpty() || all.get(all.size() - 1).decay(with.gauges()).verdict() != Verdict.NOT_PROVEN;
        page.show("settled", settled);
        Decay.Asked asked = Decay.Asked.usual(page.part().rules().books());
        page.show("asked", asked);
        page.show("pressureUnit", Quantity.PRESSURE.unit(page.unit()));
        page.show("mayLose", Quantity.PRESSURE.aboutNumber(asked.mostLost(), page.unit()));
        page.show("usual", usual(asked, page.unit()));
        gauges.show(page, with);
        page.frame(StepKind.PRESSURE);
    }

    /** Cracks that are to be mended, and where it bubbled the last time. */
    private List<CrackMark> marks(PartFile part, List<TestFile> all) {
        List<CrackMark> marks = new ArrayList<>(CrackController.marks(
                cracks.of(part).stream().filter(c -> c.remedy() != Remedy.LEAVE).toList()));
        if (!all.isEmpty()) {
            for (TestFile.BubbleFile b : all.get(all.size() - 1).bubbles()) {
                marks.add(new CrackMark("o", "bubbles", b.spot(), b.spot(), List.of(), 0, "Bubbles: " + b.where()));
            }
        }
        return marks;
    }

    /** {@code 10 minutes and 0.05 bar at 2 to 3 bar}. */
    private static String usual(Decay.Asked asked, BenchUnit unit) {
        return minutes(asked.hold()) + " minutes and "
                + Quantity.PRESSURE.about(asked.mostLost(), unit) + " at "
                + Quantity.PRESSURE.aboutNumber(USUAL_LEAST, unit) + " to " + Quantity.PRESSURE.about(USUAL_MOST, unit);
    }

    private static Shown shown(
            TestFile t, int no, Map<UUID, String> names, BookDefaults shop, BenchGauges gauges, LengthWriter writer) {
        BenchUnit unit = writer.unit();
        Decay decay = t.decay(gauges);
        String words = switch (decay.verdict()) {
            case WITHIN -> "It held";
            case OUT -> "It leaks";
            case NOT_PROVEN -> "Not proven yet";
        };
        String style = decay.verdict() == Verdict.NOT_PROVEN
                ? "open"
                : decay.verdict().name().toLowerCase(Locale.ROOT);
        String title = "Pressure over time: " + words + ", lost " + Quantity.PRESSURE.full(decay.lost(), unit);
        return new Shown(
                "Test " + no + ": " + t.medium(),
                style,
                words,
                Words.of(decay.why()),
                Quantity.PRESSURE.full(decay.lost(), unit),
                limit(t.asked(), shop, unit),
                decay.leak(t.asked()).stream()
                        .mapToObj(PressureController::leak)
                        .findFirst()
                        .orElse(""),
                working(t, decay, gauges, writer),
                decay.curve().isEmpty() ? "" : DecayDrawing.svg(decay.curve(), t.asked(), title, unit),
                lines(t, decay, names, writer),
                t.bubbles().stream()
                        .map(b -> new Bubble(b.id(), b.where(), names.getOrDefault(b.by(), "someone")))
                        .toList(),
                t.looked());
    }

    private static String leak(double each) {
        return String.format(
                Locale.ROOT,
                "%.1f cm³ a minute leak; at most %.0f, a general default",
                Math.max(0, each),
                Decay.MOST_LEAK);
    }

    private static List<Line> lines(TestFile t, Decay decay, Map<UUID, String> names, LengthWriter writer) {
        BenchUnit unit = writer.unit();
        List<Line> lines = new ArrayList<>();
        for (int i = 0; i < t.readings().size(); i++) {
            TestFile.ReadingFile r = t.readings().get(i);
            lines.add(new Line(
                    r.id(),
                    minutes(r.second() / 60.0),
                    Quantity.PRESSURE.number(r.bar(), unit),
                    r.celsius().isPresent()
                            ? writer.temperatureNumber(r.celsius().getAsDouble())
                            : "not read",
                    Quantity.PRESSURE.number(decay.curve().get(i).corrected(), unit),
                    names.getOrDefault(r.by(), "someone")));
        }
        return lines;
    }

    private static List<String> working(TestFile t, Decay decay, BenchGauges gauges, LengthWriter writer) {
        BenchUnit unit = writer.unit();
        return List.of(
                "Air that cools loses pressure without a leak: p2' = (p2 + a − v2) T1 / T2 + v1 − a, in kelvin",
                "a = %s, the air around; v the vapour pressure of water where it stands in the space: %s"
                        .formatted(Quantity.PRESSURE.full(Decay.ATMOSPHERE, unit), t.wet() ? "counted" : "none, dry"),
                "lost = p1 − p2' = %s after %s min; it may lose %s in %s min"
                        .formatted(
                                Quantity.PRESSURE.full(decay.lost(), unit),
                                minutes(decay.minutes()),
                                Quantity.PRESSURE.full(t.asked().mostLost(), unit),
                                minutes(t.asked().hold())),
                t.asked().volume().isPresent()
                        ? "leak = volume %.0f cm³ × lost / (minutes × atmosphere), in standard cm³ a minute"
                                .formatted(t.asked().volume().getAsDouble())
                        : "the volume was not keyed: a limit of pressure alone is strict for a small jacket and lax for a large one",
                open(t, gauges, writer));
    }

    /** What gauge and thermometer leave open of what was lost. */
    private static String open(TestFile t, BenchGauges gauges, LengthWriter writer) {
        BenchUnit unit = writer.unit();
        if (gauges.pressure() <= 0 || t.readings().isEmpty()) {
            return "readings count as exact";
        }
        return "gauge ± %s, temperature ± %s (general default): ± %s of what was lost is open, 19 times in 20"
                .formatted(
                        Quantity.PRESSURE.full(gauges.pressure(), unit),
                        writer.apart(Decay.THERMOMETER),
                        Quantity.PRESSURE.full(t.lost(gauges).kept(), unit));
    }

    private static String limit(Decay.Asked asked, BookDefaults shop, BenchUnit unit) {
        String within = Quantity.PRESSURE.full(asked.mostLost(), unit) + " in " + minutes(asked.hold()) + " min";
        if (asked.volume().isPresent()) {
            return within + ", by its volume";
        }
        return within
                + (asked.isUsual(shop)
                        ? ", " + Words.of(BenchFigure.TEST_DROP.source(shop).words())
                        : ", as keyed here")
                + "; strict for a small jacket, lax for a large one";
    }

    private static String minutes(double minutes) {
        return minutes == Math.rint(minutes)
                ? Long.toString(Math.round(minutes))
                : String.format(Locale.ROOT, "%.1f", minutes);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/pressure")
    String begin(PartPage page, @ModelAttribute("pressureForm") PressureTests.SetUp form) {
        tests.begin(page.part(), page.lineId(), form, page.unit(), page.me());
        return live(page);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/pressure/readings")
    String read(PartPage page, @ModelAttribute("readingForm") PressureTests.Reading form) {
        PressureTests.Reading read = new PressureTests.Reading(
                form.minute(), form.bar(), page.writer().temperatureTyped(form.celsius()));
        tests.read(page.part(), page.lineId(), read, page.unit(), page.me());
        return live(page);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/pressure/bubbles")
    String bubbles(
            PartPage page,
            @RequestParam boolean seen,
            @RequestParam(defaultValue = "") String where,
            @RequestParam(defaultValue = "0") double x1,
            @RequestParam(defaultValue = "0") double y1) {
        tests.bubbles(page.part(), page.lineId(), seen, where, new Spot(x1, y1), page.me());
        return live(page);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/pressure/take-back")
    String takeBack(PartPage page, @RequestParam UUID entry) {
        tests.takeBack(page.part(), page.lineId(), entry, page.me());
        return live(page);
    }

    private String live(PartPage page) {
        return page.read(() -> {
            show(page);
            return "check/integrity/pressure :: live";
        });
    }
}
