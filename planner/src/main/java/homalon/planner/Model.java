package homalon.planner;

import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CircuitConstraint;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.IntervalVar;
import com.google.ortools.sat.LinearArgument;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import com.google.ortools.util.Domain;
import homalon.core.bench.Aim;
import homalon.core.bench.Bench;
import homalon.core.bench.Due;
import homalon.core.bench.Numbered;
import homalon.core.bench.Order;
import homalon.core.bench.Piece;
import homalon.core.bench.Placed;
import homalon.core.bench.Score;
import homalon.core.bench.Timetable;
import homalon.core.hours.OpenTime;
import homalon.core.hours.Stretch;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToIntFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A bench as a model: begins and ends of pieces, one station and for each attended piece one person of those that can be, nothing of one
 * at two works at once, on stations with changes of set-up a way through all works from the first to the last (a circuit). Every variable
 * knows its value in a timetable that is known, so that the solver begins from that.
 */
final class Model {
    /** A station, or a person for a piece, that a work may take. */
    private record Choice(int number, String name, Literal taken, boolean always) {
        /** Adds that it is not taken, where that can be. */
        void or(List<Literal> some) {
            if (!always) {
                some.add(taken.not());
            }
        }
    }

    /** What a variable is in a known timetable. */
    private record Hint(LinearArgument variable, ToIntFunction<Known> value) {}

    /** A known timetable by numbers. */
    private record Known(Numbered bench, Placed[] placed, Map<String, List<Integer>> byStation) {
        static Known of(Numbered bench, Timetable timetable) {
            Placed[] all = new Placed[bench.works()];
            timetable.placed().forEach(p -> all[bench.number(p.work())] = p);
            return new Known(bench, all, new HashMap<>());
        }

        Placed of(int work) {
            return placed[work];
        }

        /** Works on a station in their order. */
        List<Integer> on(String station) {
            return byStation.computeIfAbsent(
                    station,
                    s -> IntStream.range(0, placed.length)
                            .boxed()
                            .filter(w -> placed[w].station().equals(s))
                            .sorted(Comparator.comparingInt(w -> placed[w].from()))
                            .toList());
        }

        int end(int casting) {
            return works(casting).mapToInt(Placed::to).max().orElse(0);
        }

        int first(int casting) {
            return works(casting).mapToInt(Placed::from).min().orElse(0);
        }

        private Stream<Placed> works(int casting) {
            return IntStream.range(0, placed.length)
                    .filter(w -> bench.casting(w) == casting)
                    .mapToObj(w -> placed[w]);
        }
    }

    private final CpModel model = new CpModel();
    private final Numbered bench;
    private final OpenTime time;
    private final int end;
    private final IntVar[][] from;
    private final IntVar[][] to;
    private final @Nullable IntVar[] setUp;
    private final IntVar[] begins;
    private final IntVar[] ends;
    private final List<List<Choice>> stations = new ArrayList<>();
    private final List<List<List<Choice>>> people = new ArrayList<>();
    private final List<List<IntervalVar>> onStation = new ArrayList<>();
    private final List<List<IntervalVar>> byPerson = new ArrayList<>();
    private final List<List<IntervalVar>> ofCasting = new ArrayList<>();
    private final List<Hint> hints = new ArrayList<>();
    private final Map<Aim, LinearExpr> aims = new EnumMap<>(Aim.class);

