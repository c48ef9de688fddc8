package homalon.core.cut;

import homalon.core.geometry.Box;
import homalon.core.input.BadInputException;
import homalon.core.part.Layout;
import homalon.core.words.Message;
import java.util.BitSet;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;

/**
 * What a pass was seen to touch, said in a word or two: {@code none}, {@code all}, {@code half}, or by bores and ends, such as
 * {@code 1 3 f}: the land around bores 1 and 3 and the front end.
 *
 * @param cells touched; none of them where only a share was said
 * @param said the words; empty where the cells were painted one by one
 */
public record Touched(BitSet cells, String said) {
    private static final Message HOW = Message.of("cut.say-what-it-touched-none-half-all-or");
    private static final String HALF = "half";
    /** So near to where bare metal ends, in cells, words do not tell which side a cell lies on. */
    private static final int ROUGH = 2;
    /** Depth of an end or an edge, as a share of the face. */
    private static final double EDGE = 0.25;

    public Touched {
        cells = (BitSet) cells.clone();
    }

    @Override
    public BitSet cells() {
        return (BitSet) cells.clone();
    }

    /** Painted cell by cell. */
    public static Touched painted(BitSet cells) {
        return new Touched(cells, "");
    }

    /** Share of the land where nothing more was said, 0 to 1. */
    public OptionalDouble share() {
        return said.equals(HALF) ? OptionalDouble.of(0.5) : OptionalDouble.empty();
    }

    /** Cells of which what was said does not tell whether they were touched; none where they were painted. */
    public BitSet unsure(TouchCells grid) {
        BitSet unsure = new BitSet();
        if (said.isEmpty()) {
            return unsure;
        }
        for (TouchCells.Cell c : grid.cells()) {
            boolean border = grid.cells().stream()
                    .anyMatch(o -> cells.get(o.number()) != cells.get(c.number())
                            && Math.abs(o.column() - c.column()) <= ROUGH
                            && Math.abs(o.row() - c.row()) <= ROUGH);
            unsure.set(c.number(), border);
        }
        return unsure;
    }

    /** @throws BadInputException for words that say nothing of this face */
    public static Touched said(String typed, Layout layout, TouchCells grid) {
        String words = typed.strip().toLowerCase(Locale.ROOT);
        BitSet cells = new BitSet();
        switch (words) {
            case "none", "n" -> {
                return new Touched(cells, "none");
            }
            case HALF, "h" -> {
                return new Touched(cells, HALF);
            }
            case "all", "a" -> {
                grid.cells().forEach(c -> cells.set(c.number()));
                return new Touched(cells, "all");
            }
            case "" -> throw new BadInputException("touched", HOW);
            default -> {
                for (String word : words.split("[\\s,;+]+")) {
                    add(cells, word, layout, grid);
                }
                return new Touched(cells, words);
            }
        }
    }

    private static void add(BitSet cells, String word, Layout layout, TouchCells grid) {
        Box box = layout.box();
        boolean intakeAtTop = layout.numbers().intakeAtTop();
        switch (word) {
            case "f", "front" -> in(cells, grid, box, -1, -1 + 2 * EDGE, -1, 1);
            case "r", "rear" -> in(cells, grid, box, 1 - 2 * EDGE, 1, -1, 1);
            case "e", "exhaust" -> edge(cells, grid, box, !intakeAtTop);
            case "i", "intake" -> edge(cells, grid, box, intakeAtTop);
            default -> {
                int number = word.matches("[0-9]{1,2}") ? Integer.parseInt(word) : -1;
                Layout.Bore bore = layout.bores().stream()
                        .filter(b -> b.number() == number)
                        .findFirst()
                        .orElseThrow(() -> new BadInputException(
                                "touched",
                                number < 0
                                        ? Message.of("cut.is-no-place-of-a-face", word, HOW)
                                        : Message.of("cut.this-face-has-no-bore", number, HOW)));
                around(cells, grid, layout.bores(), bore);
            }
        }
    }

    private static void edge(BitSet cells, TouchCells grid, Box box, boolean top) {
        in(cells, grid, box, -1, 1, top ? 1 - 2 * EDGE : -1, top ? 1 : -1 + 2 * EDGE);
    }

    private static void in(BitSet cells, TouchCells grid, Box box, double u0, double u1, double v0, double v1) {
        for (TouchCells.Cell c : grid.cells()) {
            double u = box.u(c.x0() + c.width() / 2);
            double v = box.v(c.y0() + c.height() / 2);
            if (u >= u0 && u <= u1 && v >= v0 && v <= v1) {
                cells.set(c.number());
            }
        }
    }

    /** The strip across the face that is nearer to this bore than to any other. */
    private static void around(BitSet cells, TouchCells grid, List<Layout.Bore> bores, Layout.Bore bore) {
        for (TouchCells.Cell c : grid.cells()) {
            double x = c.x0() + c.width() / 2;
            double own = Math.abs(bore.centre().x() - x);
            if (bores.stream().allMatch(b -> own <= Math.abs(b.centre().x() - x))) {
                cells.set(c.number());
            }
        }
    }
}
