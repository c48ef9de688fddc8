package homalon.core.bench;

import homalon.core.hours.OpenTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A timetable as it fills: what of each station, person and casting is taken, and the first place in which a work can go. Works come in the
 * order in which they begin; only what was pinned may lie ahead of one that comes.
 */
final class Passage {
    static final int NOWHERE = Integer.MAX_VALUE;

    private final Numbered bench;
    private final OpenTime time;
    private final Begins when;
    private final int end;
    private final Busy[] stations;
    private final Busy[] people;
    private final Busy[] castings;
    private final @Nullable Place[] placed;
    /** Minutes before each work that were kept for its set-up. */
    private final int[] room;

    /** Numbers of works on each station, in order. */
    private final List<List<Integer>> on = new ArrayList<>();

    Passage(Numbered bench) {
        this.bench = bench;
        this.time = bench.bench().time();
        this.when = new Begins(time);
        this.end = time.length();
        this.stations =
                bench.bench().stations().stream().map(s -> new Busy(s.away())).toArray(Busy[]::new);
        this.people =
                bench.bench().people().stream().map(p -> new Busy(p.away())).toArray(Busy[]::new);
        this.castings = new Busy[bench.castings()];
        Arrays.setAll(castings, c -> new Busy(List.of()));
        this.placed = new Place[bench.works()];
        this.room = new int[bench.works()];
        bench.bench().stations().forEach(s -> on.add(new ArrayList<>()));
    }

    /** All that was placed, each set up for as what came before it asks. */
    Timetable timetable() {
        List<Placed> all = new ArrayList<>();
        for (Place one : placed) {
            if (one != null) {
                all.add(one.named(bench, change(one.work(), one.station(), one.starts())));
            }
        }
        return new Timetable(all);
    }

    boolean holds(int work) {
        return placed[work] != null;
    }

    /** Where it ends; nowhere while it has no place. */
    int endOf(int work) {
        Place place = placed[work];
        return place == null ? NOWHERE : place.ends();
    }

    private boolean together(int station) {
        return station >= 0 && bench.bench().stations().get(station).together();
    }

    private int change(int work, int station, int minute) {
        if (station < 0 || bench.setUp(work) < 0) {
            return 0;
        }
        List<Integer> works = on.get(station);
        for (int i = works.size() - 1; i >= 0; i--) {
            int before = bench.setUp(works.get(i));
            if (before >= 0 && starts(works.get(i)) < minute) {
                return bench.change(station, before, bench.setUp(work));
            }
        }
        return bench.change(station, bench.setUpNow(station), bench.setUp(work));
    }

    /**
     * The first place for a work.
     *
     * @param earliest minute at which it can begin
     * @param stations of which it takes one; -1 for none
     * @param by of whom it takes one
     */
    Optional<Place> first(int work, int earliest, int[] stations, int[] by) {
        Place best = null;
        int[] at = bench.work(work).outside() ? new int[] {Numbered.NONE} : stations;
        int[] who = bench.pieces(work, at.length == 0 ? Numbered.NONE : at[0])
                        .get(0)
                        .attended()
                ? by
                : new int[] {Numbered.NONE};
        for (int station : at) {
            for (int person : who) {
                Place one = first(work, earliest, station, person, by);
                if (one != null && (best == null || sooner(one, best))) {
                    best = one;
                }
            }
        }
        return Optional.ofNullable(best);
    }

    /** The first place on one station, begun by one person. */
    Optional<Place> first(int work, int earliest, int station, int person) {
        boolean attended = bench.pieces(work, station).get(0).attended();
        return attended == (person != Numbered.NONE)
                ? Optional.ofNullable(first(work, earliest, station, person, bench.people(work)))
                : Optional.empty();
    }

    /**
     * Works with all their pieces where people were told that they are.
     *
     * @param told one for each; more than one only where they go in together
     * @return empty where any of it is not free any more, or takes another time by now
     */
    Optional<List<Place>> exactly(List<Integer> works, List<Placed> told, int station) {
        Busy[] hands = Arrays.stream(people).map(Busy::new).toArray(Busy[]::new);
        List<Place> group = new ArrayList<>();
        int begins = end;
        int ends = 0;
        for (int i = 0; i < works.size(); i++) {
            int setUp = change(works.get(i), station, told.get(i).from());
            Place one = exactly(works.get(i), told.get(i), station, setUp, hands);
            if (one == null || !free(one) || inTheWayOf(one.work(), station, one.starts()) >= 0) {
                return Optional.empty();
            }
            group.add(one);
            begins = Math.min(begins, one.begins());
            ends = Math.max(ends, one.ends());
        }
        boolean free =
                begins >= 0 && ends <= end && (station < 0 || stations[station].next(begins, ends - begins) == begins);
        return free ? Optional.of(group) : Optional.empty();
    }