    /** @param end after which nothing is looked for, open minutes */
    Model(Bench of, int end) {
        this.bench = new Numbered(of);
        this.time = of.time();
        this.end = end;
        int n = bench.works();
        this.from = new IntVar[n][];
        this.to = new IntVar[n][];
        this.setUp = new IntVar[n];
        this.begins = new IntVar[n];
        of.stations().forEach(s -> onStation.add(away(s.away())));
        of.people().forEach(p -> byPerson.add(away(p.away())));
        IntStream.range(0, bench.castings()).forEach(c -> ofCasting.add(new ArrayList<>()));
        for (int w = 0; w < n; w++) {
            work(w);
        }
        for (int s = 0; s < onStation.size(); s++) {
            station(s);
        }
        byPerson.forEach(model::addNoOverlap);
        ofCasting.forEach(model::addNoOverlap);
        of.orders().stream().filter(Order::must).forEach(o -> after(o, null));
        this.ends = IntStream.range(0, bench.castings()).mapToObj(this::endOf).toArray(IntVar[]::new);
        aims.put(Aim.LATE, late());
        aims.put(Aim.MOVED, moved());
        aims.put(Aim.SET_UP, setUps());
        aims.put(Aim.STANDING, standing());
    }

    CpModel model() {
        return model;
    }

    LinearExpr aim(Aim aim) {
        LinearExpr of = aims.get(aim);
        if (of == null) {
            throw new IllegalArgumentException("no such aim: " + aim);
        }
        return of;
    }

    /** All aims as one sum, by weights under which the earlier ones nearly always win; what is better is told by the score. */
    LinearExpr all() {
        return LinearExpr.weightedSum(
                new LinearArgument[] {aim(Aim.LATE), aim(Aim.MOVED), aim(Aim.SET_UP), aim(Aim.STANDING)},
                new long[] {400, 20_000, 200, 1});
    }

    private IntVar number(int most, ToIntFunction<Known> known) {
        return number(0, most, known);
    }

    private IntVar number(int least, int most, ToIntFunction<Known> known) {
        IntVar variable = model.newIntVar(least, most, "");
        hints.add(new Hint(variable, known));
        return variable;
    }

    private BoolVar truth(java.util.function.Predicate<Known> known) {
        BoolVar variable = model.newBoolVar("");
        hints.add(new Hint(variable, k -> known.test(k) ? 1 : 0));
        return variable;
    }

    private List<IntervalVar> away(List<Stretch> away) {
        List<IntervalVar> all = new ArrayList<>();
        for (Stretch s : away) {
            if (s.from() < end) {
                all.add(model.newFixedInterval(s.from(), Math.min(end, s.to()) - s.from(), ""));
            }
        }
        return all;
    }

    private IntVar last(int w) {
        return to[w][to[w].length - 1];
    }

    private void work(int w) {
        List<Choice> choices = new ArrayList<>();
        int[] own = bench.stations(w);
        for (int s : own) {
            String name = bench.bench().stations().get(s).id();
            if (own.length == 1) {
                choices.add(new Choice(s, name, model.trueLiteral(), true));
            } else {
                choices.add(new Choice(s, name, truth(k -> k.of(w).station().equals(name)), false));
            }
        }
        stations.add(choices);
        if (choices.size() > 1) {
            model.addExactlyOne(taken(choices));
        }
        pieces(w, choices);
        model.addGreaterOrEqual(from[w][0], Math.max(0, bench.work(w).earliest()));
        bench.work(w).at().ifPresent(at -> model.addEquality(from[w][0], at));
        int least = ways(own).map(s -> least(w, s)).min().orElse(0);
        IntVar held = number(least, end, k -> k.of(w).to() - k.of(w).begins());
        for (Choice choice : choices) {
            int takes = fixed(w, choice.number());
            onStation
                    .get(choice.number())
                    .add(
                            takes > 0
                                    ? model.newOptionalFixedSizeIntervalVar(begins[w], takes, choice.taken(), "")
                                    : model.newOptionalIntervalVar(begins[w], held, last(w), choice.taken(), ""));
        }
        int[] takes = ways(own).map(s -> fixed(w, s)).distinct().toArray();
        ofCasting
                .get(bench.casting(w))
                .add(
                        takes.length == 1 && takes[0] > 0
                                ? model.newFixedSizeIntervalVar(from[w][0], takes[0], "")
                                : model.newIntervalVar(
                                        from[w][0], setUp[w] == null ? held : lasts(w, least), last(w), ""));
    }

