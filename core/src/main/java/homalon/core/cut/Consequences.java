package homalon.core.cut;

import homalon.core.chambers.EngineBook;
import homalon.core.chambers.EngineBook.Drive;
import homalon.core.chambers.EngineItem;
import homalon.core.cut.Consequence.Kind;
import homalon.core.cut.Consequence.Tone;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.verdict.Working;
import homalon.core.verdict.Working.Line;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Works out what a cut brings with it beside compression, from what is known of the engine. */
final class Consequences {
    /** A difference of figures that should be none, mm or degrees. */
    private static final double SLACK = 1e-9;

    private final OutlookQuestion q;
    private final EngineBook book;
    private final List<Consequence> all = new ArrayList<>();

    private Consequences(OutlookQuestion question) {
        this.q = question;
        this.book = question.book();
    }

    /** In the order in which they matter; what does not concern this engine is left out. */
    static List<Consequence> of(OutlookQuestion question) {
        Consequences c = new Consequences(question);
        c.cam();
        c.valves();
        c.manifold();
        c.pushrods();
        c.sideValve();
        c.recession();
        c.squeeze();
        c.bolts();
        c.proud();
        return List.copyOf(c.all);
    }

    /** Off head and block together, by what is thought of. */
    private double off() {
        return q.whatIf().cut() + q.whatIf().other();
    }

    private static Line line(String text, double... mm) {
        return Working.of("").line(text, mm).done().lines().get(0);
    }

    private static String degrees(double value) {
        return String.format(Locale.ROOT, "%.2f°", value).replace('-', '\u2212');
    }

    private void notKnown(Kind kind, EngineItem missing) {
        notKnown(
                kind,
                missing.words().substring(0, 1).toLowerCase(Locale.ROOT)
                        + missing.words().substring(1));
    }

    /** The second stays away where no limit is keyed. */
    private static List<Double> figures(double figure, double limit) {
        return Double.isNaN(limit) ? List.of(figure) : List.of(figure, limit);
    }

    private void notKnown(Kind kind, String missing) {
        all.add(new Consequence(
                kind,
                Tone.NOT_KNOWN,
                line(missing.substring(0, 1).toUpperCase(Locale.ROOT) + missing.substring(1) + " is not keyed."),
                "",
                Optional.empty(),
                List.of(),
                Working.of(kind.words()).done()));
    }

    private void cam() {
        if (book.drive() == Drive.UNKNOWN && !q.casting().plainLid()) {
            notKnown(Kind.CAM, "how its valves are driven");
            return;
        }
        if (book.drive() != Drive.CHAIN_OR_BELT) {
            return;
        }
        if (!book.has(EngineItem.SPROCKET)) {
            notKnown(Kind.CAM, EngineItem.SPROCKET);
            return;
        }
        camIsLate(off() - q.gasketThicker(), book.value(EngineItem.SPROCKET));
    }

    private void camIsLate(double x, double r) {
        CamTiming t = CamTiming.of(x, r);
        double most = book.value(EngineItem.RETARD_MOST);
        boolean over = t.crank() > most + SLACK;
        String source =
                book.entry(EngineItem.RETARD_MOST).orElseThrow().source().words();
        all.add(new Consequence(
                Kind.CAM,
                over ? Tone.OVER : Tone.FINE,
                line("The cam comes " + degrees(t.crank()) + " late at the crank; " + degrees(most) + " allowed, "
                        + source + "."),
                over
                        ? "An adjustable sprocket, a shim under the head or a thicker gasket brings it back. A later cam also"
                                + " brings the exhaust valve nearer to the piston: measure that again with the timing as it"
                                + " will run."
                        : "",
                Optional.of(line("Cam timing comes " + degrees(t.crank())
                        + " late at the crank by the cut: check it, and the exhaust valve's room to the piston, when it is"
                        + " put together.")),
                List.of(t.cam()),
                Working.of(Kind.CAM.words())
                        .line("nearer by {}, sprocket's pitch radius {}", x, r)
                        .line("at the cam {} / {} = " + degrees(t.cam()) + "; twice as much at the crank", x, r)
                        .line("chain or belt with its tensioner on the slack side")
                        .done()));
    }

