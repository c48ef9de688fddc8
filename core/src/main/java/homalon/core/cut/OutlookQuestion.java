package homalon.core.cut;

import homalon.core.chambers.Bowls;
import homalon.core.chambers.EngineBook;
import homalon.core.chambers.EngineItem;
import homalon.core.part.PartKind;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * All that an outlook is worked out from.
 *
 * @param face head or block deck
 * @param chambers in the order of the bores of the layout; may be empty
 * @param pistons one for each bore of the layout, filled or not
 * @param rims as many as there are chambers
 * @param done what was cut of the set-up already, from its first touch
 * @param since what came off this face since an item was measured; absent for nothing
 * @param need what the face has to lose; empty when nothing says that it needs a cut
 * @param casting what the casting is, as far as a consequence fits it or not
 */
public record OutlookQuestion(
        EngineBook book,
        PartKind face,
        List<ChamberNow> chambers,
        List<Bowls.Piston> pistons,
        RimDepths rims,
        double done,
        Life life,
        Map<EngineItem, Double> since,
        Optional<FaceNeed> need,
        Casting casting,
        WhatIf whatIf) {
    /**
     * @param bankOfV one of two banks: a manifold lies between them
     * @param plainLid no shaft and no valve gear in it or over it
     */
    public record Casting(boolean bankOfV, boolean plainLid) {
        public static final Casting ORDINARY = new Casting(false, false);
    }

    /** Of an ordinary casting, each chamber of which is known. */
    public OutlookQuestion(
            EngineBook book,
            PartKind face,
            List<ChamberNow> chambers,
            RimDepths rims,
            double done,
            Life life,
            Map<EngineItem, Double> since,
            Optional<FaceNeed> need,
            WhatIf whatIf) {
        this(
                book,
                face,
                chambers,
                chambers.stream()
                        .map(c -> new Bowls.Piston(c.name(), c.crownCc()))
                        .toList(),
                rims,
                done,
                life,
                since,
                need,
                Casting.ORDINARY,
                whatIf);
    }

    public OutlookQuestion {
        chambers = List.copyOf(chambers);
        pistons = List.copyOf(pistons);
        since = Map.copyOf(since);
    }

    /**
     * What was cut since the first fills and what is known now, put as one cut from there: for whoever puts the engine together.
     * What was measured after some of it has lost only the rest.
     *
     * @param cut off this face in all, from first touch
     */
    public OutlookQuestion asOneCut(double cut) {
        List<ChamberNow> before = new ArrayList<>();
        for (ChamberNow c : chambers) {
            OptionalDouble then = face == PartKind.DECK ? Outlook.deckNow(c.deck(), -cut) : c.deck();
            before.add(new ChamberNow(
                    c.name(),
                    c.firstCc(),
                    c.firstCc(),
                    c.plusMinus(),
                    c.basis(),
                    0,
                    0,
                    c.valveArea(),
                    c.opening(),
                    c.depths(),
                    then,
                    c.crownCc()));
        }
        Map<EngineItem, Double> sooner = new EnumMap<>(EngineItem.class);
        since.forEach((item, off) -> sooner.put(item, off - cut));
        return new OutlookQuestion(
                book,
                face,
                before,
                pistons,
                rims,
                0,
                new Life(life.total() - cut, life.sure()),
                sooner,
                Optional.empty(),
                casting,
                WhatIf.NOTHING.withCut(cut));
    }

    /** True when the volume of every chamber rests on fills; twice each, where it has to be proven. */
    boolean filled(boolean proven) {
        return chambers.size() == pistons.size()
                && chambers.stream()
                        .allMatch(c -> c.basis() == ChamberNow.Basis.FILLED
                                || (!proven && c.basis() == ChamberNow.Basis.ONE_FILL));
    }

    /** The bowls against a class's least; empty where no class asks for one. */
    public Optional<Bowls> bowls() {
        if (!book.has(EngineItem.CLASS_BOWL)) {
            return Optional.empty();
        }
        return Optional.of(
                Bowls.of(book.value(EngineItem.CLASS_BOWL), book.value(EngineItem.FILL_OPEN), pistons, firstPocket()));
    }

    /** What milling one piston deeper gave; empty while it was not tried. */
    public Optional<Bowls.First> firstPocket() {
        return book.has(EngineItem.POCKET_DEEPER) && book.has(EngineItem.POCKET_GAVE)
                ? Optional.of(new Bowls.First(book.value(EngineItem.POCKET_DEEPER), book.value(EngineItem.POCKET_GAVE)))
                : Optional.empty();
    }

    double since(EngineItem item) {
        return since.getOrDefault(item, 0.0);
    }

    OutlookQuestion with(EngineBook other) {
        return new OutlookQuestion(other, face, chambers, pistons, rims, done, life, since, need, casting, whatIf);
    }

    public OutlookQuestion with(WhatIf other) {
        return new OutlookQuestion(book, face, chambers, pistons, rims, done, life, since, need, casting, other);
    }

    /** What is off the head in all by what is thought of. */
    double headCut() {
        return face == PartKind.HEAD ? whatIf.cut() : whatIf.other();
    }

    double blockCut() {
        return face == PartKind.HEAD ? whatIf.other() : whatIf.cut();
    }

    /** What the cut takes over the rim of one chamber, from here on. */
    double rim(int chamber, double cut) {
        return rims.taken(chamber, done + cut) - rims.taken(chamber, done);
    }

    /** What has to come off from here on for so much over that rim; as it is for what would have to be put on. */
    double cutFor(int chamber, double rim) {
        return rim <= 0 ? rim : rims.totalFor(chamber, rims.taken(chamber, done) + rim) - done;
    }

    /** How much thicker the gasket that is thought of is. */
    double gasketThicker() {
        return whatIf.gasket().isPresent() && book.has(EngineItem.GASKET)
                ? whatIf.gasket().getAsDouble() - book.value(EngineItem.GASKET)
                : 0;
    }

    /** Nearer that head and piston come, all in all. */
    double nearer() {
        return whatIf.cut() + whatIf.other() - gasketThicker();
    }

    /** @param total off in its life, this visit's among it; a least figure unless what came off before is known */
    public record Life(double total, Sure sure) {
        /** How sure what came off before is. */
        public enum Sure {
            KNOWN,
            ESTIMATED,
            UNKNOWN;

            /** What is to be said of it; empty when it is known. */
            public Message words() {
                return this == KNOWN ? Message.NONE : Message.of(this);
            }
        }
    }
}