    private IntVar lasts(int w, int least) {
        return number(least, end, k -> k.of(w).to() - k.of(w).from());
    }

    /** Each station that a work may take, or none for what is done outside. */
    private static IntStream ways(int[] stations) {
        return stations.length == 0 ? IntStream.of(Numbered.NONE) : IntStream.of(stations);
    }

    /** Whether the shop closes before the end of what is looked at. */
    private boolean closes() {
        return time.stretches().get(0).minutes() < end;
    }

    /** Open minutes that a work takes there at the least: what runs by itself may run while the shop is closed. */
    private int least(int w, int station) {
        return bench.pieces(w, station).stream()
                .filter(p -> p.attended() || !closes())
                .mapToInt(Piece::minutes)
                .sum();
    }

    /** Open minutes that a work takes there whenever it begins; 0 for one of which that is not known before. The sums of a solver go by it. */
    private int fixed(int w, int station) {
        List<Piece> pieces = bench.pieces(w, station);
        boolean known = setUp[w] == null && pieces.size() == 1 && (pieces.get(0).attended() || !closes());
        return known ? pieces.get(0).minutes() : 0;
    }

    private static Literal[] taken(List<Choice> choices) {
        return choices.stream().map(Choice::taken).toArray(Literal[]::new);
    }

    private void pieces(int w, List<Choice> on) {
        List<Piece> pieces =
                bench.pieces(w, on.isEmpty() ? Numbered.NONE : on.get(0).number());
        from[w] = new IntVar[pieces.size()];
        to[w] = new IntVar[pieces.size()];
        for (int i = 0; i < pieces.size(); i++) {
            int piece = i;
            from[w][i] = number(end, k -> k.of(w).parts().get(piece).from());
            to[w][i] = number(end, k -> k.of(w).parts().get(piece).to());
            if (i > 0) {
                model.addGreaterOrEqual(from[w][i], to[w][i - 1]);
            }
            takes(w, i, on);
        }
        int longest = on.stream()
                .mapToInt(c -> bench.longest(c.number(), bench.setUp(w)))
                .max()
                .orElse(0);
        begins[w] = from[w][0];
        if (longest > 0 && bench.setUp(w) >= 0) {
            IntVar minutes = number(longest, k -> k.of(w).setUp());
            setUp[w] = minutes;
            begins[w] = number(end, k -> k.of(w).begins());
            model.addEquality(LinearExpr.sum(new LinearArgument[] {begins[w], minutes}), from[w][0]);
        }
        List<List<Choice>> hands = new ArrayList<>();
        for (int i = 0; i < pieces.size(); i++) {
            hands.add(pieces.get(i).attended() ? hands(w, i) : List.of());
        }
        people.add(hands);
    }

    /** What a piece takes, on each station that may be taken. */
    private void takes(int w, int i, List<Choice> on) {
        boolean same = on.stream()
                        .map(c -> bench.pieces(w, c.number()).get(i))
                        .distinct()
                        .count()
                <= 1;
        if (same) {
            int station = on.isEmpty() ? Numbered.NONE : on.get(0).number();
            piece(w, i, bench.pieces(w, station).get(i), null);
        } else {
            on.forEach(c -> piece(w, i, bench.pieces(w, c.number()).get(i), c.taken()));
        }
    }

    private void piece(int w, int i, Piece piece, @Nullable Literal when) {
        if (!piece.attended() && closes()) {
            alone(w, i, piece, when);
            return;
        }
        var takes = model.addEquality(to[w][i], LinearExpr.affine(from[w][i], 1, piece.minutes()));
        if (when != null) {
            takes.onlyEnforceIf(when);
        }
        if (piece.kind() == Piece.Kind.WHOLE) {
            begins(w, i, open(piece.minutes()), when);
        }
    }