    private void valves() {
        boolean lid = q.casting().plainLid() && book.drive() == Drive.UNKNOWN;
        if (lid || book.drive() == Drive.SIDE_VALVE) {
            return;
        }
        valve(Kind.INTAKE, "Intake", EngineItem.INTAKE_ROOM, EngineItem.INTAKE_LEAN, EngineItem.INTAKE_LEAST);
        valve(Kind.EXHAUST, "Exhaust", EngineItem.EXHAUST_ROOM, EngineItem.EXHAUST_LEAN, EngineItem.EXHAUST_LEAST);
    }

    private void valve(Kind kind, String name, EngineItem measured, EngineItem lean, EngineItem limit) {
        if (!book.has(measured)) {
            notKnown(kind, measured);
            return;
        }
        ValveRoom valve =
                new ValveRoom(book.or(lean, 0), book.value(measured), book.or(EngineItem.SINK, 0), book.crown());
        double least = book.value(limit);
        double x = q.since(measured) + q.nearer();
        double after = valve.after(x);
        boolean over = after < least - SLACK;
        boolean late = kind == Kind.EXHAUST && book.drive() == Drive.CHAIN_OR_BELT;
        all.add(new Consequence(
                kind,
                over ? Tone.OVER : Tone.FINE,
                line(
                        name + " keeps {} to the piston; {} at the least, "
                                + book.entry(limit).orElseThrow().source().words() + "."
                                + (late
                                        ? " The late cam takes more of it: measure with the timing as it will run."
                                        : ""),
                        after,
                        least),
                over
                        ? "Less cut, a thicker gasket, valves set deeper, or deeper pockets; the maker's book decides."
                        : "",
                Optional.of(line(
                        name + " valve to piston comes to {} by calculation: check it with clay or a dial.", after)),
                figures(after, least),
                working(kind, valve, book.has(lean), x)));
    }

    private Working working(Kind kind, ValveRoom valve, boolean leanKeyed, double x) {
        return Working.of(kind.words())
                .line("leans " + EngineItem.INTAKE_LEAN.written(valve.lean(), BenchUnit.MM) + ", "
                        + book.crown().words()
                        + (leanKeyed ? "" : "; lean not keyed, taken as none"))
                .line(
                        valve.crown() == EngineBook.Crown.FLAT
                                ? "{} − {} / cos(lean) + {} sunk = {}"
                                : "{} − {} · cos(lean) + {} sunk = {}",
                        valve.measured(),
                        x,
                        valve.sink(),
                        valve.after(x))
                .done();
    }

    private void manifold() {
        if (!book.has(EngineItem.BANK_HALF)) {
            if (q.casting().bankOfV()) {
                notKnown(Kind.MANIFOLD, EngineItem.BANK_HALF);
            }
            return;
        }
        if (book.value(EngineItem.BANK_HALF) == 0) {
            return;
        }
        fitManifold(book.value(EngineItem.BANK_HALF), book.or(EngineItem.FLANGE_LEAN, 0));
    }

    private void fitManifold(double half, double lean) {
        ManifoldFit fit = ManifoldFit.of(off(), half, lean);
        String angles = "bank " + EngineItem.BANK_HALF.written(half, BenchUnit.MM) + " from the vertical, intake face "
                + EngineItem.FLANGE_LEAN.written(lean, BenchUnit.MM) + " from square"
                + (book.has(EngineItem.FLANGE_LEAN) ? "" : " (not keyed)");
        boolean cut = off() != 0;
        String needs =
                "The intake manifold needs {} off each flange and {} off its end rails, with both banks cut alike.";
        all.add(new Consequence(
                Kind.MANIFOLD,
                cut ? Tone.LOOK : Tone.FINE,
                line(
                        "Each manifold flange loses {} and the end rails {}, when both banks are cut alike.",
                        fit.flange(),
                        fit.rails()),
                cut ? "Cut both banks alike. Ports and bolt holes stay in line only then." : "",
                cut ? Optional.of(line(needs, fit.flange(), fit.rails())) : Optional.empty(),
                List.of(fit.flange(), fit.rails()),
                Working.of(Kind.MANIFOLD.words())
                        .line(angles)
                        .line("flange: {} · sin q / cos(q + m) = {}", off(), fit.flange())
                        .line("rails: {} · cos m / cos(q + m) = {}", off(), fit.rails())
                        .done()));
    }

