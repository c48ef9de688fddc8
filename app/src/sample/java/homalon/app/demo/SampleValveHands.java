package homalon.app.demo;

import homalon.app.foundation.time.ShopClock;
import homalon.app.machining.valves.WorkOnValves;
import homalon.core.part.Layout;
import homalon.core.part.Valve;
import homalon.core.part.ValvePattern;
import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.Source;
import homalon.core.valves.Measure;
import homalon.core.visit.PartFile;
import homalon.core.visit.Said;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import lombok.RequiredArgsConstructor;

/** The hands that read the valves of the sample shop and choose what is done to them, some days ago. */
@OfTheDemo
@RequiredArgsConstructor
class SampleValveHands {
    private final SampleHands hands;
    private final WorkOnValves valves;
    private final ShopClock clock;
    private UUID ines;
    private UUID brannoc;
    private int minute;

    void are(UUID measuring, UUID atTheMachine) {
        this.ines = measuring;
        this.brannoc = atTheMachine;
    }

    Map<String, String> lie(int intake, int exhaust, ValvePattern.Rows rows, Source source, String... book) {
        Map<String, String> form = new HashMap<>();
        form.put("intake", "" + intake);
        form.put("exhaust", "" + exhaust);
        form.put("rows", rows.name());
        form.put("source", source.name());
        form.put("knurls", "false");
        for (int i = 0; i < book.length; i += 3) {
            form.put("I." + book[i], book[i + 1]);
            form.put("E." + book[i], book[i + 2]);
        }
        return form;
    }

    void setUp(PartFile part, Map<String, String> form, int daysAgo) {
        hands.prepare(part, daysAgo);
        minute = daysAgo * 24 * 60 - 60;
        ago(() -> valves.setUp(part, UUID.randomUUID(), form, BenchUnit.MM, ines));
    }

    void ago(Runnable work) {
        clock.ago(Duration.ofMinutes(Math.max(1, minute)), work);
        minute = Math.max(1, minute - (minute % 3 == 0 ? 1 : 0));
    }

    void key(PartFile part, String valve, Measure m, double value) {
        say(part, valve, m, String.format(Locale.ROOT, "%.3f", value));
    }

    void say(PartFile part, String valve, Measure m, String typed) {
        ago(() -> valves.key(part, UUID.randomUUID(), valve, m, typed, BenchUnit.MM, true, ines));
    }

    void keep(PartFile part, String valve, Map<Said, String> said) {
        ago(() -> valves.keep(part.tag(), UUID.randomUUID(), valve, said, BenchUnit.MM, brannoc));
    }

    /** Somebody answers for what lies too near a limit to tell. */
    void answer(PartFile part) {
        ago(() -> valves.answer(part, UUID.randomUUID(), BenchUnit.MM, brannoc));
    }

    static List<Valve> of(PartFile part, ValvePattern pattern) {
        return pattern.of(Layout.of(part.numbers()));
    }

    /** Stem and guide as a sound pair reads, with its own thousandths. */
    void sound(PartFile part, String valve, double stem, double worn, Random random) {
        key(part, valve, Measure.STEM_TOP, stem + random.nextInt(3) * 0.001);
        key(part, valve, Measure.STEM_MIDDLE, stem);
        key(part, valve, Measure.STEM_BOTTOM, stem + random.nextInt(3) * 0.001);
        double bore = stem + 0.042 + random.nextInt(5) * 0.001;
        for (Measure m : List.of(Measure.GUIDE_MIDDLE_ALONG, Measure.GUIDE_MIDDLE_ACROSS)) {
            key(part, valve, m, bore + random.nextInt(3) * 0.001);
        }
        for (Measure m : List.of(Measure.GUIDE_BOTTOM_ALONG, Measure.GUIDE_BOTTOM_ACROSS)) {
            key(part, valve, m, bore + 0.006 + random.nextInt(4) * 0.001);
        }
        for (Measure m : List.of(Measure.GUIDE_TOP_ALONG, Measure.GUIDE_TOP_ACROSS)) {
            key(part, valve, m, bore + worn + random.nextInt(4) * 0.001);
        }
    }
}