    private @Nullable Place exactly(int work, Placed told, int station, int setUp, Busy[] hands) {
        List<Piece> pieces = bench.pieces(work, station);
        int n = pieces.size();
        if (told.parts().size() != n) {
            return null;
        }
        Place one = new Place(work, station, setUp, new int[n], new int[n], new int[n]);
        int now = 0;
        for (int i = 0; i < n; i++) {
            Placed.Part part = told.parts().get(i);
            Piece piece = pieces.get(i);
            int person = bench.person(part.person());
            int before = i == 0 ? setUp : 0;
            boolean same = part.from() >= now
                    && part.to() == piece.over(part.from(), time)
                    && when.alone(piece, part.from()) == part.from()
                    && piece.attended() == (person >= 0)
                    && (person < 0 || Arrays.stream(bench.people(work)).anyMatch(p -> p == person))
                    && (person < 0 || when.free(hands[person], part.from(), before, piece) == part.from());
            if (!same) {
                return null;
            }
            take(one, i, person, part.from() - before, part.to(), hands);
            one.from()[i] = part.from();
            now = part.to();
        }
        return one;
    }

    private static boolean sooner(Place one, Place other) {
        return one.starts() < other.starts() || (one.starts() == other.starts() && one.ends() < other.ends());
    }

    private @Nullable Place first(int work, int earliest, int station, int person, int[] by) {
        int at = Math.max(earliest, bench.work(work).earliest());
        while (at < end) {
            int setUp = change(work, station, at);
            Place one = chain(work, at, setUp, station, person, by);
            int morning = one == null ? 0 : morning(one);
            if (morning > 0) {
                setUp = change(work, station, morning);
                one = chain(work, morning, setUp, station, person, by);
            }
            if (one == null) {
                return null;
            }
            int held = one.ends() - one.starts();
            int wants = station < 0 ? one.starts() : stations[station].next(one.begins(), setUp + held) + setUp;
            wants = castings[bench.casting(work)].next(wants, held);
            if (wants == one.starts() && setUp == change(work, station, wants)) {
                int after = inTheWayOf(work, station, wants);
                if (after < 0) {
                    return one;
                }
                wants = endOf(after);
            }
            // What comes before it on the station may be something else where it can go.
            at = wants;
        }
        return null;
    }

    /** What comes after on the station and would have to be set up for longer than it has room for; -1 for nothing. */
    private int inTheWayOf(int work, int station, int minute) {
        if (station < 0 || bench.setUp(work) < 0) {
            return -1;
        }
        for (int other : on.get(station)) {
            if (starts(other) > minute && bench.setUp(other) >= 0) {
                return bench.change(station, bench.setUp(work), bench.setUp(other)) > room[other] ? other : -1;
            }
        }
        return -1;
    }

    /** Its pieces one after the other, people and closings kept, the station not looked at; null where no time is left. */
    private @Nullable Place chain(int work, int at, int setUp, int station, int person, int[] by) {
        List<Piece> pieces = bench.pieces(work, station);
        int[] who = new int[pieces.size()];
        int[] from = new int[pieces.size()];
        int[] to = new int[pieces.size()];
        int now = at;
        for (int i = 0; i < from.length; i++) {
            Piece piece = pieces.get(i);
            Begins.First first = when.first(piece, now, i == 0 ? setUp : 0, people, i == 0 ? new int[] {person} : by);
            who[i] = first.who();
            from[i] = first.at();
            if (from[i] >= end) {
                return null;
            }
            to[i] = piece.over(from[i], time);
            now = to[i];
        }
        return now > end ? null : new Place(work, station, setUp, who, from, to);
    }

    /** Where what would be loaded the evening before is better loaded, as it is switched on in the morning; 0 for what runs at once. */
    private int morning(Place one) {
        List<Piece> pieces = bench.pieces(one.work(), one.station());
        for (int i = 1; i < one.from().length; i++) {
            if (pieces.get(i).kind() == Piece.Kind.BY_DAY && one.from()[i] > one.to()[i - 1]) {
                return one.from()[i];
            }
        }
        return 0;
    }