    private void begins(int w, int i, Domain some, @Nullable Literal when) {
        var only = model.addLinearExpressionInDomain(from[w][i], some);
        if (when != null) {
            only.onlyEnforceIf(when);
        }
    }

    /**
     * What runs by itself ends no earlier than so many open minutes later, or runs into one closing and then ends no earlier than that or
     * so many minutes less later as that takes. The end may be later: it is put right once the begins are known. What does
     * not run at night begins only where it runs into none.
     */
    private void alone(int w, int i, Piece piece, @Nullable Literal when) {
        int minutes = piece.minutes();
        boolean byDay = piece.kind() == Piece.Kind.BY_DAY;
        if (byDay) {
            begins(w, i, domain(time.beginsByDayFor(minutes)), when);
        }
        if (minutes > shortest()) {
            throughSome(w, i, piece, when);
            return;
        }
        IntVar start = from[w][i];
        IntVar over = to[w][i];
        List<Literal> one = new ArrayList<>();
        BoolVar through =
                truth(k -> k.of(w).parts().get(i).to() >= k.of(w).parts().get(i).from() + minutes);
        model.addGreaterOrEqual(over, LinearExpr.affine(start, 1, minutes)).onlyEnforceIf(through);
        one.add(through);
        if (when != null) {
            one.add(when.not());
        }
        List<Stretch> open = time.stretches();
        int closing = 0;
        for (int c = 0; c + 1 < open.size() && closing < end; c++) {
            closing += open.get(c).minutes();
            int at = closing;
            int closed = open.get(c + 1).from() - open.get(c).to();
            if (byDay && closed >= OpenTime.NIGHT) {
                continue;
            }
            BoolVar into = truth(k -> {
                Placed.Part part = k.of(w).parts().get(i);
                return part.to() < part.from() + minutes && part.from() <= at && part.to() >= at;
            });
            model.addLessOrEqual(start, at).onlyEnforceIf(into);
            model.addGreaterOrEqual(over, at).onlyEnforceIf(into);
            model.addGreaterOrEqual(over, LinearExpr.affine(start, 1, minutes - closed))
                    .onlyEnforceIf(into);
            one.add(into);
        }
        model.addBoolOr(one);
    }

    private int shortest() {
        return time.openings().stream()
                .limit(Math.max(0, time.openings().size() - 1))
                .skip(1)
                .mapToInt(Stretch::minutes)
                .min()
                .orElse(end);
    }

    /** What may run through several closings: by the straight lines of its end. */
    private void throughSome(int w, int i, Piece piece, @Nullable Literal when) {
        List<Literal> one = new ArrayList<>();
        if (when != null) {
            one.add(when.not());
        }
        for (Alone line : Alone.of(begin -> piece.over(begin, time), end)) {
            BoolVar here = truth(k -> line.holds(k.of(w).parts().get(i).from()));
            model.addLinearConstraint(from[w][i], line.from(), line.to()).onlyEnforceIf(here);
            LinearExpr over = line.rises()
                    ? LinearExpr.affine(from[w][i], 1, line.over() - line.from())
                    : LinearExpr.constant(line.over());
            model.addGreaterOrEqual(to[w][i], over).onlyEnforceIf(here);
            one.add(here);
        }
        model.addBoolOr(one);
    }

    /** Begins from which so many minutes go before the shop closes. */
    private Domain open(int minutes) {
        return domain(time.openings().stream()
                .filter(o -> o.minutes() >= minutes)
                .map(o -> new Stretch(o.from(), o.to() - minutes + 1))
                .toList());
    }

    private static Domain domain(List<Stretch> some) {
        return Domain.fromIntervals(some.stream()
                .map(s -> new long[] {s.from(), s.to() - 1})
                .toArray(long[][]::new));
    }

