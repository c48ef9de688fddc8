package homalon.app.shop.instruments;

import homalon.app.casting.part.Parts;
import homalon.app.foundation.drawing.CheckDrawing;
import homalon.app.foundation.people.People;
import homalon.app.foundation.time.WrittenDay;
import homalon.app.foundation.words.Words;
import homalon.core.gauge.Compared;
import homalon.core.gauge.ControlChart;
import homalon.core.gauge.GaugeStanding;
import homalon.core.gauge.Instrument;
import homalon.core.gauge.InstrumentKind;
import homalon.core.gauge.Reversal;
import homalon.core.quantity.LengthWriter;
import homalon.core.verdict.Verdict;
import homalon.core.visit.PartFile;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Writes the register and its instruments. */
@Component
@RequiredArgsConstructor
class InstrumentViews {
    private static final int SHOWN = 12;
    /** Verdicts are worked out anew for so many. */
    private static final int JUDGED = 40;

    private final Instruments instruments;
    private final Studies studies;
    private final Parts parts;
    private final People people;
    private final Reversals reversals;
    private final List<RestedVerdict> verdicts;

    /**
     * A line of the register.
     *
     * @param due in words; empty for none
     */
    record Row(String code, String name, String kind, String good, String state, boolean marked, String due) {}

    /** A comparison as written down. */
    record ComparedLine(String on, String against, String error, boolean kept) {}

    /** @param signals what stands out at it; empty for nothing */
    record CheckLine(String at, String by, String reference, String read, String off, String signals) {}

    /**
     * It was read both ways.
     *
     * @param most it is out by itself, anywhere
     * @param keeps what it may be said to keep by that
     * @param errors at each place
     */
    record ReversalLine(UUID id, String at, String by, String most, String keeps, String errors, boolean taken) {}

    /**
     * How it is read both ways.
     *
     * @param first what is read at first
     * @param second what is read then
     * @param says what that tells, and what not
     */
    record Turning(String way, String first, String second, String says, List<ReversalLine> found) {}

    record StudyLine(UUID id, String words, boolean complete) {}

    /**
     * @param page where it stands: the step of a visit in hand, or the report of an earlier one
     * @param words what it is now, and what it would be; empty where that is not asked
     */
    record Rested(String tag, String page, String step, String at, String words, boolean turns) {}

    /**
     * One instrument.
     *
     * @param limits that a comparison is held against
     * @param chart of its checks; empty while they are too few
     * @param chartWords what the chart says
     */
    record One(
            Instrument instrument,
            Row row,
            boolean retired,
            String unit,
            String amount,
            String limits,
            List<ComparedLine> compared,
            List<CheckLine> checks,
            Optional<String> chart,
            String chartWords,
            Optional<Turning> turning,
            List<StudyLine> studies,
            List<Rested> rested,
            String restedSince) {}

    List<Row> rows(LengthWriter writer) {
        return instruments.all().stream().map(k -> row(k, writer)).toList();
    }

    private static Row row(Instruments.Known known, LengthWriter writer) {
        Instrument i = known.instrument();
        GaugeStanding standing = known.standing();
        String good = i.known() == Instrument.Known.LIMITS
                ? "± " + GaugeFigures.full(i.kind(), i.amount(), writer)
                : GaugeFigures.full(i.kind(), i.amount(), writer) + " standard";
        return new Row(
                i.code(),
                i.name(),
                Words.of(i.kind().words()),
                good,
                known.retired()
                        ? "no longer offered"
                        : Words.of(standing.state().words()),
                !known.retired() && standing.state().marks(),
                standing.due().map(d -> writer.days().day(d)).orElse(""));
    }

