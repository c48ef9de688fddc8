package homalon.core.cut;

import homalon.core.chambers.ClassMargin;
import homalon.core.chambers.Doubts;
import homalon.core.chambers.EngineBook;
import homalon.core.chambers.EngineItem;
import homalon.core.cut.Budget.Kind;
import homalon.core.cut.Budget.State;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.Source;
import homalon.core.verdict.Working;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Every limit of what may come off a face, beside each other. A limit that nobody keyed and that has no general default does not
 * stand here; one whose figure was not measured stands as not measured.
 */
public final class Budgets {
    private static final double SLACK = 1e-9;
    private static final Message CLEAN = Message.of("cut.to-come-clean");

    /**
     * What the face needs to lose.
     *
     * @param depth from here on, mm
     */
    public record Need(Message words, double depth) {}

    private final OutlookQuestion q;
    private final EngineBook book;
    private final List<Budget> all = new ArrayList<>();

    private Budgets(OutlookQuestion question) {
        this.q = question;
        this.book = question.book();
    }

    static Budgets of(OutlookQuestion question, List<Outlook.Each> each) {
        Budgets budgets = new Budgets(question);
        budgets.thickness(Kind.THICKNESS, EngineItem.THICKNESS_LEAST);
        budgets.thickness(Kind.CLASS_THICKNESS, EngineItem.CLASS_THICKNESS);
        budgets.life();
        budgets.squeeze();
        budgets.valves();
        new ChamberBudgets(question, each).all().forEach(budgets.all::add);
        budgets.classDeck();
        budgets.straight(Kind.WAY_METAL, EngineItem.WAY_METAL, EngineItem.WAY_METAL_LEAST, 0);
        budgets.ring();
        budgets.recession();
        budgets.sideValve();
        return budgets;
    }

    public List<Budget> all() {
        return List.copyOf(all);
    }

    /** The one that ends first: named with what may come off. */
    public Optional<Budget> binding() {
        return all.stream().filter(Budget::binds).min(Comparator.comparingDouble(Budget::room));
    }

    /** What may still come off by all that is known, mm, zero or more; empty when no budget binds. */
    public OptionalDouble mayComeOff() {
        return binding().map(b -> OptionalDouble.of(Math.max(0, b.room()))).orElse(OptionalDouble.empty());
    }

    public List<Budget> notMeasured() {
        return all.stream().filter(b -> b.state() == State.NOT_MEASURED).toList();
    }

    /** Inside by what is known, where more has to be measured before it counts. */
    public List<Budget> notProven() {
        return all.stream().filter(b -> b.state() == State.NOT_PROVEN).toList();
    }

    /** Limits that nobody keyed, of the two that every face has. */
    public List<EngineItem> withoutLimit() {
        List<EngineItem> open = new ArrayList<>();
        for (EngineItem item : List.of(EngineItem.THICKNESS_LEAST, EngineItem.LIFE_MOST)) {
            boolean byClass = item == EngineItem.THICKNESS_LEAST && book.has(EngineItem.CLASS_THICKNESS);
            if (!book.has(item) && !byClass) {
                open.add(item);
            }
        }
        return open;
    }

    /** What leaves the life's budget open; empty where it is none, or what came off before is known. */
    public Message lifeOpen() {
        return book.has(EngineItem.LIFE_MOST) ? q.life().sure().words() : Message.NONE;
    }

    /** Over by what is thought of, the worst first. */
    public List<Budget> over() {
        return all.stream()
                .filter(b -> b.state() == State.OVER)
                .sorted(Comparator.comparingDouble(Budget::room))
                .toList();
    }

    /** Over before anything is cut, whatever this cut does: the worst first. */
    public List<Budget> overAlready() {
        return over().stream().filter(b -> !b.binds() || b.room() < -SLACK).toList();
    }

    /** False where a least thickness is asked and nobody measured what there is: neither a cut nor scrap rests on anything. */
    public boolean thicknessKnown() {
        return book.has(EngineItem.THINNEST);
    }

    /** What the face has to lose: to come clean, to lose its deepest gouge. */
    public List<Need> needs() {
        List<Need> needs = new ArrayList<>();
        q.need().ifPresent(n -> needs.add(new Need(CLEAN, n.asSetUp())));
        if (book.has(EngineItem.GOUGE)) {
            double left = book.value(EngineItem.GOUGE) - q.since(EngineItem.GOUGE);
            if (left > 0) {
                needs.add(new Need(Message.of("cut.for-the-deepest-gouge-at-the-least"), left));
            }
        }
        return needs;
    }

    /** False when the face needs more than may come off. */
    public boolean enough() {
        double need = needs().stream().mapToDouble(Need::depth).max().orElse(0);
        return need <= mayComeOff().orElse(Double.POSITIVE_INFINITY) + SLACK;
    }

