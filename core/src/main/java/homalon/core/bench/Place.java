package homalon.core.bench;

import java.util.ArrayList;
import java.util.List;

/**
 * A work in its place, by numbers.
 *
 * @param who one a piece; -1 for nobody
 * @param from of each piece
 * @param to of each piece
 */
record Place(int work, int station, int setUp, int[] who, int[] from, int[] to) {
    int starts() {
        return from[0];
    }

    int begins() {
        return from[0] - setUp;
    }

    int ends() {
        return to[to.length - 1];
    }

    Placed named(Numbered bench, int setUp) {
        List<Placed.Part> parts = new ArrayList<>();
        for (int i = 0; i < from.length; i++) {
            String person = who[i] < 0 ? "" : bench.bench().people().get(who[i]).id();
            parts.add(new Placed.Part(person, from[i], to[i]));
        }
        String on = station < 0 ? "" : bench.bench().stations().get(station).id();
        return new Placed(bench.work(work).id(), on, setUp, parts);
    }
}