    /** Puts a work where it is pinned, with room for the longest set-up if there is. */
    void pin(Place one) {
        int longest = bench.longest(one.station(), bench.setUp(one.work()));
        int begins = one.starts() - longest;
        boolean free = begins >= 0
                && one.station() >= 0
                && stations[one.station()].next(begins, longest) == begins
                && (one.who()[0] < 0 || people[one.who()[0]].next(begins, longest) == begins);
        put(one, free ? longest : one.setUp());
    }

    /**
     * Puts a work in its place.
     *
     * @param room minutes before it that are kept for its set-up
     */
    void put(Place one, int room) {
        placed[one.work()] = one;
        this.room[one.work()] = room;
        int begins = Math.max(0, one.starts() - room);
        if (one.station() >= 0) {
            List<Integer> works = on.get(one.station());
            int at = 0;
            while (at < works.size() && starts(works.get(at)) < one.starts()) {
                at++;
            }
            works.add(at, one.work());
            stations[one.station()].add(begins, one.ends());
        }
        for (int i = 0; i < one.from().length; i++) {
            if (one.who()[i] >= 0) {
                people[one.who()[i]].add(i == 0 ? begins : one.from()[i], one.to()[i]);
            }
        }
        castings[bench.casting(one.work())].add(one.starts(), one.ends());
    }

    private int starts(int work) {
        Place place = placed[work];
        return place == null ? NOWHERE : place.starts();
    }

    /**
     * Works that go in together, loaded one after the other by one person.
     *
     * @param some as many as the station holds at the most, set up for the same
     * @param at where the first is loaded
     * @return one a work; empty where they cannot go in so
     */
    Optional<List<Place>> together(List<Integer> some, int at, int station, int person) {
        Busy[] hands = Arrays.stream(people).map(Busy::new).toArray(Busy[]::new);
        List<Place> group = new ArrayList<>();
        int now = at;
        for (int work : some) {
            List<Piece> pieces = bench.pieces(work, station);
            int n = pieces.size();
            Place one = new Place(work, station, 0, new int[n], new int[n], new int[n]);
            Arrays.fill(one.who(), Numbered.NONE);
            for (int i = 0; i < n && pieces.get(i).attended(); i++) {
                Piece piece = pieces.get(i);
                if (when.free(hands[person], now, 0, piece) != now) {
                    return Optional.empty();
                }
                take(one, i, person, now, now + piece.minutes(), hands);
                now += piece.minutes();
            }
            group.add(one);
        }
        int runs = now;
        if (group.stream().anyMatch(p -> !runsFrom(p, runs))) {
            return Optional.empty();
        }
        int last = now;
        for (Place one : group) {
            last = Math.max(last, unloaded(one, now, hands));
        }
        boolean fits = last < end
                && stations[station].next(at, last - at) == at
                && group.stream().allMatch(this::free);
        return fits ? Optional.of(group) : Optional.empty();
    }

    /** Whether its piece that runs by itself can begin then. */
    private boolean runsFrom(Place one, int minute) {
        return bench.pieces(one.work(), one.station()).stream()
                .filter(p -> !p.attended())
                .limit(1)
                .allMatch(p -> when.alone(p, minute) == minute);
    }

    private boolean free(Place one) {
        int held = one.ends() - one.starts();
        return castings[bench.casting(one.work())].next(one.starts(), held) == one.starts()
                && one.starts() >= bench.work(one.work()).earliest();
    }

    private static void take(Place one, int piece, int person, int from, int to, Busy[] hands) {
        one.who()[piece] = person;
        one.from()[piece] = from;
        one.to()[piece] = to;
        if (person >= 0) {
            hands[person].add(from, to);
        }
    }

    /** What is left of it from the minute on at which all of them run. */
    private int unloaded(Place one, int from, Busy[] hands) {
        List<Piece> pieces = bench.pieces(one.work(), one.station());
        int now = from;
        for (int i = 0; i < pieces.size(); i++) {
            Piece piece = pieces.get(i);
            if (one.to()[i] > 0 || now >= end) {
                continue;
            }
            Begins.First first = when.first(piece, now, 0, hands, bench.people(one.work()));
            if (first.at() >= end) {
                return NOWHERE;
            }
            take(one, i, first.who(), first.at(), piece.over(first.at(), time), hands);
            now = one.to()[i];
        }
        return now;
    }

    /** How many a station takes at a time. */
    int room(int station) {
        return together(station) ? bench.bench().stations().get(station).holds() : 1;
    }
}