    One of(Instruments.Known known, LengthWriter writer) {
        Instrument i = known.instrument();
        List<Instruments.Check> checks = instruments.checks(i.code());
        Optional<ControlChart> chart = chart(checks);
        return new One(
                i,
                row(known, writer),
                known.retired(),
                GaugeFigures.unit(i.kind(), writer.unit()),
                GaugeFigures.full(i.kind(), i.amount(), writer),
                GaugeFigures.full(i.kind(), i.limits(), writer),
                known.compared().stream()
                        .sorted(Comparator.comparing(Compared::on).reversed())
                        .map(c -> new ComparedLine(
                                writer.days().day(c.on()),
                                c.against(),
                                GaugeFigures.full(i.kind(), c.error(), writer),
                                c.kept(i)))
                        .toList(),
                checkLines(i.kind(), checks, chart, writer),
                chart.map(c -> CheckDrawing.svg(
                        checks.stream().mapToDouble(Instruments.Check::off).toArray(),
                        c,
                        v -> GaugeFigures.finer(i.kind(), v, writer),
                        "Checks of " + known.called())),
                chartWords(checks, chart),
                turning(known, writer),
                studies.ofInstrument(known.id()).stream()
                        .map(s -> studyLine(i, s, writer))
                        .toList(),
                rested(known, writer),
                known.standing().lastGood().map(d -> writer.days().day(d)).orElse(""));
    }

    private static Optional<ControlChart> chart(List<Instruments.Check> checks) {
        if (checks.size() < ControlChart.LEAST) {
            return Optional.empty();
        }
        double[] off = checks.stream().mapToDouble(Instruments.Check::off).toArray();
        // By the first few until there are enough: one that stands out then does not hide itself.
        return Optional.of(ControlChart.of(off, off.length < SHOWN ? ControlChart.LEAST : SHOWN));
    }

    private static String chartWords(List<Instruments.Check> checks, Optional<ControlChart> chart) {
        if (chart.isEmpty()) {
            return "A chart is drawn from " + ControlChart.LEAST + " checks on; there "
                    + (checks.isEmpty() ? "is none yet." : checks.size() == 1 ? "is 1." : "are " + checks.size() + ".");
        }
        int last = checks.size() - 1;
        List<String> now = chart.get().signals().stream()
                .filter(s -> s.number() == last)
                .map(s -> Words.of(s.rule().words()))
                .toList();
        if (!now.isEmpty()) {
            return "The last check stands out: " + String.join(", ", now)
                    + ". Check it again; if it does so again, have it compared before more is read with it.";
        }
        return chart.get().signals().isEmpty()
                ? "Nothing stands out: it reads as it did."
                : "The last check is as the chart expects; an earlier one stood out.";
    }

    private Optional<Turning> turning(Instruments.Known known, LengthWriter writer) {
        Instrument i = known.instrument();
        Optional<Reversal.Way> way = Arrays.stream(Reversal.Way.values())
                .filter(w -> i.kind().turns(w))
                .findFirst();
        return way.map(w -> new Turning(
                w.name(),
                w == Reversal.Way.OVER ? "As it lies" : "As the part lies",
                w == Reversal.Way.OVER ? "The edge turned over" : "The part turned end for end",
                Words.of(w.words()),
                reversalLines(known, writer)));
    }

    private List<ReversalLine> reversalLines(Instruments.Known known, LengthWriter writer) {
        Map<UUID, String> names = people.names();
        InstrumentKind kind = known.instrument().kind();
        return reversals.of(known.id()).stream()
                .map(f -> new ReversalLine(
                        f.id(),
                        WrittenDay.moment(f.at(), writer.days()),
                        names.getOrDefault(f.by(), "someone"),
                        GaugeFigures.finer(kind, f.reversal().most(), writer),
                        GaugeFigures.full(kind, f.reversal().keeps(), writer),
                        Arrays.stream(f.reversal().error())
                                .mapToObj(writer::signed)
                                .collect(Collectors.joining("  ")),
                        known.instrument().known() == Instrument.Known.LIMITS
                                && Math.abs(known.instrument().amount()
                                                - f.reversal().keeps())
                                        < 1e-9))
                .toList();
    }

