package homalon.app.machining.cut;

import homalon.app.casting.part.CastingLocks;
import homalon.app.foundation.store.EvidenceLog;
import homalon.core.cut.Comparison;
import homalon.core.cut.Levelling;
import homalon.core.cut.SetUp;
import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.PartFile;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The last look at the machine before the cut: level over the supports, and what the clamps do. */
@Service
@Transactional
@RequiredArgsConstructor
public class SetupChecks {
    private static final Length MOST = Length.ofMm("20");

    private final CastingLocks locks;
    private final EvidenceLog log;

    /** What was read. */
    public enum Kind {
        LEVEL,
        CLAMPS_OFF,
        CLAMPS_ON
    }

    /**
     * Ready to be shown.
     *
     * @param levelled what to do at the supports; empty before anything was read
     * @param levelStyle within when it is level
     * @param clamps what they do; empty until read with them off and on
     * @param clampStyle out when they bend it
     * @param off last heights read with the clamps off, as they would be keyed; empty for none
     */
    public record View(
            List<String> supports,
            List<String> places,
            String levelled,
            String levelStyle,
            String clamps,
            String clampStyle,
            List<String> off) {}

    /** Where one reads with clamps off and on: the corners, and the middle where a hollow shows. */
    static List<Spot> places(Box b) {
        double in = Math.min(12, b.height() * 0.12);
        return List.of(
                new Spot(b.x0() + in, b.y1() - in),
                new Spot(b.x1() - in, b.y1() - in),
                new Spot(b.x0() + in, b.y0() + in),
                new Spot(b.x1() - in, b.y0() + in),
                new Spot((b.x0() + b.x1()) / 2, (b.y0() + b.y1()) / 2));
    }

    /** @throws BadInputException when a field holds no height, naming which */
    public void read(PartFile part, UUID id, Kind kind, List<String> typed, BenchUnit unit, UUID by) {
        if (!locks.first(part, id)) {
            return;
        }
        part.requireHere("read", "to set it up");
        int wanted = kind == Kind.LEVEL ? 3 : 5;
        if (typed.size() != wanted || typed.stream().anyMatch(String::isBlank)) {
            throw new BadInputException("read", "app.cut.key-all-heights-each-says-what-the", wanted);
        }
        List<Length> heights = new ArrayList<>();
        for (String each : typed) {
            Length height = Length.parse(each, unit);
            if (height.abs().compareTo(MOST) > 0) {
                throw new BadInputException("read", "app.cut.is-more-than-a-dial-reads-check-the", each);
            }
            heights.add(height);
        }
        log.add(new SetupCheckRow(id, part.visit().id(), kind, heights, by));
    }

    private Optional<double[]> last(PartFile part, Kind kind) {
        return log.ofVisit(SetupCheckRow.class, part.visit().id()).stream()
                .filter(r -> r.kind() == kind)
                .reduce((a, b) -> b)
                .map(SetupCheckRow::heights);
    }

    /** @param setUp planned, on its rounded shims */
    @Transactional(readOnly = true)
    public View view(PartFile part, Comparison setUps, SetUp setUp, LengthWriter writer) {
        Box box = setUps.layout().box();
        List<String> names = new ArrayList<>();
        for (int i = 0; i < setUps.supports().size(); i++) {
            names.add(String.valueOf((char) ('A' + i)));
        }
        Optional<double[]> level = last(part, Kind.LEVEL);
        Optional<Levelling.Raise> raise = level.map(read -> Levelling.raise(read, wanted(setUps, setUp)));
        Optional<double[]> off = last(part, Kind.CLAMPS_OFF);
        Optional<double[]> on = last(part, Kind.CLAMPS_ON);
        Optional<Levelling.Clamped> clamped = off.flatMap(f -> on.map(n -> Levelling.clamped(places(box), f, n)));
        return new View(
                names,
                List.of("upper front", "upper rear", "lower front", "lower rear", "middle"),
                raise.map(r -> words(r, names, writer)).orElse(""),
                raise.filter(Levelling.Raise::level).isPresent() ? "within" : "open",
                clamped.map(c -> words(c, writer)).orElse(""),
                clamped.filter(c -> c.spring() > Levelling.LEVEL).isPresent() ? "out" : "within",
                off.map(f -> Arrays.stream(f).mapToObj(writer::signed).toList()).orElse(List.of()));
    }

    /** What the indicator reads over the supports when the planned plane is level: what the face departs from it there. */
    private static double[] wanted(Comparison setUps, SetUp setUp) {
        return setUps.supports().stream()
                .mapToDouble(s -> setUps.map().above(setUp.onShims(), s.x(), s.y()))
                .toArray();
    }

    private static String words(Levelling.Raise raise, List<String> names, LengthWriter writer) {
        if (raise.level()) {
            return "Level: no support is off by more than " + writer.full(Levelling.LEVEL) + ".";
        }
        List<String> others = new ArrayList<>();
        for (int i = 0; i < names.size(); i++) {
            if (i != raise.worst() && raise.raise()[i] > Levelling.LEVEL) {
                others.add(names.get(i) + " by " + writer.full(raise.raise()[i]));
            }
        }
        String more = others.isEmpty() ? "" : ", then " + others.stream().collect(Collectors.joining(" and "));
        return "Raise " + names.get(raise.worst()) + " by " + writer.full(raise.raise()[raise.worst()]) + more
                + ", and read again.";
    }

    private static String words(Levelling.Clamped clamped, LengthWriter writer) {
        return clamped.spring() <= Levelling.LEVEL
                ? "The clamps only hold it: nothing bends by more than " + writer.full(Levelling.LEVEL) + "."
                : "The clamps bend it by " + writer.full(clamped.spring())
                        + ": it springs back that much after the cut. Loosen them, shim under the clamp, read again.";
    }
}