    /** What to do about a face that needs more than may come off; a gouge that is deeper leaves no way. */
    public FaceNeed.Advice advice() {
        double may = mayComeOff().orElse(Double.POSITIVE_INFINITY);
        if (enough()) {
            return FaceNeed.Advice.FITS;
        }
        boolean gouge = needs().stream().anyMatch(n -> !n.words().equals(CLEAN) && n.depth() > may + SLACK);
        return gouge || q.need().isEmpty()
                ? FaceNeed.Advice.DO_NOT_CUT
                : q.need().get().advice(may);
    }

    /**
     * What a deck cut down to its budget leaves proud: how far the highest piston stands over it then, mm.
     *
     * @return empty when none does, or this is no deck
     */
    public OptionalDouble proud() {
        if (q.face() != PartKind.DECK || !book.has(EngineItem.DECK)) {
            return OptionalDouble.empty();
        }
        double over = mayComeOff().orElse(0) - highestPiston();
        return over > SLACK ? OptionalDouble.of(over) : OptionalDouble.empty();
    }

    /** True when the budget that ends it follows a chamber's opening that nobody measured. */
    public boolean restsOnAssumedOpening() {
        boolean byChamber = binding()
                .filter(b -> switch (b.kind()) {
                    case RATIO, CLASS_RATIO, CLASS_CC, CLASS_SPACE -> true;
                    default -> false;
                })
                .isPresent();
        return byChamber
                && q.chambers().stream()
                        .anyMatch(c -> c.depths().isEmpty() && c.opening().rough());
    }

    private void add(
            Kind kind, EngineItem limit, double now, double after, double plusMinus, double room, Working working) {
        all.add(Budget.of(kind, Message.NONE, book.entry(limit).orElseThrow(), now, after, plusMinus, room, working));
    }

    private void notMeasured(Kind kind, EngineItem limit, EngineItem missing) {
        all.add(Budget.notMeasured(kind, book.entry(limit).orElseThrow(), missing));
    }

    /** A figure that the cut lowers by as much as it is deep. */
    private void straight(Kind kind, EngineItem measured, EngineItem limit, double more) {
        if (!book.has(limit)) {
            return;
        }
        if (!book.has(measured)) {
            notMeasured(kind, limit, measured);
            return;
        }
        double now = book.value(measured) - q.since(measured) + more;
        double least = book.value(limit);
        Working working = Working.of(kind.words())
                .line(Message.of("cut.measured-cut-since-added"), book.value(measured), q.since(measured), more)
                .line(Message.of("cut.may-come-off"), now, least, now - least)
                .done();
        add(kind, limit, now, now - q.whatIf().cut(), 0, now - least, working);
    }

    private void thickness(Kind kind, EngineItem limit) {
        straight(kind, EngineItem.THINNEST, limit, 0);
    }

    private void life() {
        if (!book.has(EngineItem.LIFE_MOST)) {
            return;
        }
        double most = book.value(EngineItem.LIFE_MOST);
        double total = q.life().total();
        Message off = q.life().sure() == OutlookQuestion.Life.Sure.KNOWN
                ? Message.of("cut.ledger-off-so-far")
                : Message.of("cut.ledger-off-so-far-but", q.life().sure().words());
        Working working = Working.of(Kind.LIFE.words())
                .line(off, total)
                .line(Message.of("cut.may-come-off"), most, total, most - total)
                .done();
        add(Kind.LIFE, EngineItem.LIFE_MOST, total, total + q.whatIf().cut(), 0, most - total, working);
    }

    private void squeeze() {
        if (book.drive() == EngineBook.Drive.SIDE_VALVE) {
            return;
        }
        if (!book.has(EngineItem.GASKET) || !book.has(EngineItem.DECK)) {
            notMeasured(
                    Kind.SQUEEZE,
                    EngineItem.SQUEEZE_LEAST,
                    book.has(EngineItem.GASKET) ? EngineItem.DECK : EngineItem.GASKET);
            return;
        }
        double least = book.value(EngineItem.SQUEEZE_LEAST);
        boolean block = q.face() == PartKind.DECK;
        double deck = highestPiston();
        double gasket = q.whatIf().gasket().orElse(book.value(EngineItem.GASKET));
        double now = book.value(EngineItem.GASKET) + deck;
        double then = gasket + q.whatIf().deck().orElse(deck) - q.blockCut();
        double room = block ? gasket + q.whatIf().deck().orElse(deck) - least : Double.POSITIVE_INFINITY;
        add(
                Kind.SQUEEZE,
                EngineItem.SQUEEZE_LEAST,
                now,
                then,
                0,
                room,
                Working.of(Kind.SQUEEZE.words())
                        .line(
                                Message.of("cut.gasket-piston-below-the-deck-block-cut"),
                                gasket,
                                then - gasket + q.blockCut(),
                                q.blockCut(),
                                then)
                        .line(Message.of("cut.a-cut-of-the-head-does-not-change-it"))
                        .done());
    }

