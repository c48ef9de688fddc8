package homalon.core.bench;

import java.util.List;

/**
 * A way in which a work can be done.
 *
 * @param station that it holds; empty for what is done outside the shop
 * @param pieces that it takes there, one after the other
 */
public record Way(String station, List<Piece> pieces) {
    public Way {
        pieces = List.copyOf(pieces);
    }

    int minutes() {
        return pieces.stream().mapToInt(Piece::minutes).sum();
    }
}
