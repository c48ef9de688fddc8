package homalon.core.visit;

import homalon.core.chambers.FillState;
import homalon.core.input.BadInputException;
import homalon.core.part.Layout;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;

/**
 * One walk along the chambers: to the brim, to a depth, or along the pistons.
 *
 * @param key as it stands in the address
 * @param depth zero for the brim
 */
public record ChamberWalk(String key, ChamberPlace.What what, Length depth) {
    private static final String BRIM = "brim";

    public static List<ChamberWalk> of(ChamberFile file) {
        List<ChamberWalk> all = new ArrayList<>();
        all.add(new ChamberWalk(BRIM, ChamberPlace.What.FILL, Length.ZERO));
        for (Length d : file.setup().depths()) {
            all.add(new ChamberWalk("to-" + d.nanometres(), ChamberPlace.What.FILL, d));
        }
        all.add(new ChamberWalk("deck", ChamberPlace.What.DECK, Length.ZERO));
        all.add(new ChamberWalk("crown", ChamberPlace.What.CROWN, Length.ZERO));
        return all;
    }

    /** The one asked for; the first where none was. */
    public static ChamberWalk asked(ChamberFile file, String key) {
        List<ChamberWalk> all = of(file);
        return all.stream().filter(w -> w.key().equals(key)).findFirst().orElseGet(() -> {
            if (key.isEmpty()) {
                return all.get(0);
            }
            throw new BadInputException("of", "visit.there-is-no-such-walk-on-this-sheet-any");
        });
    }

    public Message words(LengthWriter writer) {
        return switch (what) {
            case FILL ->
                depth.signum() == 0
                        ? Message.of("visit.to-the-brim")
                        : Message.of("visit.to-below", writer.full(depth));
            case DECK -> Message.of("visit.pistons");
            case CROWN -> Message.of("visit.crowns");
        };
    }

    public Message with() {
        return switch (what) {
            case FILL -> Message.of("visit.a-burette-and-a-greased-plate-head");
            case DECK -> Message.of("visit.an-indicator-over-the-bore-at-top-dead");
            case CROWN -> Message.of("visit.a-burette-piston-a-known-depth-down");
        };
    }

    /** Where something is keyed, in the order of the hand; a chamber whose fills differ gets one more. */
    public List<ChamberPlace> places(ChamberFile file, FillState state) {
        List<ChamberPlace> places = new ArrayList<>();
        for (Layout.Bore b : file.bores()) {
            if (what != ChamberPlace.What.FILL) {
                places.add(ChamberPlace.piston(what, b.number()));
                continue;
            }
            int keyed = file.fills(b.number(), state, depth).size();
            boolean settled = depth.signum() > 0
                    || file.filled(b.number(), state)
                            .filter(f -> f.volume().settled())
                            .isPresent();
            int wanted = depth.signum() > 0 ? 1 : settled ? keyed : Math.max(2, keyed + 1);
            for (int n = 1;
                    n <= Math.min(Math.max(wanted, highest(file, state, b.number())), ChamberFile.MOST_FILLS);
                    n++) {
                places.add(ChamberPlace.fill(state, depth, b.number(), n));
            }
        }
        return places;
    }

    /** The last number that has a line, kept or skipped. */
    private int highest(ChamberFile file, FillState state, int cylinder) {
        int highest = 0;
        for (int n = 1; n <= ChamberFile.MOST_FILLS; n++) {
            highest = file.sheet().standing().containsKey(ChamberFile.fill(state, depth, cylinder, n)) ? n : highest;
        }
        return highest;
    }

    public boolean done(ChamberFile file, FillState state) {
        return places(file, state).stream()
                .allMatch(p -> file.sheet().standing().containsKey(p.key()));
    }

    public boolean ofFills() {
        return what == ChamberPlace.What.FILL;
    }
}