    private void pushrods() {
        if (book.drive() != Drive.PUSHROD) {
            return;
        }
        double x = off() - q.gasketThicker();
        boolean longer = x > SLACK;
        boolean known = book.has(EngineItem.PRELOAD);
        double then = book.or(EngineItem.PRELOAD, 0) + q.since(EngineItem.PRELOAD) + x;
        double most = book.value(EngineItem.PRELOAD_MOST);
        boolean over = known && then > most + SLACK;
        all.add(new Consequence(
                Kind.PUSHROD,
                over ? Tone.OVER : longer ? Tone.LOOK : Tone.FINE,
                known
                        ? line(
                                "Lifter preload comes to {}" + (Double.isNaN(most) ? "." : "; {} at the most."),
                                Double.isNaN(most) ? new double[] {then} : new double[] {then, most})
                        : line("Lifter preload grows by {}.", x),
                longer ? "Shorter pushrods, or shims of that height under the stands." : "",
                longer
                        ? Optional.of(line(
                                "The pushrods stand {} too long by the cut: check lifter preload or valve lash.", x))
                        : Optional.empty(),
                List.of(x),
                Working.of(Kind.PUSHROD.words())
                        .line("the stands come {} nearer; taken as that much at the pushrod", x)
                        .done()));
    }

    private void sideValve() {
        if (book.drive() != Drive.SIDE_VALVE) {
            return;
        }
        if (!book.has(EngineItem.ROOM)) {
            notKnown(Kind.ROOM, EngineItem.ROOM);
            return;
        }
        double after =
                book.value(EngineItem.ROOM) - q.since(EngineItem.ROOM) + book.or(EngineItem.SINK, 0) - q.nearer();
        double least = book.value(EngineItem.ROOM_LEAST);
        boolean over = after < least - SLACK;
        all.add(new Consequence(
                Kind.ROOM,
                over ? Tone.OVER : Tone.FINE,
                line(
                        "The valve at full lift keeps {} under the roof; {} at the least, "
                                + book.entry(EngineItem.ROOM_LEAST)
                                        .orElseThrow()
                                        .source()
                                        .words() + ".",
                        after,
                        least),
                over ? "Less cut, a thicker gasket, or relief in the roof above the valves." : "",
                Optional.of(line(
                        "Side valve at full lift to the head's roof: {} by calculation; check it with clay.", after)),
                figures(after, least),
                Working.of(Kind.ROOM.words())
                        .line(
                                "measured {}, nearer by {}, sunk {}",
                                book.value(EngineItem.ROOM),
                                q.since(EngineItem.ROOM) + q.nearer(),
                                book.or(EngineItem.SINK, 0))
                        .done()));
    }

    private void recession() {
        boolean valvesHere = q.face() == PartKind.HEAD || book.drive() == Drive.SIDE_VALVE;
        if (!valvesHere || !book.has(EngineItem.RECESSION)) {
            return;
        }
        double after = book.value(EngineItem.RECESSION)
                - q.since(EngineItem.RECESSION)
                + book.or(EngineItem.SINK, 0)
                - q.whatIf().cut();
        boolean limited = book.has(EngineItem.RECESSION_LEAST);
        boolean over = limited && after < book.value(EngineItem.RECESSION_LEAST) - SLACK;
        all.add(new Consequence(
                Kind.RECESSION,
                over ? Tone.OVER : limited ? Tone.FINE : Tone.LOOK,
                limited
                        ? line(
                                "Valve heads lie {} below the face then; {} at the least.",
                                after,
                                book.value(EngineItem.RECESSION_LEAST))
                        : line("Valve heads lie {} below the face then; no limit is keyed.", after),
                over
                        ? "Seats are set deeper by what is short, or less is cut. Pre-chambers, injectors and liners come up by"
                                + " the cut as well."
                        : "",
                Optional.of(line("Valve heads lie {} below the face after the cut.", after)),
                limited ? List.of(after, book.value(EngineItem.RECESSION_LEAST)) : List.of(after),
                Working.of(Kind.RECESSION.words())
                        .line(
                                "{} − {} cut + {} sunk = {}",
                                book.value(EngineItem.RECESSION),
                                q.since(EngineItem.RECESSION) + q.whatIf().cut(),
                                book.or(EngineItem.SINK, 0),
                                after)
                        .done()));
    }

