package homalon.core.visit;

import homalon.core.cut.Supports;
import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.ShimStock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/** Supports and shims as text: in the database, in an address, and from fields. */
public final class SupportsInput {
    private SupportsInput() {}

    /** {@code x,y x,y x,y} in nanometres. */
    public static String write(List<Spot> supports) {
        return supports.stream().map(s -> nm(s.x()) + "," + nm(s.y())).collect(Collectors.joining(" "));
    }

    public static List<Spot> read(String text) {
        return Arrays.stream(text.split(" "))
                .map(s -> s.split(","))
                .map(s -> new Spot(Long.parseLong(s[0]) / 1e6, Long.parseLong(s[1]) / 1e6))
                .toList();
    }

    public static String lengths(List<Length> lengths) {
        return lengths.stream().map(l -> Long.toString(l.nanometres())).collect(Collectors.joining(" "));
    }

    public static List<Length> lengths(String text) {
        return text.isEmpty()
                ? List.of()
                : Arrays.stream(text.split(" "))
                        .map(s -> Length.ofNanometres(Long.parseLong(s)))
                        .toList();
    }

    private static long nm(double mm) {
        return Length.roundedFromMm(mm).nanometres();
    }

    /**
     * Where the supports stand as keyed or dragged.
     *
     * @param along from the front end, one for each support
     * @param across from the lower edge of the drawing, one for each support
     * @throws BadInputException when a casting cannot stand on them
     */
    public static Supports keyed(List<String> along, List<String> across, Box box, ShimStock stock, BenchUnit unit) {
        if (along.size() != across.size()) {
            throw new BadInputException("supports", "visit.key-both-distances-of-every-support");
        }
        List<Spot> supports = new ArrayList<>();
        for (int j = 0; j < along.size(); j++) {
            boolean empty = along.get(j).isBlank() && across.get(j).isBlank();
            if (!empty) {
                supports.add(new Spot(
                        box.x0() + Length.parseSize(along.get(j), unit).mm(),
                        box.y0() + Length.parseSize(across.get(j), unit).mm()));
            }
        }
        return new Supports(supports, stock).checked(box);
    }
}