    private List<CheckLine> checkLines(
            InstrumentKind kind, List<Instruments.Check> checks, Optional<ControlChart> chart, LengthWriter writer) {
        Map<UUID, String> names = people.names();
        List<CheckLine> lines = new ArrayList<>();
        for (int n = checks.size() - 1; n >= Math.max(0, checks.size() - SHOWN); n--) {
            Instruments.Check c = checks.get(n);
            int number = n;
            lines.add(new CheckLine(
                    WrittenDay.moment(c.at(), writer.days()),
                    names.getOrDefault(c.by(), "someone"),
                    GaugeFigures.full(kind, c.reference(), writer),
                    GaugeFigures.full(kind, c.read(), writer),
                    GaugeFigures.full(kind, c.off(), writer),
                    chart.stream()
                            .flatMap(it -> it.signals().stream())
                            .filter(s -> s.number() == number)
                            .map(s -> Words.of(s.rule().words()))
                            .collect(Collectors.joining(", "))));
        }
        return lines;
    }

    private static StudyLine studyLine(Instrument i, Studies.Study study, LengthWriter writer) {
        String who = String.join(", ", study.asked().hands());
        String words = study.result()
                .map(r -> "one reading by any hand " + GaugeFigures.full(i.kind(), r.both(), writer) + ", "
                        + Words.of(r.fit(study.asked().width()).words()) + " of "
                        + GaugeFigures.full(i.kind(), study.asked().width(), writer))
                .orElse(study.read().size() + " of " + study.asked().slots() + " read");
        return new StudyLine(
                study.id(),
                WrittenDay.of(study.startedAt(), writer.days()) + ", " + who + ": " + words,
                study.complete());
    }

    /** What was measured with it since it was last found good; what would turn first where it was found out. */
    private List<Rested> rested(Instruments.Known known, LengthWriter writer) {
        List<Instruments.Used> used = instruments.usedSince(
                known.instrument().code(), known.standing().lastGood());
        Map<UUID, PartFile> visits =
                parts
                        .ofVisits(used.stream()
                                .map(Instruments.Used::visit)
                                .distinct()
                                .toList())
                        .stream()
                        .collect(Collectors.toMap(p -> p.visit().id(), Function.identity(), (a, b) -> a));
        boolean out = known.standing().state() == GaugeStanding.State.OUT;
        double error = known.compared().stream()
                .max(Comparator.comparing(Compared::on))
                .map(Compared::error)
                .orElse(0.0);
        List<Rested> lines = new ArrayList<>();
        for (Instruments.Used u : used) {
            PartFile part = visits.get(u.visit());
            if (part != null) {
                Optional<RestedVerdict.Change> change = out && lines.size() < JUDGED
                        ? change(part, u.step(), known.instrument().code(), error)
                        : Optional.empty();
                lines.add(new Rested(
                        part.tag(),
                        part.visit().no() == part.visits()
                                ? "/parts/" + part.tag() + "/" + u.step()
                                : "/parts/" + part.tag() + "/visits/"
                                        + part.visit().no(),
                        u.step(),
                        WrittenDay.of(u.at(), writer.days()),
                        change.map(InstrumentViews::words).orElse(""),
                        change.filter(c -> c.said() != c.wouldBe()).isPresent()));
            }
        }
        lines.sort(Comparator.comparing(Rested::turns).reversed());
        return lines;
    }

    private Optional<RestedVerdict.Change> change(PartFile part, String step, String code, double error) {
        return verdicts.stream()
                .flatMap(v -> v.of(part, step, code, error).stream())
                .findFirst();
    }

    private static String words(RestedVerdict.Change change) {
        String said = word(change.said());
        return change.said() == change.wouldBe()
                ? said + ", and stays so"
                : said + "; with that error it is " + word(change.wouldBe()) + ": measure it again";
    }

    private static String word(Verdict verdict) {
        return switch (verdict) {
            case WITHIN -> "within";
            case OUT -> "out";
            case NOT_PROVEN -> "not proven";
        };
    }
}