    private List<Choice> hands(int w, int i) {
        List<Choice> all = new ArrayList<>();
        IntVar sets = i == 0 ? setUp[w] : null;
        boolean same = bench.stations(w).length == 0
                || IntStream.of(bench.stations(w))
                                .mapToObj(s -> bench.pieces(w, s).get(i))
                                .distinct()
                                .count()
                        == 1;
        int station = bench.stations(w).length == 0 ? Numbered.NONE : bench.stations(w)[0];
        int minutes = bench.pieces(w, station).get(i).minutes();
        IntVar size = same && sets == null
                ? null
                : number(least(w, i, bench.stations(w)), end, k -> {
                    Placed.Part part = k.of(w).parts().get(i);
                    return part.to() - part.from() + (i == 0 ? k.of(w).setUp() : 0);
                });
        IntVar start = i == 0 ? begins[w] : from[w][i];
        int[] own = bench.people(w);
        for (int p : own) {
            String name = bench.bench().people().get(p).id();
            boolean always = own.length == 1;
            Literal taken = always
                    ? model.trueLiteral()
                    : truth(k -> k.of(w).parts().get(i).person().equals(name));
            byPerson.get(p)
                    .add(
                            size == null
                                    ? model.newOptionalFixedSizeIntervalVar(start, minutes, taken, "")
                                    : model.newOptionalIntervalVar(start, size, to[w][i], taken, ""));
            all.add(new Choice(p, name, taken, always));
        }
        if (all.size() > 1) {
            model.addExactlyOne(taken(all));
        }
        return all;
    }

    private int least(int w, int piece, int[] stations) {
        return ways(stations)
                .map(s -> bench.pieces(w, s).get(piece).minutes())
                .min()
                .orElse(0);
    }

    private void after(Order order, @Nullable BoolVar unless) {
        int before = bench.number(order.before());
        int after = bench.number(order.after());
        var comes = model.addGreaterOrEqual(from[after][0], last(before));
        if (unless != null) {
            comes.onlyEnforceIf(unless.not());
        }
    }

    private void station(int s) {
        List<Integer> own = new ArrayList<>();
        List<Choice> when = new ArrayList<>();
        for (int w = 0; w < bench.works(); w++) {
            for (Choice choice : stations.get(w)) {
                if (choice.number() == s) {
                    own.add(w);
                    when.add(choice);
                }
            }
        }
        if (bench.bench().stations().get(s).together()) {
            together(s, own, when);
            return;
        }
        model.addNoOverlap(onStation.get(s));
        if (own.stream().anyMatch(w -> bench.setUp(w) >= 0 && bench.longest(s, bench.setUp(w)) > 0)) {
            inTurn(s, own, when);
        } else {
            for (int i = 0; i < own.size(); i++) {
                setUpIs(own.get(i), 0, when.get(i).taken());
            }
        }
    }

    private void setUpIs(int w, int minutes, Literal when) {
        IntVar own = setUp[w];
        if (own != null) {
            model.addEquality(own, minutes).onlyEnforceIf(when);
        }
    }

    /** From nothing through every work that is done on it back to nothing; each is set up for after the one before it. */
    private void inTurn(int s, List<Integer> own, List<Choice> when) {
        String name = bench.bench().stations().get(s).id();
        CircuitConstraint circuit = model.addCircuit();
        circuit.addArc(0, 0, truth(k -> k.on(name).isEmpty()));
        for (int i = 0; i < own.size(); i++) {
            int w = own.get(i);
            if (!when.get(i).always()) {
                circuit.addArc(i + 1, i + 1, when.get(i).taken().not());
            }
            BoolVar first = truth(k -> k.on(name).indexOf(w) == 0);
            circuit.addArc(0, i + 1, first);
            setUpIs(w, bench.change(s, bench.setUpNow(s), bench.setUp(w)), first);
            circuit.addArc(
                    i + 1,
                    0,
                    truth(k -> k.of(w).station().equals(name)
                            && k.on(name).indexOf(w) == k.on(name).size() - 1));
            for (int j = 0; j < own.size(); j++) {
                int other = own.get(j);
                if (i != j && bench.casting(w) != bench.casting(other)) {
                    BoolVar next = truth(k -> k.of(w).station().equals(name)
                            && k.on(name).indexOf(other) == k.on(name).indexOf(w) + 1);
                    circuit.addArc(i + 1, j + 1, next);
                    model.addGreaterOrEqual(begins[other], last(w)).onlyEnforceIf(next);
                    setUpIs(other, bench.change(s, bench.setUp(w), bench.setUp(other)), next);
                }
            }
        }
    }

