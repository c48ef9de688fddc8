package homalon.core.bench;

import homalon.core.hours.OpenTime;
import homalon.core.hours.Stretch;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * A timetable as it comes to be: every work on its station, in its hands and in its turn, but as long as it really takes and no earlier than
 * what it waits for is really there. What is late pushes what comes after it; what is early lets it come sooner.
 */
final class Replay {
    private final Numbered bench;
    private final OpenTime time;
    private final Begins when;
    private final int end;
    private final int[] closings;
    /** Works and pieces of theirs, in the order in which they begin. */
    private final List<int[]> order = new ArrayList<>();

    private final Placed[] placed;
    private final int[][] who;
    private final int[] station;

    Replay(Bench of, Timetable timetable) {
        this.bench = new Numbered(of);
        this.time = of.time();
        this.when = new Begins(time);
        this.end = time.length();
        this.closings = time.openings().stream().mapToInt(Stretch::to).toArray();
        List<Placed> known = timetable.placed().stream()
                .filter(p -> bench.number(p.work()) >= 0)
                .toList();
        this.placed = new Placed[bench.works()];
        this.who = new int[bench.works()][];
        this.station = new int[bench.works()];
        List<String> people = of.people().stream().map(Person::id).toList();
        List<String> stations = of.stations().stream().map(Station::id).toList();
        for (Placed one : known) {
            int w = bench.number(one.work());
            placed[w] = one;
            who[w] = one.parts().stream()
                    .mapToInt(p -> people.indexOf(p.person()))
                    .toArray();
            station[w] = stations.indexOf(one.station());
            for (int i = 0; i < one.parts().size(); i++) {
                order.add(new int[] {w, i});
            }
        }
        order.sort(Comparator.comparingInt((int[] a) -> planned(a[0], a[1])).thenComparingInt(a -> a[1]));
    }

    private int planned(int w, int i) {
        return i == 0 ? placed[w].begins() : placed[w].parts().get(i).from();
    }

    Numbered bench() {
        return bench;
    }

    /**
     * Where each casting is done; the end of the time for one that is not done within it.
     *
     * @param minutes of each piece of each work as it takes
     * @param earliest minute at which each work can begin
     */
    int[] ends(int[][] minutes, int[] earliest) {
        int[] ends = new int[bench.castings()];
        int[] over = new int[bench.works()];
        int[] station = new int[bench.bench().stations().size()];
        int[] person = new int[bench.bench().people().size()];
        for (int[] one : order) {
            int w = one[0];
            int i = one[1];
            int from = i == 0 ? begin(w, earliest[w], over, station, ends) : over[w];
            over[w] = Math.min(end, piece(w, i, from, minutes[w][i], person));
            int casting = bench.casting(w);
            ends[casting] = Math.max(ends[casting], over[w]);
            if (this.station[w] >= 0) {
                station[this.station[w]] = Math.max(station[this.station[w]], over[w]);
            }
        }
        return ends;
    }

    /** What came before it on its casting and its station, and what must, is over. */
    private int begin(int w, int earliest, int[] over, int[] station, int[] ends) {
        int from = Math.max(earliest, ends[bench.casting(w)]);
        for (Numbered.Neighbour n : bench.before(w)) {
            from = n.must() ? Math.max(from, over[n.work()]) : from;
        }
        int on = this.station[w];
        boolean one = on >= 0 && !bench.bench().stations().get(on).together();
        return one ? Math.max(from, station[on] + placed[w].setUp()) : from;
    }

    /** @return where it is over */
    private int piece(int w, int i, int from, int minutes, int[] person) {
        int hands = who[w][i];
        if (hands < 0) {
            return alone(bench.pieces(w, station[w]).get(i).kind(), Math.min(from, end), minutes);
        }
        int setUp = i == 0 ? placed[w].setUp() : 0;
        int at = Math.max(from, person[hands] + setUp);
        at = past(bench.bench().people().get(hands).away(), at - setUp, setUp + minutes) + setUp;
        if (bench.pieces(w, station[w]).get(i).kind() == Piece.Kind.WHOLE) {
            for (int closing : closings) {
                at = closing > at && closing < at + minutes ? closing : at;
            }
        }
        person[hands] = at + minutes;
        return at + minutes;
    }

    private int alone(Piece.Kind kind, int from, int minutes) {
        int at = when.alone(kind, from, minutes);
        return at < end ? new Piece(minutes, kind).over(at, time) : end;
    }

    private static int past(List<Stretch> away, int from, int minutes) {
        int at = from;
        for (Stretch s : away) {
            at = s.from() < at + minutes && s.to() > at ? s.to() : at;
        }
        return at;
    }
}
