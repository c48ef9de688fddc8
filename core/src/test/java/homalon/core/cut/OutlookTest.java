package homalon.core.cut;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.chambers.Bowls;
import homalon.core.chambers.DepthFills;
import homalon.core.chambers.EngineBook;
import homalon.core.chambers.EngineBook.Crown;
import homalon.core.chambers.EngineBook.Drive;
import homalon.core.chambers.EngineBook.Rods;
import homalon.core.chambers.EngineItem;
import homalon.core.chambers.Equalise;
import homalon.core.chambers.OpeningArea;
import homalon.core.cut.Budget.Kind;
import homalon.core.cut.Budget.State;
import homalon.core.cut.ChamberNow.Basis;
import homalon.core.input.BadInputException;
import homalon.core.part.PartKind;
import homalon.core.rulebook.Source;
import homalon.core.words.English;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class OutlookTest {
    private static final Map<EngineItem, Double> ENGINE = Map.ofEntries(
            Map.entry(EngineItem.BORE, 86.0),
            Map.entry(EngineItem.STROKE, 78.0),
            Map.entry(EngineItem.GASKET_BORE, 87.5),
            Map.entry(EngineItem.GASKET, 1.2),
            Map.entry(EngineItem.DECK, 0.2),
            Map.entry(EngineItem.CROWN, 1.5),
            Map.entry(EngineItem.THINNEST, 100.4),
            Map.entry(EngineItem.THICKNESS_LEAST, 99.8),
            Map.entry(EngineItem.LIFE_MOST, 0.8),
            Map.entry(EngineItem.EXHAUST_ROOM, 2.9),
            Map.entry(EngineItem.EXHAUST_LEAN, 20.0),
            Map.entry(EngineItem.INTAKE_ROOM, 2.6),
            Map.entry(EngineItem.INTAKE_LEAN, 18.0));

    private static EngineBook book(Drive drive, Map<EngineItem, Double> more) {
        Map<EngineItem, EngineBook.Entry> entries = new EnumMap<>(EngineItem.class);
        ENGINE.forEach((i, v) -> entries.put(i, new EngineBook.Entry(v, Source.MAKER)));
        more.forEach((i, v) -> entries.put(i, new EngineBook.Entry(v, Source.RULES)));
        return new EngineBook(entries, drive, Crown.FLAT, Rods.IRON);
    }

    private static ChamberNow chamber(String name, double cc) {
        return chamber(name, cc, 100);
    }

    private static ChamberNow chamber(String name, double cc, double opening) {
        return new ChamberNow(
                name,
                cc,
                cc,
                0.2,
                Basis.FILLED,
                0,
                0,
                2000,
                OpeningArea.outline(4800, opening),
                Optional.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }

    private static final List<ChamberNow> FOUR =
            List.of(chamber("1", 46.2), chamber("2", 45.6), chamber("3", 46.0), chamber("4", 45.9));

    private static OutlookQuestion asked(PartKind face, EngineBook book, RimDepths rims, double done) {
        return asked(face, book, FOUR, rims, done);
    }

    private static OutlookQuestion asked(
            PartKind face, EngineBook book, List<ChamberNow> chambers, RimDepths rims, double done) {
        return new OutlookQuestion(
                book,
                face,
                chambers,
                rims,
                done,
                new OutlookQuestion.Life(0.35, OutlookQuestion.Life.Sure.KNOWN),
                Map.of(),
                Optional.of(FaceNeed.of(0.2)),
                WhatIf.NOTHING);
    }

    private static OutlookQuestion head(Map<EngineItem, Double> more) {
        return asked(PartKind.HEAD, book(Drive.CHAIN_OR_BELT, more), RimDepths.level(4), 0);
    }

    /** Two faces of a V and a manifold between them, moved as vectors until the ports meet again. */
    @Test
    void manifoldFitsWhenTheFacesAreMoved() {
        Random random = new Random(5);
        for (int i = 0; i < 300; i++) {
            double half = 20 + 40 * random.nextDouble();
            double lean = -10 + (85 - half - -10) * random.nextDouble() * 0.8;
            double x = 0.1 + random.nextDouble();
            ManifoldFit fit = ManifoldFit.of(x, half, lean);
            double q = Math.toRadians(half);
            double rise = Math.toRadians(half + lean);
            for (int side : new int[] {-1, 1}) {
                // A port in the intake face, as the head sits before and after the cut.
                double[] deck = {side * Math.sin(q), Math.cos(q)};
                double[] face = {-side * Math.cos(rise), Math.sin(rise)};
                double[] before = {side * 120.0, 180};
                double[] after = {before[0] - x * deck[0], before[1] - x * deck[1]};
                // The manifold's port: milled along the face's normal, then let down with the rails.
                double[] manifold = {
                    before[0] + fit.flange() * face[0], before[1] + fit.flange() * face[1] - fit.rails()
                };
                assertEquals(after[0], manifold[0], 1e-9);
                assertEquals(after[1], manifold[1], 1e-9);
            }
        }
        ManifoldFit known = ManifoldFit.of(1, 45, 10);
        assertEquals(1.23, known.flange(), 0.005);
        assertEquals(1.72, known.rails(), 0.005);
        assertThrows(BadInputException.class, () -> ManifoldFit.of(1, 50, 40));
    }

    /** A valve moved as a vector towards a flat crown, and towards a floor square to its axis. */
    @Test
    void valveRoomIsMeasuredAlongTheValve() {
        for (double lean : new double[] {0, 12, 25}) {
            double a = Math.toRadians(lean);
            double x = 0.7;
            // From the head's rim down the valve's axis to the plane of the crown, x nearer.
            double flat = (2.5 * Math.cos(a) - x) / Math.cos(a);
            assertEquals(flat + 0.1, new ValveRoom(lean, 2.5, 0.1, Crown.FLAT).after(x), 1e-12);
            // A floor square to the axis comes nearer by the axis' share of the movement.
            double pocket = 2.5 - (x * Math.cos(a));
            assertEquals(pocket, new ValveRoom(lean, 2.5, 0, Crown.PARALLEL_POCKET).after(x), 1e-12);
        }
        ValveRoom v = new ValveRoom(20, 2.9, 0.2, Crown.FLAT);
        assertEquals(2.0, v.after(v.cutTo(2.0)), 1e-12);
    }

    @Test
    void rimsOfAHollowFaceLoseLessThanTheDial() {
        Random random = new Random(11);
        List<double[]> below = new ArrayList<>();
        for (int b = 0; b < 3; b++) {
            double[] d = new double[40];
            for (int i = 0; i < d.length; i++) {
                d[i] = 0.1 * random.nextDouble() * (b + 1);
            }
            below.add(d);
        }
        RimDepths rims = RimDepths.of(below);
        for (int b = 0; b < 3; b++) {
            double last = 0;
            for (double total = 0; total < 0.5; total += 0.01) {
                double taken = rims.taken(b, total);
                assertTrue(taken >= last && taken <= total);
                last = taken;
                if (taken > 0) {
                    assertEquals(total, rims.totalFor(b, taken), 1e-12);
                }
            }
        }
        // Clean all over: what is left untaken is the mean depth of its hollow.
        double mean = java.util.Arrays.stream(below.get(2)).average().orElseThrow();
        assertEquals(0.5 - mean, rims.taken(2, 0.5), 1e-12);
        assertEquals(0, rims.totalFor(1, -0.1));
    }

    /** Every budget that binds is at its limit after exactly its room, and over just beyond it. */
    @Test
    void roomEndsAtTheLimit() {
        Map<EngineItem, Double> more = Map.of(
                EngineItem.RATIO_MOST, 11.4,
                EngineItem.CLASS_RATIO, 11.2,
                EngineItem.CLASS_CC, 43.0,
                EngineItem.CLASS_THICKNESS, 99.9,
                EngineItem.RECESSION, 0.6,
                EngineItem.RECESSION_LEAST, 0.1,
                EngineItem.CLASS_SPACE, 49.0,
                EngineItem.WAY_METAL, 4.5,
                EngineItem.WAY_METAL_LEAST, 4.0,
                EngineItem.RING_DEPTH, 0.7);
        RimDepths hollow = RimDepths.of(List.of(
                new double[] {0, 0.02, 0.01}, new double[] {0.08, 0.1, 0.09}, new double[] {0.1}, new double[] {0, 0.03
                }));
        for (double done : new double[] {0, 0.06}) {
            OutlookQuestion q = asked(PartKind.HEAD, book(Drive.CHAIN_OR_BELT, more), hollow, done);
            List<Budget> all = Outlook.of(q).budgets().all();
            assertEquals(13, all.stream().map(Budget::kind).distinct().count());
            for (Budget b : all) {
                if (!b.binds()) {
                    assertEquals(Kind.SQUEEZE, b.kind());
                    continue;
                }
                Budget at = same(q, b, b.room());
                assertEquals(
                        b.limit(),
                        at.after() + (b.kind().least() ? -2 : 2) * at.plusMinus(),
                        b.kind() == Kind.CLASS_RATIO || b.kind() == Kind.CLASS_SPACE ? 5e-3 : 1e-6,
                        English.of(b.name()));
                assertEquals(
                        State.OVER,
                        same(q, b, b.room() + (b.kind().ofClass() ? 0.4 : 0.01)).state(),
                        English.of(b.name()));
                if (b.room() > 0.02 && !b.kind().ofClass()) {
                    assertEquals(State.WITHIN, same(q, b, b.room() - 0.01).state(), English.of(b.name()));
                }
            }
        }
    }

    /** The same for a deck, whose opening is wider than the bore: a cut takes what lies above the piston. */
    @Test
    void roomOfADeckEndsAtTheLimit() {
        OutlookQuestion q = asked(
                PartKind.DECK,
                book(
                        Drive.PUSHROD,
                        Map.of(
                                EngineItem.RATIO_MOST, 11.4,
                                EngineItem.CLASS_RATIO, 11.2,
                                EngineItem.CLASS_CC, 43.0,
                                EngineItem.CLASS_SPACE, 49.0,
                                EngineItem.BLOCK_OPENING, 6500.0)),
                RimDepths.level(4),
                0);
        List<Budget> all = Outlook.of(q).budgets().all();
        for (Kind kind : List.of(Kind.RATIO, Kind.CLASS_RATIO, Kind.CLASS_SPACE)) {
            Budget b = all.stream().filter(x -> x.kind() == kind).findFirst().orElseThrow();
            assertTrue(b.binds() && b.room() > 0.05, English.of(b.name()) + " " + b.room());
            Budget at = same(q, b, b.room());
            double open = kind.ofClass() ? 2 * at.plusMinus() : 0;
            assertEquals(b.limit(), at.after() + (kind.least() ? -open : open), 5e-3, English.of(b.name()));
            assertEquals("cyl. 2", English.of(b.where()), "the smallest chamber ends it");
        }
        Budget ratio =
                all.stream().filter(x -> x.kind() == Kind.RATIO).findFirst().orElseThrow();
        double swept = Math.PI / 4 * 86 * 86 * 78 / 1000;
        double above = 45.6 + (Math.PI / 4 * 87.5 * 87.5 * 1.2 + Math.PI / 4 * 86 * 86 * 0.2) / 1000 + 1.5;
        assertEquals((above - swept / 10.4) / 6500 * 1000, ratio.room(), 1e-9, "by hand");
        Budget chamber =
                all.stream().filter(x -> x.kind() == Kind.CLASS_CC).findFirst().orElseThrow();
        assertFalse(chamber.binds(), "no cut of the deck makes a chamber of the head smaller");
    }

    /** What may come off does not depend on how much is asked for, nor where a rough opening leaves most of it open. */
    @ParameterizedTest
    @CsvSource({"HEAD, 100", "HEAD, 500", "DECK, 100", "DECK, 500"})
    void roomIsTheSameWhateverIsAskedFor(PartKind face, double opening) {
        OutlookQuestion q = asked(
                face,
                book(
                        Drive.CHAIN_OR_BELT,
                        Map.of(
                                EngineItem.RATIO_MOST, 11.4,
                                EngineItem.CLASS_RATIO, 11.2,
                                EngineItem.CLASS_CC, 43.0,
                                EngineItem.CLASS_SPACE, 49.0,
                                EngineItem.BLOCK_OPENING, 6500.0)),
                List.of(chamber("1", 46.2, opening), chamber("2", 45.6, opening)),
                RimDepths.level(2),
                0);
        for (Kind kind : List.of(Kind.RATIO, Kind.CLASS_RATIO, Kind.CLASS_SPACE, Kind.CLASS_CC)) {
            Budget none = Outlook.of(q).budgets().all().stream()
                    .filter(b -> b.kind() == kind)
                    .findFirst()
                    .orElseThrow();
            for (double cut : new double[] {0.1, 0.25, 0.4}) {
                assertEquals(none.room(), same(q, none, cut).room(), 1e-3, () -> kind + " asked for " + cut);
            }
        }
    }

    /** Seats that are still to be sunk make the chamber larger before the class is held against it. */
    @Test
    void seatsToComeCountForAClass() {
        ChamberNow plain = chamber("1", 46.2);
        ChamberNow seated = new ChamberNow(
                "1",
                46.2,
                46.2,
                0.2,
                Basis.FILLED,
                0,
                0.3,
                2000,
                plain.opening(),
                Optional.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty());
        assertEquals(46.2, ofClass(plain).now(), 1e-9);
        assertEquals(46.5, ofClass(seated).now(), 1e-9);
        assertEquals(0.3 / 4800 * 1000, ofClass(seated).room() - ofClass(plain).room(), 5e-4);
    }

    private static Budget ofClass(ChamberNow one) {
        OutlookQuestion q = head(Map.of(EngineItem.CLASS_CC, 43.0));
        return Outlook.of(new OutlookQuestion(
                        q.book(),
                        q.face(),
                        List.of(one),
                        RimDepths.level(1),
                        q.done(),
                        q.life(),
                        q.since(),
                        q.need(),
                        q.whatIf()))
                .budgets()
                .all()
                .stream()
                .filter(b -> b.kind() == Kind.CLASS_CC)
                .findFirst()
                .orElseThrow();
    }

    /** Nobody filled a chamber, or what a ratio needs is not keyed: it is said, and no room is made up. */
    @Test
    void whatNoChamberWasFilledForIsNotMeasured() {
        OutlookQuestion q =
                head(Map.of(EngineItem.RATIO_MOST, 11.4, EngineItem.CLASS_CC, 43.0, EngineItem.CLASS_SPACE, 49.0));
        Budgets none = Outlook.of(new OutlookQuestion(
                        q.book(),
                        q.face(),
                        List.of(),
                        RimDepths.level(0),
                        0,
                        q.life(),
                        q.since(),
                        q.need(),
                        q.whatIf()))
                .budgets();
        for (Kind kind : List.of(Kind.RATIO, Kind.CLASS_CC, Kind.CLASS_SPACE)) {
            Budget b = one(none, kind);
            assertEquals(State.NOT_MEASURED, b.state());
            assertTrue(
                    English.bare(b.working().lines().get(0)).contains("Chamber volume"),
                    b.working().toString());
        }
        OutlookQuestion bare = q.with(q.book().without(EngineItem.STROKE));
        assertTrue(English.bare(one(Outlook.of(bare).budgets(), Kind.CLASS_SPACE)
                        .working()
                        .lines()
                        .get(0))
                .contains("Stroke"));
    }

    /** Each piston has to pass by what was read of it: one told figure, or a piston that nobody filled, proves none. */
    @ParameterizedTest
    @CsvSource({
        // bowls as read (0 for not), state
        "12.5 12.6 12.5 12.7, WITHIN",
        "12.5 12.6 0 12.7, NOT_PROVEN",
        "12.5 12.1 0 12.7, ON_THE_LINE",
        "12.5 11.4 0 12.7, OVER",
        "12.5 12.3 12.5 12.7, ON_THE_LINE",
        "12.5 11.4 12.5 12.7, OVER",
        "0 0 0 0, NOT_MEASURED"
    })
    void everyBowlIsProven(String bowls, State state) {
        List<ChamberNow> read = new ArrayList<>();
        String[] each = bowls.split(" ");
        for (int i = 0; i < each.length; i++) {
            double cc = Double.parseDouble(each[i]);
            read.add(new ChamberNow(
                    Integer.toString(i + 1),
                    46,
                    46,
                    0.2,
                    Basis.FILLED,
                    0,
                    0,
                    2000,
                    OpeningArea.outline(4800, 100),
                    Optional.empty(),
                    OptionalDouble.empty(),
                    cc == 0 ? OptionalDouble.empty() : OptionalDouble.of(cc)));
        }
        OutlookQuestion q = new OutlookQuestion(
                book(Drive.CHAIN_OR_BELT, Map.of(EngineItem.CLASS_BOWL, 12.0)),
                PartKind.HEAD,
                read,
                RimDepths.level(4),
                0,
                new OutlookQuestion.Life(0, OutlookQuestion.Life.Sure.KNOWN),
                Map.of(),
                Optional.empty(),
                WhatIf.NOTHING);
        Budget bowl = Outlook.of(q).budgets().all().stream()
                .filter(b -> b.kind() == Kind.CLASS_BOWL)
                .findFirst()
                .orElseThrow();
        assertEquals(state, bowl.state());
        assertFalse(bowl.binds(), "no cut of the head changes it");
    }

    /** What keeps to a rule proves nothing of a chamber that nobody filled; a class wants each filled twice. */
    @ParameterizedTest
    @CsvSource({
        // how the third was filled, class's least, class's state, ratio's most, its state
        "FILLED, 43, WITHIN, 11.6, WITHIN",
        "ONE_FILL, 43, NOT_PROVEN, 11.6, WITHIN",
        "TOLD, 43, NOT_PROVEN, 11.6, NOT_PROVEN",
        ", 43, NOT_PROVEN, 11.6, NOT_PROVEN",
        "FILLED, 45.4, ON_THE_LINE, 9, OVER",
        ", 45.4, ON_THE_LINE, 9, OVER",
        ", 47, OVER, 9, OVER"
    })
    void everyChamberIsProven(Basis third, double least, State state, double most, State ratio) {
        List<ChamberNow> filled = new ArrayList<>(FOUR);
        List<Bowls.Piston> pistons = FOUR.stream()
                .map(c -> new Bowls.Piston(c.name(), OptionalDouble.empty()))
                .toList();
        ChamberNow c = filled.remove(2);
        if (third != null) {
            filled.add(
                    2,
                    new ChamberNow(
                            c.name(),
                            c.firstCc(),
                            c.cc(),
                            c.plusMinus(),
                            third,
                            0,
                            0,
                            2000,
                            c.opening(),
                            Optional.empty(),
                            OptionalDouble.empty(),
                            OptionalDouble.empty()));
        }
        OutlookQuestion q = head(Map.of(EngineItem.CLASS_CC, least, EngineItem.RATIO_MOST, most));
        Budgets budgets = Outlook.of(new OutlookQuestion(
                        q.book(),
                        q.face(),
                        filled,
                        pistons,
                        RimDepths.level(filled.size()),
                        0,
                        q.life(),
                        q.since(),
                        q.need(),
                        q.casting(),
                        q.whatIf()))
                .budgets();
        assertEquals(state, one(budgets, Kind.CLASS_CC).state());
        assertEquals(ratio, one(budgets, Kind.RATIO).state());
        assertTrue(one(budgets, Kind.CLASS_CC).binds(), "what is known still ends the cut");
        assertEquals(state == State.NOT_PROVEN, budgets.notProven().stream().anyMatch(b -> b.kind() == Kind.CLASS_CC));
    }

    private static Budget one(Budgets budgets, Kind kind) {
        return budgets.all().stream().filter(b -> b.kind() == kind).findFirst().orElseThrow();
    }

    /** A cut in two goes is a cut in one: what was taken first is missing from every room, and no figure after both differs. */
    @Test
    void twoCutsAreOne() {
        Map<EngineItem, Double> more = Map.of(
                EngineItem.RATIO_MOST, 11.4,
                EngineItem.CLASS_RATIO, 11.2,
                EngineItem.CLASS_CC, 43.0,
                EngineItem.CLASS_THICKNESS, 99.9,
                EngineItem.RECESSION, 0.6,
                EngineItem.RECESSION_LEAST, 0.1,
                EngineItem.RING_DEPTH, 0.7);
        RimDepths hollow = RimDepths.of(List.of(
                new double[] {0, 0.02, 0.01}, new double[] {0.08, 0.1, 0.09}, new double[] {0.1}, new double[] {0, 0.03
                }));
        DepthFills fills = DepthFills.of(
                List.of(new DepthFills.Level(0, 46), new DepthFills.Level(1, 41.5), new DepthFills.Level(2, 37.6)));
        for (boolean deep : new boolean[] {false, true}) {
            List<ChamberNow> filled = new ArrayList<>();
            for (ChamberNow c : FOUR) {
                filled.add(cut(c, 0, deep ? Optional.of(fills) : Optional.empty()));
            }
            EngineBook book = book(Drive.CHAIN_OR_BELT, more);
            OutlookQuestion before = new OutlookQuestion(
                    book,
                    PartKind.HEAD,
                    filled,
                    hollow,
                    0,
                    new OutlookQuestion.Life(0.35, OutlookQuestion.Life.Sure.KNOWN),
                    Map.of(),
                    Optional.empty(),
                    WhatIf.NOTHING);
            double first = 0.15;
            List<ChamberNow> half = new ArrayList<>();
            for (int i = 0; i < 4; i++) {
                half.add(
                        cut(filled.get(i), hollow.taken(i, first), filled.get(i).depths()));
            }
            Map<EngineItem, Double> since = new EnumMap<>(EngineItem.class);
            for (EngineItem item : EngineItem.values()) {
                since.put(item, first);
            }
            OutlookQuestion then = new OutlookQuestion(
                    book,
                    PartKind.HEAD,
                    half,
                    hollow,
                    first,
                    new OutlookQuestion.Life(0.35 + first, OutlookQuestion.Life.Sure.KNOWN),
                    since,
                    Optional.empty(),
                    WhatIf.NOTHING.withCut(0.2));
            Outlook whole = Outlook.of(before.with(WhatIf.NOTHING.withCut(first + 0.2)));
            Outlook parts = Outlook.of(then);
            for (int i = 0; i < 4; i++) {
                assertEquals(whole.each().get(i).thenCc(), parts.each().get(i).thenCc(), 1e-9);
                assertEquals(
                        whole.each().get(i).thenPlusMinus(), parts.each().get(i).thenPlusMinus(), 1e-9);
                assertEquals(
                        whole.each().get(i).then().orElseThrow().spread(),
                        parts.each().get(i).then().orElseThrow().spread(),
                        deep ? 1e-4 : 1e-9);
            }
            List<Budget> one = whole.budgets().all();
            List<Budget> two = parts.budgets().all();
            assertEquals(one.size(), two.size());
            for (int k = 0; k < one.size(); k++) {
                assertEquals(one.get(k).kind(), two.get(k).kind());
                assertEquals(
                        one.get(k).after(),
                        two.get(k).after(),
                        1e-9,
                        English.of(one.get(k).name()));
                assertEquals(
                        one.get(k).room() - first,
                        two.get(k).room(),
                        deep ? 1e-4 : 1e-9,
                        English.of(one.get(k).name()));
                assertEquals(
                        one.get(k).state(),
                        two.get(k).state(),
                        English.of(one.get(k).name()));
            }
            // Told as one cut from the start, it brings what the whole of it would have brought.
            Outlook told = Outlook.of(then.asOneCut(first));
            Outlook planned = Outlook.of(before.with(WhatIf.NOTHING.withCut(first)));
            for (int k = 0; k < planned.consequences().size(); k++) {
                List<Double> figures = planned.consequences().get(k).figures();
                List<Double> same = told.consequences().get(k).figures();
                assertEquals(figures.size(), same.size());
                for (int f = 0; f < figures.size(); f++) {
                    assertEquals(figures.get(f), same.get(f), 1e-9);
                }
                assertEquals(
                        planned.consequences().get(k).tone(),
                        told.consequences().get(k).tone());
            }
            assertEquals(
                    planned.gasket().orElseThrow().restoresRatio(),
                    told.gasket().orElseThrow().restoresRatio(),
                    1e-9);
            assertEquals(planned.budgets().all().size(), told.budgets().all().size());
            assertEquals(
                    planned.budgets().mayComeOff().orElseThrow(),
                    told.budgets().mayComeOff().orElseThrow(),
                    1e-9);
        }
    }

    private static ChamberNow cut(ChamberNow c, double since, Optional<DepthFills> fills) {
        return new ChamberNow(
                c.name(),
                c.firstCc(),
                c.cc(),
                c.plusMinus(),
                c.basis(),
                since,
                0,
                c.valveArea(),
                c.opening(),
                fills,
                c.deck(),
                c.crownCc());
    }

    private static Budget same(OutlookQuestion q, Budget b, double cut) {
        return Outlook.of(q.with(q.whatIf().withCut(cut))).budgets().all().stream()
                .filter(x -> x.kind() == b.kind())
                .findFirst()
                .orElseThrow();
    }

    @Test
    void littleLifeLeftNamesWhatBinds() {
        OutlookQuestion q = head(Map.of(EngineItem.THINNEST, 99.92, EngineItem.GOUGE, 0.3));
        Outlook now = Outlook.of(q);
        assertEquals(Kind.THICKNESS, now.budgets().binding().orElseThrow().kind());
        assertEquals(0.12, now.budgets().mayComeOff().orElseThrow(), 1e-9);
        assertFalse(now.budgets().enough(), "it needs 0.3");
        Wish most = Wish.of(Wish.Kind.MOST, q, 0);
        assertEquals(0.12, most.whatIf().cut(), 1e-9);
        Wish ratio = Wish.of(Wish.Kind.RATIO, q, 12);
        assertFalse(ratio.met());
        assertEquals(0.12, ratio.whatIf().cut(), 1e-9);
        assertTrue(English.bare(ratio.says()).contains("thickness ends it"), English.bare(ratio.says()));
        // A cut since the micrometer was there comes off what it said.
        OutlookQuestion later = new OutlookQuestion(
                q.book(),
                q.face(),
                FOUR,
                q.rims(),
                0,
                q.life(),
                Map.of(EngineItem.THINNEST, 0.05),
                q.need(),
                q.whatIf());
        assertEquals(0.07, Outlook.of(later).budgets().mayComeOff().orElseThrow(), 1e-9);
    }

    @Test
    void notMeasuredIsNotGood() {
        OutlookQuestion q = new OutlookQuestion(
                EngineBook.empty(),
                PartKind.HEAD,
                List.of(),
                RimDepths.level(4),
                0,
                new OutlookQuestion.Life(0, OutlookQuestion.Life.Sure.UNKNOWN),
                Map.of(),
                Optional.empty(),
                WhatIf.NOTHING);
        Budgets b = Outlook.of(q).budgets();
        assertTrue(b.binding().isEmpty());
        assertTrue(b.mayComeOff().isEmpty());
        assertEquals(3, b.notMeasured().size(), "both valves and the squeeze have a default limit");
        assertEquals(List.of(EngineItem.THICKNESS_LEAST, EngineItem.LIFE_MOST), b.withoutLimit());
        assertFalse(Wish.of(Wish.Kind.MOST, q, 0).met());
        BadInputException e = assertThrows(BadInputException.class, () -> Wish.of(Wish.Kind.RATIO, q, 9.5));
        assertTrue(English.of(e.sentence()).contains("bore"), English.of(e.sentence()));
    }

    @Test
    void wishesComeTrueOrSayWhatIsPossible() {
        Map<EngineItem, Double> wide = Map.of(
                EngineItem.THINNEST,
                110.0,
                EngineItem.LIFE_MOST,
                9.0,
                EngineItem.EXHAUST_ROOM,
                9.0,
                EngineItem.INTAKE_ROOM,
                9.0);
        OutlookQuestion q = head(wide);
        Wish ratio = Wish.of(Wish.Kind.RATIO, q, 10.8);
        assertTrue(ratio.met());
        double highest = Outlook.of(q.with(ratio.whatIf())).each().stream()
                .mapToDouble(e -> e.then().orElseThrow().ratio())
                .max()
                .orElseThrow();
        assertEquals(10.8, highest, 1e-9);
        Wish forty = Wish.of(Wish.Kind.RATIO, q, 40);
        assertFalse(forty.met());
        Outlook possible = Outlook.of(q.with(forty.whatIf()));
        assertTrue(possible.each().stream().allMatch(e -> e.thenCc() > 0));
        Wish low = Wish.of(Wish.Kind.RATIO, q, 9.0);
        assertTrue(low.met());
        assertEquals(
                9.0,
                Outlook.of(q.with(low.whatIf()))
                        .each()
                        .get(1)
                        .then()
                        .orElseThrow()
                        .ratio(),
                1e-9);
        assertThrows(BadInputException.class, () -> Wish.of(Wish.Kind.RATIO, q, -3));
        assertThrows(BadInputException.class, () -> Wish.of(Wish.Kind.CLASS, q, 0), "no class volume is keyed");
        assertThrows(
                BadInputException.class,
                () -> new WhatIf(-1, 0, OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty()));
        Wish stock = Wish.of(Wish.Kind.STOCK, q.with(ratio.whatIf()), 0);
        assertEquals(
                Outlook.of(q).each().get(1).now().orElseThrow().ratio(),
                Outlook.of(q.with(stock.whatIf()))
                        .each()
                        .get(1)
                        .then()
                        .orElseThrow()
                        .ratio(),
                1e-9);
    }

    /** A class rule: cut until the largest is at the least volume, the others ground out to it; then every chamber passes. */
    @Test
    void classHeadIsBroughtToTheLeastVolume() {
        OutlookQuestion q = head(Map.of(
                EngineItem.CLASS_CC,
                43.5,
                EngineItem.THINNEST,
                110.0,
                EngineItem.LIFE_MOST,
                9.0,
                EngineItem.EXHAUST_ROOM,
                9.0,
                EngineItem.INTAKE_ROOM,
                9.0));
        Wish smallest = Wish.of(Wish.Kind.CLASS, q, 0);
        assertTrue(smallest.met());
        Outlook at = Outlook.of(q.with(smallest.whatIf()));
        assertEquals(
                43.5 + 2 * at.each().get(1).thenPlusMinus(), at.each().get(1).thenCc(), 1e-6);
        Wish equal = Wish.of(Wish.Kind.CLASS_EQUAL, q, 0);
        assertTrue(equal.met());
        assertTrue(equal.whatIf().cut() > smallest.whatIf().cut());
        Outlook deep = Outlook.of(q.with(equal.whatIf()));
        double target = 43.5
                + 2
                        * deep.each().stream()
                                .mapToDouble(Outlook.Each::thenPlusMinus)
                                .max()
                                .orElseThrow();
        assertEquals(target, deep.each().get(0).thenCc(), 1e-6);
        Equalise e = deep.equalise(target - 1e-9).orElseThrow();
        assertTrue(e.reached());
        assertEquals(0.6, e.each().get(1).add(), 1e-6);
        assertEquals(Equalise.Way.GRIND, e.each().get(1).shares().get(0).way());
        Wish late = Wish.of(Wish.Kind.CLASS, head(Map.of(EngineItem.CLASS_CC, 46.0)), 0);
        assertFalse(late.met());
        assertTrue(English.bare(late.says()).contains("too small already"), English.bare(late.says()));
    }

    /** A piston that stands lower makes room as a chamber does: the cylinders are made equal by what is above the pistons. */
    @Test
    void pistonsReadOneByOneCountWhenCylindersAreMadeEqual() {
        List<ChamberNow> own = new ArrayList<>();
        double[] decks = {0.2, 0.2, 0.3, 0.2};
        for (int i = 0; i < 4; i++) {
            ChamberNow c = FOUR.get(i);
            own.add(new ChamberNow(
                    c.name(),
                    c.cc(),
                    c.cc(),
                    c.plusMinus(),
                    c.basis(),
                    0,
                    0,
                    2000,
                    c.opening(),
                    Optional.empty(),
                    OptionalDouble.of(decks[i]),
                    OptionalDouble.empty()));
        }
        OutlookQuestion q = head(Map.of(EngineItem.GRIND_MOST, 0.5, EngineItem.POCKET_MOST, 2.0));
        Outlook at = Outlook.of(new OutlookQuestion(
                q.book(), q.face(), own, q.rims(), 0, q.life(), Map.of(), Optional.empty(), WhatIf.NOTHING));
        Equalise e = at.equalCylinders().orElseThrow();
        assertTrue(e.reached());
        // The third is the largest now, by a tenth of a millimetre of its piston.
        assertEquals(0, e.each().get(2).add());
        double[] ratios = new double[4];
        for (int i = 0; i < 4; i++) {
            double swept = at.each().get(i).then().orElseThrow().cylinder().sweptCc();
            double above = e.each().get(i).cc() + e.each().get(i).add();
            ratios[i] = (swept + above) / above;
            assertEquals(ratios[0], ratios[i], 1e-9);
        }
        assertEquals(
                List.of(Equalise.Way.GRIND, Equalise.Way.POCKET),
                e.each().get(1).shares().stream().map(Equalise.Share::way).toList());
    }

    /** Ground out to the largest, all pass by two uncertainties, or they do not. Largest 46.2 ± 0.2, smallest 45.6. */
    @ParameterizedTest
    @CsvSource({
        // class's least, most that may be ground, once equal they pass
        "45.8, 0.6, true",
        "45.81, 0.6, false",
        "45.8, 0.59, false",
        "44, 0, false"
    })
    void onceEqual(double least, double grind, boolean passes) {
        Outlook at = Outlook.of(head(Map.of(EngineItem.CLASS_CC, least, EngineItem.GRIND_MOST, grind)));
        assertEquals(passes, at.passesOnceEqual());
        assertEquals(grind >= 0.6, at.equalise(0).orElseThrow().reached());
        assertFalse(at.pistonsDiffer(), "no piston was read by itself");
        assertEquals(46.2, at.equalCylinders().orElseThrow().target(), 1e-9, "so the chambers are what is equal");
    }

    @Test
    void noClassNothingToPass() {
        assertFalse(Outlook.of(head(Map.of(EngineItem.GRIND_MOST, 5.0))).passesOnceEqual());
        OutlookQuestion q = head(Map.of(EngineItem.CLASS_CC, 40.0));
        Outlook none = Outlook.of(new OutlookQuestion(
                q.book(), q.face(), List.of(), RimDepths.level(0), 0, q.life(), q.since(), q.need(), q.whatIf()));
        assertFalse(none.passesOnceEqual());
        assertTrue(none.equalise(0).isEmpty() && none.gasket().isEmpty());
    }

    /** Valves sunk by 0.2 give 0.4 cc over heads of 2000 mm2; a chamber whose valves are not known is not sunk. */
    @Test
    void sinkingGivesWhatTheHeadsAreWide() {
        OutlookQuestion q = head(Map.of(EngineItem.GRIND_MOST, 0.0, EngineItem.SINK_MOST, 0.2));
        Equalise e = Outlook.of(q).equalise(46.6).orElseThrow();
        Equalise.Share first = e.each().get(0).shares().get(0);
        assertEquals(Equalise.Way.SINK, first.way());
        assertEquals(0.4, first.cc(), 1e-9);
        assertEquals(0, e.each().get(0).lacking(), 1e-9);
        assertEquals(0.6, e.each().get(1).lacking(), 1e-9);
    }

    /** The smallest chamber stands highest; what comes off it, over the gasket's own opening, is the gasket that restores it. */
    @Test
    void theGasketThatRestores() {
        Outlook cut = Outlook.of(head(Map.of())
                .with(new WhatIf(0.2, 0.1, OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty())));
        double area = Math.PI / 4 * 87.5 * 87.5;
        double block = 0.1 * Math.PI / 4 * 86 * 86;
        double thicker = (0.2 * 4800 + block) / area;
        assertEquals(thicker, cut.gasket().orElseThrow().restoresRatio(), 1e-9);
        assertEquals(0.1, cut.gasket().orElseThrow().restoresSqueeze(), 1e-9);
        assertEquals(thicker - 0.1, cut.gasket().orElseThrow().squeezeWithRatio(), 1e-9);
        // Cylinder 2, with the smallest chamber, cut and given a gasket 0.1 thicker.
        double swept = Math.PI / 4 * 86 * 86 * 78 / 1000;
        double above = 45.6 - 0.96 + area * 1.3 / 1000 + Math.PI / 4 * 86 * 86 * 0.1 / 1000 + 1.5;
        assertEquals((swept + above) / above, cut.gasket().orElseThrow().ratioWithSqueeze(), 1e-9);
        assertTrue(Outlook.of(head(Map.of())).gasket().isEmpty(), "nothing is cut");
        OutlookQuestion deck = asked(PartKind.DECK, book(Drive.CHAIN_OR_BELT, Map.of()), RimDepths.level(4), 0);
        Outlook lower = Outlook.of(deck.with(deck.whatIf().withCut(0.3)));
        assertEquals(
                0.3 * Math.PI / 4 * 86 * 86 / area, lower.gasket().orElseThrow().restoresRatio(), 1e-9);
        assertEquals(0.3, lower.gasket().orElseThrow().restoresSqueeze(), 1e-9);
    }

    /** A chamber cannot lose more than it holds: it is said which, and what it holds. */
    @Test
    void aCutThatTakesAWholeChamber() {
        BadInputException e = assertThrows(
                BadInputException.class, () -> Outlook.of(head(Map.of()).with(WhatIf.NOTHING.withCut(9.55))));
        assertTrue(English.of(e.sentence()).contains("Chamber 2 holds 45.6 cc"), English.of(e.sentence()));
        assertEquals(
                45.6 - 9.49 * 4.8,
                Outlook.of(head(Map.of()).with(WhatIf.NOTHING.withCut(9.49)))
                        .each()
                        .get(1)
                        .thenCc(),
                1e-9);
    }

    @Test
    void aPistonThatWasReadStandsHigherByWhatCameOffTheDeckSince() {
        assertEquals(0.15, Outlook.deckNow(OptionalDouble.of(0.25), 0.1).orElseThrow(), 1e-12);
        assertTrue(Outlook.deckNow(OptionalDouble.empty(), 0.1).isEmpty());
        OutlookQuestion q = head(Map.of());
        assertEquals(0.2, Outlook.deck(q).orElseThrow(), 1e-12);
        OutlookQuestion deck = new OutlookQuestion(
                q.book(),
                PartKind.DECK,
                FOUR,
                RimDepths.level(4),
                0,
                q.life(),
                Map.of(EngineItem.DECK, 0.05),
                q.need(),
                q.whatIf());
        assertEquals(0.15, Outlook.deck(deck).orElseThrow(), 1e-12);
    }

    @Test
    void aBlockIsCutWithTheSameEyes() {
        EngineBook book = book(
                Drive.SIDE_VALVE,
                Map.of(EngineItem.ROOM, 2.0, EngineItem.BLOCK_OPENING, 8000.0, EngineItem.CLASS_DECK, 0.0));
        OutlookQuestion q = asked(PartKind.DECK, book, RimDepths.level(4), 0);
        Outlook at = Outlook.of(q.with(q.whatIf().withCut(0.1)));
        assertTrue(at.budgets().all().stream().noneMatch(b -> b.kind() == Kind.EXHAUST || b.kind() == Kind.SQUEEZE));
        Budget room = same(
                q,
                at.budgets().all().stream()
                        .filter(b -> b.kind() == Kind.ROOM)
                        .findFirst()
                        .orElseThrow(),
                0.1);
        assertEquals(1.9, room.after(), 1e-9);
        double before = at.each().get(0).now().orElseThrow().cylinder().clearanceCc();
        double after = at.each().get(0).then().orElseThrow().cylinder().clearanceCc();
        assertEquals(0.8, before - after, 1e-9, "by the block's opening, not the bore's");
        // A deck that was cut since: as it came, the pistons stood lower.
        OutlookQuestion later = new OutlookQuestion(
                book,
                PartKind.DECK,
                FOUR,
                RimDepths.level(4),
                0.1,
                q.life(),
                Map.of(EngineItem.DECK, 0.1),
                Optional.empty(),
                WhatIf.NOTHING);
        Outlook.Each each = Outlook.of(later).each().get(0);
        assertEquals(0.2, each.filled().orElseThrow().cylinder().deck(), 1e-12);
        assertEquals(0.1, each.now().orElseThrow().cylinder().deck(), 1e-12);
        Outlook overhead = Outlook.of(asked(PartKind.DECK, book(Drive.CHAIN_OR_BELT, Map.of()), RimDepths.level(4), 0)
                .with(WhatIf.NOTHING.withCut(0.3)));
        Budget squeeze = overhead.budgets().all().stream()
                .filter(b -> b.kind() == Kind.SQUEEZE)
                .findFirst()
                .orElseThrow();
        assertEquals(1.2 + 0.2 - 1.0, squeeze.room(), 1e-9);
        assertEquals(1.1, squeeze.after(), 1e-9);
    }

    /** Below the deepest fill the chamber goes on as it ended: no step, and what a cut takes is what that much takes. */
    @Test
    void chambersGoOnBelowTheDeepestFill() {
        DepthFills fills = DepthFills.of(
                List.of(new DepthFills.Level(0, 46), new DepthFills.Level(1, 41.5), new DepthFills.Level(2, 37.6)));
        ChamberNow c = cut(FOUR.get(0), 0, Optional.of(fills));
        double last = 0;
        for (double depth = 0.05; depth < 4; depth += 0.05) {
            double loss = c.loss(depth);
            assertTrue(loss > last && loss - last < 0.26, "at " + depth + " " + (loss - last));
            assertEquals(depth, c.cutFor(loss), 1e-9);
            last = loss;
        }
        assertEquals(-0.1, c.cutFor(c.loss(-0.1)), 1e-12, "and for what would have to be put on");
    }

    /** Fills to a depth are followed; a cut that was made since is not counted twice. */
    @Test
    void fillsToADepthAreFollowedAcrossACut() {
        DepthFills fills = DepthFills.of(
                List.of(new DepthFills.Level(0, 46), new DepthFills.Level(1, 41.5), new DepthFills.Level(2, 37.6)));
        ChamberNow c = new ChamberNow(
                "1",
                46.4,
                46,
                0.2,
                Basis.FILLED,
                0.5,
                0.3,
                0,
                OpeningArea.toDepth(fills, 0.2),
                Optional.of(fills),
                OptionalDouble.of(0.1),
                OptionalDouble.empty());
        OutlookQuestion q = new OutlookQuestion(
                book(Drive.PUSHROD, Map.of(EngineItem.PRELOAD, 0.5, EngineItem.PRELOAD_MOST, 0.9)),
                PartKind.HEAD,
                List.of(c),
                RimDepths.level(1),
                0.5,
                new OutlookQuestion.Life(0.5, OutlookQuestion.Life.Sure.ESTIMATED),
                Map.of(),
                Optional.empty(),
                WhatIf.NOTHING.withCut(0.5));
        Outlook.Each e = Outlook.of(q).each().get(0);
        assertEquals(41.5 + 0.3, e.thenCc(), 1e-9, "half a millimetre before and half a millimetre now");
        assertTrue(e.seats().orElseThrow().ratio() < e.now().orElseThrow().ratio());
        assertTrue(e.filled().orElseThrow().ratio() < e.now().orElseThrow().ratio());
        Consequence rods = Outlook.of(q).consequences().stream()
                .filter(x -> x.kind() == Consequence.Kind.PUSHROD)
                .findFirst()
                .orElseThrow();
        assertEquals(Consequence.Tone.OVER, rods.tone());
        // A shallower gasket lets the valves come nearer still; a thicker one gives the room back.
        double thin = exhaust(
                q.with(new WhatIf(0.5, 0, OptionalDouble.of(1.0), OptionalDouble.empty(), OptionalDouble.empty())));
        double thick = exhaust(
                q.with(new WhatIf(0.5, 0, OptionalDouble.of(1.7), OptionalDouble.empty(), OptionalDouble.empty())));
        assertEquals(2.9, thick, 1e-9);
        assertEquals(0.7 / Math.cos(Math.toRadians(20)), thick - thin, 1e-9);
    }

    private static double exhaust(OutlookQuestion q) {
        return Outlook.of(q).consequences().stream()
                .filter(c -> c.kind() == Consequence.Kind.EXHAUST)
                .mapToDouble(c -> c.figures().get(0))
                .findFirst()
                .orElseThrow();
    }

    /** The gasket makes room for a piston that stands over the deck: the budget allows it and says so. */
    @Test
    void aDeckCutToItsBudgetSaysHowProudThePistonStands() {
        Map<EngineItem, Double> keyed =
                Map.of(EngineItem.GASKET, 1.2, EngineItem.DECK, 0.05, EngineItem.SQUEEZE_LEAST, 1.0);
        Budgets deck = Outlook.of(asked(PartKind.DECK, book(Drive.CHAIN_OR_BELT, keyed), RimDepths.level(4), 0))
                .budgets();
        assertEquals(0.25, deck.mayComeOff().orElseThrow(), 1e-9);
        assertEquals(0.20, deck.proud().orElseThrow(), 1e-9);
        Budgets below = Outlook.of(asked(
                        PartKind.DECK,
                        book(
                                Drive.CHAIN_OR_BELT,
                                Map.of(EngineItem.GASKET, 1.0, EngineItem.DECK, 0.3, EngineItem.SQUEEZE_LEAST, 1.0)),
                        RimDepths.level(4),
                        0))
                .budgets();
        assertTrue(below.proud().isEmpty(), "the piston comes level at the most");
        assertTrue(Outlook.of(head(keyed)).budgets().proud().isEmpty(), "a head's cut moves no piston");
    }

    @Test
    void aBudgetThatRestsOnAnAssumedOpeningSaysSo() {
        double highest = Outlook.of(head(Map.of())).each().stream()
                .mapToDouble(e -> e.now().orElseThrow().ratio())
                .max()
                .orElseThrow();
        Map<EngineItem, Double> ratio = Map.of(EngineItem.RATIO_MOST, highest + 0.05);
        Outlook assumed = Outlook.of(head(ratio));
        boolean byRatio = assumed.budgets().binding().orElseThrow().kind() == Kind.RATIO;
        assertEquals(byRatio, assumed.budgets().restsOnAssumedOpening());
        assertTrue(byRatio, "compression ends it");
        Outlook thin = Outlook.of(head(Map.of(EngineItem.THINNEST, 90.1, EngineItem.THICKNESS_LEAST, 90.0)));
        assertFalse(thin.budgets().restsOnAssumedOpening(), "thickness ends it, which needs no opening");
    }

    @Test
    void theAdviceFollowsTheBudgetAndAGougeLeavesNoWay() {
        Map<EngineItem, Double> thin = Map.of(EngineItem.THINNEST, 90.12, EngineItem.THICKNESS_LEAST, 90.0);
        assertEquals(
                FaceNeed.Advice.DO_NOT_CUT, Outlook.of(head(thin)).budgets().advice());
        Map<EngineItem, Double> enough = Map.of(EngineItem.THINNEST, 90.2, EngineItem.THICKNESS_LEAST, 90.0);
        assertEquals(FaceNeed.Advice.FITS, Outlook.of(head(enough)).budgets().advice());
        Map<EngineItem, Double> gouged =
                Map.of(EngineItem.THINNEST, 90.25, EngineItem.THICKNESS_LEAST, 90.0, EngineItem.GOUGE, 0.26);
        assertEquals(
                FaceNeed.Advice.DO_NOT_CUT, Outlook.of(head(gouged)).budgets().advice());
    }

    private static EngineBook bare(Drive drive) {
        return new EngineBook(Map.of(), drive, Crown.FLAT, Rods.IRON);
    }

    private static OutlookQuestion casting(Drive drive, boolean bankOfV, boolean plainLid) {
        OutlookQuestion q = asked(PartKind.HEAD, bare(drive), RimDepths.level(4), 0);
        return new OutlookQuestion(
                q.book(),
                q.face(),
                q.chambers(),
                q.pistons(),
                q.rims(),
                q.done(),
                q.life(),
                q.since(),
                q.need(),
                new OutlookQuestion.Casting(bankOfV, plainLid),
                WhatIf.NOTHING.withCut(0.1));
    }

    /** What fits the casting is told or asked for; what it does not have is not spoken of. */
    @ParameterizedTest
    @CsvSource({
        "UNKNOWN, false, false, CAM, NOT_KNOWN",
        "UNKNOWN, false, true, CAM, ",
        "UNKNOWN, false, true, INTAKE, ",
        "PUSHROD, false, false, CAM, ",
        "GEARS, false, false, CAM, ",
        "SIDE_VALVE, false, true, INTAKE, ",
        "UNKNOWN, true, false, MANIFOLD, NOT_KNOWN",
        "UNKNOWN, false, false, MANIFOLD, "
    })
    void consequencesFitTheCasting(
            Drive drive, boolean bankOfV, boolean plainLid, Consequence.Kind kind, Consequence.Tone tone) {
        List<Consequence> told = Outlook.of(casting(drive, bankOfV, plainLid)).consequences().stream()
                .filter(c -> c.kind() == kind)
                .toList();
        assertEquals(tone == null ? 0 : 1, told.size(), told.toString());
        told.forEach(c -> assertEquals(tone, c.tone()));
    }

    @Test
    void whatIsOverBeforeTheCutIsOverAlready() {
        Budgets squeeze = Outlook.of(
                        head(Map.of(EngineItem.GASKET, 1.0, EngineItem.DECK, -0.2, EngineItem.SQUEEZE_LEAST, 1.0)))
                .budgets();
        assertEquals(
                List.of(Kind.SQUEEZE),
                squeeze.overAlready().stream().map(Budget::kind).toList());
        Budgets thin = Outlook.of(head(Map.of(EngineItem.THINNEST, 89.9, EngineItem.THICKNESS_LEAST, 90.0)))
                .budgets();
        assertEquals(
                List.of(Kind.THICKNESS),
                thin.overAlready().stream().map(Budget::kind).toList());
        assertTrue(thin.thicknessKnown());
        Budgets fine = Outlook.of(head(Map.of(EngineItem.THINNEST, 90.3, EngineItem.THICKNESS_LEAST, 90.0)))
                .budgets();
        assertEquals(List.of(), fine.overAlready());
        assertFalse(Outlook.of(casting(Drive.PUSHROD, false, false)).budgets().thicknessKnown());
    }
}