    /** Two at once only for the same, run from the same minute on; no more than go in. */
    private void together(int s, List<Integer> own, List<Choice> when) {
        List<IntervalVar> all = onStation.get(s);
        int down = all.size() - own.size();
        for (IntervalVar away : all.subList(0, down)) {
            all.subList(down, all.size()).forEach(i -> model.addNoOverlap(List.of(away, i)));
        }
        List<LinearExprBuilder> with = new ArrayList<>();
        own.forEach(w -> with.add(LinearExpr.newBuilder()));
        for (int i = 0; i < own.size(); i++) {
            int a = own.get(i);
            setUpIs(a, 0, when.get(i).taken());
            for (int j = i + 1; j < own.size(); j++) {
                int b = own.get(j);
                BoolVar before = truth(k -> k.of(a).to() <= k.of(b).from());
                BoolVar after = truth(k -> k.of(b).to() <= k.of(a).from());
                List<Literal> one = new ArrayList<>(List.of(before, after));
                when.get(i).or(one);
                when.get(j).or(one);
                model.addGreaterOrEqual(from[b][0], last(a)).onlyEnforceIf(before);
                model.addGreaterOrEqual(from[a][0], last(b)).onlyEnforceIf(after);
                if (bench.setUp(a) == bench.setUp(b) && bench.casting(a) != bench.casting(b)) {
                    int p = runs(a, s);
                    int q = runs(b, s);
                    BoolVar at = truth(k -> k.of(a).to() > k.of(b).from()
                            && k.of(b).to() > k.of(a).from());
                    model.addEquality(from[a][p], from[b][q]).onlyEnforceIf(at);
                    with.get(i).add(at);
                    with.get(j).add(at);
                    one.add(at);
                }
                model.addBoolOr(one);
            }
        }
        int holds = bench.bench().stations().get(s).holds();
        with.forEach(sum -> model.addLessOrEqual(sum.build(), holds - 1));
    }

    /** The piece from which on it runs by itself. */
    private int runs(int w, int s) {
        List<Piece> pieces = bench.pieces(w, s);
        for (int i = 0; i < pieces.size(); i++) {
            if (!pieces.get(i).attended()) {
                return i;
            }
        }
        return 0;
    }

    private IntStream worksOf(int casting) {
        return IntStream.range(0, bench.works()).filter(w -> bench.casting(w) == casting);
    }

    private IntVar endOf(int casting) {
        IntVar over = number(end, k -> k.end(casting));
        worksOf(casting).forEach(w -> model.addGreaterOrEqual(over, last(w)));
        return over;
    }

    private LinearExpr late() {
        LinearExprBuilder sum = LinearExpr.newBuilder();
        for (int c = 0; c < ends.length; c++) {
            int casting = c;
            Due due = bench.due(c);
            due.promised().ifPresent(at -> sum.addTerm(past(casting, at), (long) Due.PROMISE * due.weight()));
            due.wanted().ifPresent(at -> sum.addTerm(past(casting, at), due.weight()));
        }
        return sum.build();
    }

    private IntVar past(int casting, int due) {
        IntVar late = number(end, k -> Math.max(0, k.end(casting) - due));
        model.addGreaterOrEqual(late, LinearExpr.affine(ends[casting], 1, -due));
        return late;
    }

