package homalon.core.cut;

import homalon.core.chambers.EngineBook;
import homalon.core.chambers.EngineBook.Drive;
import homalon.core.chambers.EngineItem;
import homalon.core.cut.Consequence.Kind;
import homalon.core.cut.Consequence.Tone;
import homalon.core.part.PartKind;
import homalon.core.part.ValveKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.verdict.Working;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;

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

    private static Message line(Message text, double... mm) {
        return text.with(mm);
    }

    private static String degrees(double value) {
        return String.format(Locale.ROOT, "%.2f°", value).replace('-', '\u2212');
    }

    private void notKnown(Kind kind, EngineItem missing) {
        notKnown(kind, missing.words());
    }

    private void notKnown(Kind kind, Message missing) {
        all.add(new Consequence(
                kind,
                Tone.NOT_KNOWN,
                Message.of("cut.is-not-keyed", Message.capital(missing)),
                Message.NONE,
                Optional.empty(),
                List.of(),
                Working.of(kind.words()).done()));
    }

    private void cam() {
        if (book.drive() == Drive.UNKNOWN && !q.casting().plainLid()) {
            notKnown(Kind.CAM, Message.of("cut.how-its-valves-are-driven"));
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
        Message source =
                book.entry(EngineItem.RETARD_MOST).orElseThrow().source().words();
        all.add(new Consequence(
                Kind.CAM,
                over ? Tone.OVER : Tone.FINE,
                line(Message.of(
                        "cut.the-cam-comes-late-at-the-crank-allowed", degrees(t.crank()), degrees(most), source)),
                over ? Message.of("cut.an-adjustable-sprocket-a-shim-under-the") : Message.NONE,
                Optional.of(line(Message.of("cut.cam-timing-comes-late-at-the-crank-by", degrees(t.crank())))),
                List.of(t.cam()),
                Working.of(Kind.CAM.words())
                        .line(Message.of("cut.nearer-by-sprockets-pitch-radius"), x, r)
                        .line(Message.of("cut.at-the-cam-twice-as-much-at-the-crank", degrees(t.cam())), x, r)
                        .line(Message.of("cut.chain-or-belt-with-its-tensioner-on-the"))
                        .done()));
    }

    private void valves() {
        boolean lid = q.casting().plainLid() && book.drive() == Drive.UNKNOWN;
        if (lid || book.drive() == Drive.SIDE_VALVE) {
            return;
        }
        valve(Kind.INTAKE, ValveKind.INTAKE, EngineItem.INTAKE_ROOM, EngineItem.INTAKE_LEAN, EngineItem.INTAKE_LEAST);
        valve(
                Kind.EXHAUST,
                ValveKind.EXHAUST,
                EngineItem.EXHAUST_ROOM,
                EngineItem.EXHAUST_LEAN,
                EngineItem.EXHAUST_LEAST);
    }

    private void valve(Kind kind, ValveKind of, EngineItem measured, EngineItem lean, EngineItem limit) {
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
        Message name = Message.capital(of.words());
        boolean late = kind == Kind.EXHAUST && book.drive() == Drive.CHAIN_OR_BELT;
        all.add(new Consequence(
                kind,
                over ? Tone.OVER : Tone.FINE,
                line(
                        Message.of(
                                "cut.keeps-to-the-piston-at-the-least",
                                name,
                                book.entry(limit).orElseThrow().source().words(),
                                late ? Message.of("cut.the-late-cam-takes-more-of-it-measure") : Message.NONE),
                        after,
                        least),
                over ? Message.of("cut.less-cut-a-thicker-gasket-valves-set") : Message.NONE,
                Optional.of(line(Message.of("cut.valve-to-piston-comes-to-by-calculation", name), after)),
                List.of(after, least),
                working(kind, valve, book.has(lean), x)));
    }

    private Working working(Kind kind, ValveRoom valve, boolean leanKeyed, double x) {
        return Working.of(kind.words())
                .line(Message.of(
                        "cut.leans",
                        EngineItem.INTAKE_LEAN.written(valve.lean(), BenchUnit.MM),
                        book.crown().words(),
                        leanKeyed ? Message.NONE : Message.of("cut.lean-not-keyed-taken-as-none")))
                .line(
                        valve.crown() == EngineBook.Crown.FLAT
                                ? Message.of("cut.room-left-over-a-flat-crown")
                                : Message.of("cut.room-left-over-a-leant-pocket"),
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

    private Message angles(double half, double lean) {
        return Message.of(
                "cut.bank-from-the-vertical-intake-face-from",
                EngineItem.BANK_HALF.written(half, BenchUnit.MM),
                EngineItem.FLANGE_LEAN.written(lean, BenchUnit.MM),
                book.has(EngineItem.FLANGE_LEAN) ? Message.NONE : Message.of("cut.not-keyed"));
    }

    private void fitManifold(double half, double lean) {
        ManifoldFit fit = ManifoldFit.of(off(), half, lean);
        boolean cut = off() != 0;
        Message needs = Message.of("cut.the-intake-manifold-needs-off-each");
        all.add(new Consequence(
                Kind.MANIFOLD,
                cut ? Tone.LOOK : Tone.FINE,
                line(Message.of("cut.each-manifold-flange-loses-and-the-end"), fit.flange(), fit.rails()),
                cut ? Message.of("cut.cut-both-banks-alike-ports-and-bolt") : Message.NONE,
                cut ? Optional.of(line(needs, fit.flange(), fit.rails())) : Optional.empty(),
                List.of(fit.flange(), fit.rails()),
                Working.of(Kind.MANIFOLD.words())
                        .line(angles(half, lean))
                        .line(Message.of("cut.flange-sin-q-cos-q-m"), off(), fit.flange())
                        .line(Message.of("cut.rails-cos-m-cos-q-m"), off(), fit.rails())
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
        OptionalDouble most = book.figure(EngineItem.PRELOAD_MOST);
        boolean over = known && most.isPresent() && then > most.getAsDouble() + SLACK;
        all.add(new Consequence(
                Kind.PUSHROD,
                over ? Tone.OVER : longer ? Tone.LOOK : Tone.FINE,
                known
                        ? most.isPresent()
                                ? line(Message.of("cut.lifter-preload-comes-to-at-the-most"), then, most.getAsDouble())
                                : line(Message.of("cut.lifter-preload-comes-to"), then)
                        : line(Message.of("cut.lifter-preload-grows-by"), x),
                longer ? Message.of("cut.shorter-pushrods-or-shims-of-that") : Message.NONE,
                longer
                        ? Optional.of(line(Message.of("cut.the-pushrods-stand-too-long-by-the-cut"), x))
                        : Optional.empty(),
                List.of(x),
                Working.of(Kind.PUSHROD.words())
                        .line(Message.of("cut.the-stands-come-nearer-taken-as-that"), x)
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
                        Message.of(
                                "cut.the-valve-at-full-lift-keeps-under-the",
                                book.entry(EngineItem.ROOM_LEAST)
                                        .orElseThrow()
                                        .source()
                                        .words()),
                        after,
                        least),
                over ? Message.of("cut.less-cut-a-thicker-gasket-or-relief-in") : Message.NONE,
                Optional.of(line(Message.of("cut.side-valve-at-full-lift-to-the-heads"), after)),
                List.of(after, least),
                Working.of(Kind.ROOM.words())
                        .line(
                                Message.of("cut.measured-nearer-by-sunk"),
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
                                Message.of("cut.valve-heads-lie-below-the-face-then-at"),
                                after,
                                book.value(EngineItem.RECESSION_LEAST))
                        : line(Message.of("cut.valve-heads-lie-below-the-face-then-no"), after),
                over ? Message.of("cut.seats-are-set-deeper-by-what-is-short") : Message.NONE,
                Optional.of(line(Message.of("cut.valve-heads-lie-below-the-face-after"), after)),
                limited ? List.of(after, book.value(EngineItem.RECESSION_LEAST)) : List.of(after),
                Working.of(Kind.RECESSION.words())
                        .line(
                                Message.of("cut.cut-sunk"),
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
                        Message.of(
                                "cut.piston-keeps-to-the-head-at-the-least",
                                book.entry(EngineItem.SQUEEZE_LEAST)
                                        .orElseThrow()
                                        .source()
                                        .words()),
                        after,
                        least),
                over ? Message.of("cut.a-gasket-thicker-by-what-came-off-the") : Message.NONE,
                Optional.of(line(Message.of("cut.piston-to-head-at-top-dead-centre-by"), after)),
                List.of(after, least),
                Working.of(Kind.SQUEEZE.words())
                        .line(Message.of("cut.gasket-and-deck-cut"), after + q.blockCut(), q.blockCut(), after)
                        .done()));
    }

    private void bolts() {
        if (!book.has(EngineItem.BOLT_ROOM)) {
            if (off() > 0) {
                all.add(new Consequence(
                        Kind.BOLTS,
                        Tone.LOOK,
                        line(Message.of("cut.bolts-reach-deeper-into-their-holes"), off()),
                        Message.of("cut.in-blind-holes-see-that-none-of-them"),
                        Optional.of(line(Message.of("cut.head-bolts-reach-deeper-see-that-none"), off())),
                        List.of(off()),
                        Working.of(Kind.BOLTS.words())
                                .line(Message.of("cut.head-and-block-come-shorter-together"), off())
                                .done()));
            }
            return;
        }
        double left = book.value(EngineItem.BOLT_ROOM) - q.since(EngineItem.BOLT_ROOM) - off() + q.gasketThicker();
        boolean over = left <= SLACK;
        all.add(new Consequence(
                Kind.BOLTS,
                over ? Tone.OVER : Tone.FINE,
                line(Message.of("cut.of-blind-hole-is-left-below-the-bolts"), left),
                over ? Message.of("cut.they-would-bottom-before-they-clamp") : Message.NONE,
                Optional.of(line(Message.of("cut.blind-bolt-holes-keep-below-the-bolts"), left)),
                List.of(left),
                Working.of(Kind.BOLTS.words())
                        .line(
                                Message.of("text.difference"),
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
        String stand = head ? "cut.dowels-and-oil-restrictors-stand" : "cut.dowels-restrictors-and-fixed-liners";
        String shorten = head ? "cut.shorten-what-would-touch-spring-seats" : "cut.shorten-what-would-touch-liners-are";
        all.add(new Consequence(
                Kind.PROUD,
                Tone.LOOK,
                line(Message.of(stand), cut),
                Message.of(shorten),
                Optional.of(line(Message.of("cut.dowels-and-oil-restrictors-for-the-report"), cut)),
                List.of(cut),
                Working.of(Kind.PROUD.words())
                        .line(Message.of("cut.the-face-goes-back-by-what-stands-in-it"), cut)
                        .done()));
    }
}