    /** How far the highest piston stands below the deck: it decides. */
    private double highestPiston() {
        double all = Outlook.deck(q).orElseThrow();
        return q.chambers().stream()
                .mapToDouble(c -> c.deck().orElse(all))
                .min()
                .orElse(all);
    }

    private void valves() {
        if (book.drive() == EngineBook.Drive.SIDE_VALVE) {
            return;
        }
        valve(Kind.INTAKE, EngineItem.INTAKE_ROOM, EngineItem.INTAKE_LEAN, EngineItem.INTAKE_LEAST);
        valve(Kind.EXHAUST, EngineItem.EXHAUST_ROOM, EngineItem.EXHAUST_LEAN, EngineItem.EXHAUST_LEAST);
    }

    private void valve(Kind kind, EngineItem measured, EngineItem lean, EngineItem limit) {
        if (!book.has(measured)) {
            notMeasured(kind, limit, measured);
            return;
        }
        ValveRoom valve =
                new ValveRoom(book.or(lean, 0), book.value(measured), book.or(EngineItem.SINK, 0), book.crown());
        double off = q.since(measured);
        double least = book.value(limit);
        double other = q.whatIf().other() - q.gasketThicker();
        add(
                kind,
                limit,
                valve.after(off),
                valve.after(off + q.nearer()),
                0,
                valve.cutTo(least) - off - other,
                Working.of(kind.words())
                        .line(
                                Message.of(
                                        "cut.measured-sunk-by-seat-work-leans",
                                        EngineItem.INTAKE_LEAN.written(valve.lean(), BenchUnit.MM),
                                        book.crown().words()),
                                valve.measured(),
                                valve.sink())
                        .line(
                                valve.crown() == EngineBook.Crown.FLAT
                                        ? Message.of("cut.room-over-a-flat-crown")
                                        : Message.of("cut.room-over-a-leant-pocket"),
                                valve.measured(),
                                off + q.nearer(),
                                valve.sink(),
                                valve.after(off + q.nearer()))
                        .done());
    }

    private void classDeck() {
        if (!book.has(EngineItem.CLASS_DECK)) {
            return;
        }
        if (!book.has(EngineItem.DECK)) {
            notMeasured(Kind.CLASS_DECK, EngineItem.CLASS_DECK, EngineItem.DECK);
            return;
        }
        boolean block = q.face() == PartKind.DECK;
        double deck = highestPiston();
        double open = Doubts.DEFAULT_DECK;
        double limit = book.value(EngineItem.CLASS_DECK);
        add(
                Kind.CLASS_DECK,
                EngineItem.CLASS_DECK,
                deck,
                deck - q.blockCut(),
                open,
                block ? deck - limit - ClassMargin.COVERAGE * open : Double.POSITIVE_INFINITY,
                Working.of(Kind.CLASS_DECK.words())
                        .line(Message.of("cut.highest-piston-below-the-deck-the-class"), deck, open, limit)
                        .done());
    }

    /** A ring that the cutter would reach: the limit is the face itself. */
    private void ring() {
        if (!book.has(EngineItem.RING_DEPTH)) {
            return;
        }
        double now = book.value(EngineItem.RING_DEPTH) - q.since(EngineItem.RING_DEPTH);
        double after = now - q.whatIf().cut();
        all.add(new Budget(
                Kind.RING,
                Message.NONE,
                after < -SLACK ? State.OVER : State.WITHIN,
                Optional.of(new Budget.Figures(now, after, now)),
                0,
                0,
                Source.DEFAULT,
                Working.of(Kind.RING.words())
                        .line(Message.of("cut.below-the-face-now-a-deeper-cut-takes"), now)
                        .done()));
    }

    private void recession() {
        boolean valvesHere = q.face() == PartKind.HEAD || book.drive() == EngineBook.Drive.SIDE_VALVE;
        if (valvesHere) {
            straight(Kind.RECESSION, EngineItem.RECESSION, EngineItem.RECESSION_LEAST, book.or(EngineItem.SINK, 0));
        }
    }

    private void sideValve() {
        if (book.drive() != EngineBook.Drive.SIDE_VALVE) {
            return;
        }
        if (!book.has(EngineItem.ROOM)) {
            notMeasured(Kind.ROOM, EngineItem.ROOM_LEAST, EngineItem.ROOM);
            return;
        }
        double now = book.value(EngineItem.ROOM) - q.since(EngineItem.ROOM) + book.or(EngineItem.SINK, 0);
        double least = book.value(EngineItem.ROOM_LEAST);
        double other = q.whatIf().other() - q.gasketThicker();
        add(
                Kind.ROOM,
                EngineItem.ROOM_LEAST,
                now,
                now - q.nearer(),
                0,
                now - least - other,
                Working.of(Kind.ROOM.words())
                        .line(Message.of("cut.valve-at-full-lift-under-the-roof-now"), now, q.nearer())
                        .done());
    }
}