    private LinearExpr moved() {
        LinearExprBuilder sum = LinearExpr.newBuilder();
        for (Placed told : bench.bench().told()) {
            int w = bench.number(told.work());
            if (w >= 0 && told.from() < bench.bench().soon()) {
                sum.add(moved(w, told));
            }
        }
        return sum.build();
    }

    private BoolVar moved(int w, Placed told) {
        BoolVar moved = truth(k -> Score.moved(told, k.of(w)));
        model.addLinearConstraint(from[w][0], told.from() - Score.NEAR, told.from() + Score.NEAR)
                .onlyEnforceIf(moved.not());
        if (!stations.get(w).isEmpty() || !told.station().isEmpty()) {
            model.addImplication(moved.not(), named(stations.get(w), told.station()));
        }
        people.get(w).stream()
                .filter(p -> !p.isEmpty())
                .findFirst()
                .ifPresent(p -> model.addImplication(moved.not(), named(p, told.person())));
        return moved;
    }

    private Literal named(List<Choice> choices, String name) {
        return choices.stream()
                .filter(c -> c.name().equals(name))
                .map(Choice::taken)
                .findFirst()
                .orElse(model.falseLiteral());
    }

    private LinearExpr setUps() {
        LinearExprBuilder sum = LinearExpr.newBuilder();
        for (IntVar minutes : setUp) {
            if (minutes != null) {
                sum.add(minutes);
            }
        }
        return sum.build();
    }

    private LinearExpr standing() {
        LinearExprBuilder sum = LinearExpr.newBuilder();
        for (int c = 0; c < ends.length; c++) {
            int casting = c;
            sum.addTerm(ends[c], 2);
            IntVar first = number(end, k -> k.first(casting));
            model.addMinEquality(first, worksOf(c).mapToObj(w -> from[w][0]).toArray(LinearArgument[]::new));
            sum.addTerm(first, -1);
        }
        for (Order order : bench.bench().orders()) {
            if (!order.must()) {
                int before = bench.number(order.before());
                int after = bench.number(order.after());
                BoolVar broken = truth(k -> k.of(before).to() > k.of(after).from());
                after(order, broken);
                sum.addTerm(broken, Score.BETTER);
            }
        }
        return sum.build();
    }

    /** Tells the solver of a timetable that is known. */
    void hint(Timetable timetable) {
        Known known = Known.of(bench, timetable);
        model.clearHints();
        for (Hint hint : hints) {
            int value = hint.value().applyAsInt(known);
            if (hint.variable() instanceof BoolVar truth) {
                model.addHint(truth, value > 0);
            } else if (hint.variable() instanceof IntVar number) {
                model.addHint(number, value);
            }
        }
    }

    /** The timetable that was found; what runs by itself ends when it is over. */
    Timetable read(CpSolver solver) {
        List<Placed> all = new ArrayList<>();
        for (int w = 0; w < bench.works(); w++) {
            String station = taken(solver, stations.get(w));
            int work = w;
            List<Piece> pieces = bench.pieces(
                    w,
                    stations.get(w).stream()
                            .filter(c -> c.name().equals(station))
                            .map(Choice::number)
                            .findFirst()
                            .orElse(Numbered.NONE));
            List<Placed.Part> parts = new ArrayList<>();
            for (int i = 0; i < pieces.size(); i++) {
                int begin = (int) solver.value(from[w][i]);
                int over = pieces.get(i).over(begin, time);
                parts.add(new Placed.Part(taken(solver, people.get(work).get(i)), begin, over));
            }
            IntVar own = setUp[w];
            all.add(new Placed(bench.work(w).id(), station, own == null ? 0 : (int) solver.value(own), parts));
        }
        return new Timetable(all);
    }

    private static String taken(CpSolver solver, List<Choice> choices) {
        if (choices.size() == 1) {
            return choices.get(0).name();
        }
        return choices.stream()
                .filter(c -> solver.booleanValue(c.taken()))
                .map(Choice::name)
                .findFirst()
                .orElse("");
    }
}
