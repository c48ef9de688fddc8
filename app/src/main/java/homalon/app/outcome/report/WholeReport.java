package homalon.app.outcome.report;

import homalon.app.casting.work.WorkEntry;
import homalon.app.casting.work.WorkLog;
import homalon.app.check.integrity.Cracks;
import homalon.app.check.integrity.PressureTests;
import homalon.app.check.lines.SheetWords;
import homalon.app.foundation.people.People;
import homalon.app.foundation.words.Words;
import homalon.app.shop.instruments.StepGauges;
import homalon.core.integrity.Remedy;
import homalon.core.integrity.SmallCheck;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.quantity.Quantity;
import homalon.core.route.Finding;
import homalon.core.route.Operation;
import homalon.core.rulebook.BenchGauges;
import homalon.core.visit.CrackFile;
import homalon.core.visit.GaugesInHand;
import homalon.core.visit.PartFile;
import homalon.core.visit.TestFile;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What the report says of the casting beside its face: cleaned, cracked, mended, tested, straight; and what was not looked at. */
@Component
@RequiredArgsConstructor
class WholeReport {
    private final WorkLog work;
    private final Cracks cracks;
    private final PressureTests tests;
    private final SheetWords sheets;
    private final People people;
    private final StepGauges gauges;

    List<String> of(PartFile part, LengthWriter writer) {
        Map<UUID, String> names = people.names();
        List<String> said = new ArrayList<>();
        List<WorkEntry> log = work.of(part);
        said.add(done(log, Operation.CLEAN, "Cleaned: ", "It was not noted that it was cleaned."));
        said.add(done(log, Operation.CRACK_CHECK, "Looked over for cracks by ", "It was not looked over for cracks."));
        cracks.of(part).stream().filter(c -> !c.what().suspect()).forEach(c -> said.add(crack(c, writer)));
        log.stream().flatMap(e -> work(e, names).stream()).forEach(said::add);
        List<TestFile> tested = tests.of(part);
        GaugesInHand testing = gauges.of(part, tested);
        for (int i = 0; i < tested.size(); i++) {
            said.add(test(tested.get(i), i + 1, testing.gauges(), writer.unit()));
        }
        StepGauges.told(testing, writer).ifPresent(t -> said.add("Pressure tests, " + t));
        said.addAll(sheets.of(part, writer));
        String stiff = Finding.TURNS_STIFF.name();
        log.stream()
                .filter(e -> e.what().equals(stiff))
                .forEach(e -> said.add("A shaft turned stiffly: " + e.note() + "."));
        String ticked = ticked(log);
        if (!ticked.isEmpty()) {
            said.add("Small checks signed for: " + ticked + ".");
        }
        // What nobody proved stands apart from what was found.
        cracks.of(part).stream().filter(c -> c.what().suspect()).forEach(c -> said.add(suspicion(c)));
        return said;
    }

    /** Whether it was looked over for cracks, what was seen, and what is suspected; nobody is named. */
    List<String> cracked(PartFile part, LengthWriter writer) {
        List<String> said = new ArrayList<>();
        said.add(done(
                work.of(part),
                Operation.CRACK_CHECK,
                "Looked over for cracks by ",
                "It was not looked over for cracks yet."));
        cracks.of(part).forEach(c -> said.add(c.what().suspect() ? suspicion(c) : crack(c, writer)));
        return said;
    }

    /** Cleaning and looking for cracks are told apart. */
    private static Optional<String> work(WorkEntry e, Map<UUID, String> names) {
        if (e.kind() != WorkEntry.Kind.DID && e.kind() != WorkEntry.Kind.WAIVED) {
            return Optional.empty();
        }
        Operation operation = Operation.valueOf(e.what());
        if (e.kind() == WorkEntry.Kind.WAIVED) {
            return Optional.of("Left out, signed for by " + names.getOrDefault(e.by(), "someone") + ": "
                    + Words.of(operation.words()) + ". " + e.note() + ".");
        }
        boolean told = operation == Operation.CLEAN || operation == Operation.CRACK_CHECK;
        String note = e.note().isEmpty() ? "" : ", " + e.note();
        return told ? Optional.empty() : Optional.of("Done: " + Words.of(operation.words()) + note + ".");
    }

    private static String ticked(List<WorkEntry> log) {
        return log.stream()
                .filter(e -> e.kind() == WorkEntry.Kind.LINE_TICKED
                        || (e.kind() == WorkEntry.Kind.TICKED && !e.what().equals(Finding.TURNS_STIFF.name())))
                .map(e -> e.kind() == WorkEntry.Kind.LINE_TICKED
                        ? e.note()
                        : Words.of(SmallCheck.valueOf(e.what()).words()).toLowerCase(Locale.ROOT))
                .distinct()
                .collect(Collectors.joining(", "));
    }

    private static String done(List<WorkEntry> log, Operation operation, String words, String not) {
        String by = log.stream()
                .filter(e -> e.kind() == WorkEntry.Kind.DID && e.what().equals(operation.name()))
                .map(WorkEntry::note)
                .distinct()
                .collect(Collectors.joining(", "));
        return by.isEmpty() ? not : words + by + ".";
    }

    private static String suspicion(CrackFile c) {
        return "Suspected and not proven: " + Words.of(c.what().place().words()) + ", no crack seen; "
                + Words.of(c.remedy().words()) + ".";
    }

    private static String crack(CrackFile c, LengthWriter writer) {
        String what = writer.size(Length.roundedFromMm(c.what().length())) + " long";
        String reaches = c.what().reaches().isEmpty()
                ? "reaches nothing"
                : "reaches "
                        + c.what().reaches().stream()
                                .map(it -> Words.of(it.words()))
                                .collect(Collectors.joining(", "));
        String why = c.overruled() ? " (otherwise than the rule: " + c.why() + ")" : "";
        String next = c.remedy() == Remedy.LEAVE ? " Look at it again on the next visit." : "";
        return "Crack " + c.no() + " " + Words.of(c.what().place().words()) + ", " + what + ", " + reaches + ": "
                + Words.of(c.remedy().words()) + why + "." + next;
    }

    private static String test(TestFile t, int no, BenchGauges gauges, BenchUnit unit) {
        var decay = t.decay(gauges);
        String lost = Quantity.PRESSURE.full(decay.lost(), unit);
        String most = Quantity.PRESSURE.full(t.asked().most(), unit);
        return "Pressure test " + no + ", " + t.medium() + ": " + Words.of(decay.why()) + "; lost " + lost + " of "
                + most + " allowed, put right for the temperature.";
    }
}