    private void squeeze() {
        if (q.face() != PartKind.DECK || book.drive() == Drive.SIDE_VALVE) {
            return;
        }
        if (!book.has(EngineItem.DECK) || !book.has(EngineItem.GASKET)) {
            notKnown(Kind.SQUEEZE, book.has(EngineItem.GASKET) ? EngineItem.DECK : EngineItem.GASKET);
            return;
        }
        double deck = q.whatIf().deck().orElse(book.value(EngineItem.DECK) - q.since(EngineItem.DECK));
        double after = q.whatIf().gasket().orElse(book.value(EngineItem.GASKET)) + deck - q.blockCut();
        double least = book.value(EngineItem.SQUEEZE_LEAST);
        boolean over = after < least - SLACK;
        all.add(new Consequence(
                Kind.SQUEEZE,
                over ? Tone.OVER : Tone.FINE,
                line(
                        "Piston keeps {} to the head; {} at the least, "
                                + book.entry(EngineItem.SQUEEZE_LEAST)
                                        .orElseThrow()
                                        .source()
                                        .words() + ".",
                        after,
                        least),
                over ? "A gasket thicker by what came off the block restores it." : "",
                Optional.of(line("Piston to head at top dead centre: {} by calculation; check it.", after)),
                figures(after, least),
                Working.of(Kind.SQUEEZE.words())
                        .line("gasket and deck {} − {} cut = {}", after + q.blockCut(), q.blockCut(), after)
                        .done()));
    }

    private void bolts() {
        if (!book.has(EngineItem.BOLT_ROOM)) {
            if (off() > 0) {
                all.add(new Consequence(
                        Kind.BOLTS,
                        Tone.LOOK,
                        line("Bolts reach {} deeper into their holes.", off()),
                        "In blind holes see that none of them bottoms: measure hole and bolt.",
                        Optional.of(line("Head bolts reach {} deeper: see that none bottoms in a blind hole.", off())),
                        List.of(off()),
                        Working.of(Kind.BOLTS.words())
                                .line("head and block come {} shorter together", off())
                                .done()));
            }
            return;
        }
        double left = book.value(EngineItem.BOLT_ROOM) - q.since(EngineItem.BOLT_ROOM) - off() + q.gasketThicker();
        boolean over = left <= SLACK;
        all.add(new Consequence(
                Kind.BOLTS,
                over ? Tone.OVER : Tone.FINE,
                line("{} of blind hole is left below the bolts.", left),
                over ? "They would bottom before they clamp: shorter bolts, washers, or deeper threads." : "",
                Optional.of(line("Blind bolt holes keep {} below the bolts.", left)),
                List.of(left),
                Working.of(Kind.BOLTS.words())
                        .line(
                                "{} − {} = {}",
                                book.value(EngineItem.BOLT_ROOM),
                                q.since(EngineItem.BOLT_ROOM) + off() - q.gasketThicker(),
                                left)
                        .done()));
    }

    private void proud() {
        double cut = q.whatIf().cut();
        if (cut == 0) {
            return;
        }
        boolean head = q.face() == PartKind.HEAD;
        all.add(new Consequence(
                Kind.PROUD,
                Tone.LOOK,
                line(
                        head
                                ? "Dowels and oil restrictors stand {} further proud; injectors and pre-chambers too."
                                : "Dowels, restrictors and fixed liners stand {} further proud.",
                        cut),
                head
                        ? "Shorten what would touch; spring seats cut from the same face keep their order."
                        : "Shorten what would touch; liners are read and trimmed after the cut.",
                Optional.of(line("Dowels and oil restrictors stand {} further proud: shorten what would touch.", cut)),
                List.of(cut),
                Working.of(Kind.PROUD.words())
                        .line("the face goes back by {}; what stands in it does not", cut)
                        .done()));
    }
}
