package homalon.core.route;

import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.DirectedAcyclicGraph;
import org.jgrapht.traverse.TopologicalOrderIterator;

/**
 * The route of one casting: what was done, what is owed now, what will be owed once the work that stands open is done, and what
 * has to come before what. A need is met only by what is done <em>after</em> it arose, so a test made before a repair is owed
 * again after it. Grown anew from the events each time; nobody types it.
 */
public final class Route {
    /** Where a step stands. */
    public enum State {
        DONE,
        /** Someone answers for leaving it out. */
        WAIVED,
        /** Nothing that must come before it is open. */
        DUE,
        /** Something that must come before it is open. */
        WAITS
    }

    /**
     * One step.
     *
     * @param because why it is there, in the rules' words; for what was waived, who answers and why
     * @param layer how many steps come before it on the longest way, for drawing
     */
    public record Step(int id, Operation operation, State state, List<Message> because, int layer) {}

    /** One step comes before another. */
    public record Before(int from, int to, Strength strength, Message because) {}

    private record Node(
            int id, Operation operation, State state, int from, Set<Message> because, Optional<Operation> once) {}

    private final List<Node> nodes = new ArrayList<>();
    private final List<Before> edges = new ArrayList<>();
    private final DirectedAcyclicGraph<Integer, DefaultEdge> graph = new DirectedAcyclicGraph<>(DefaultEdge.class);
    private final List<Event> events;
    private final RouteRules.InForce rules;
    private final Set<Finding> known;
    private final Optional<Event.Stopped> stopped;
    private final Map<Operation, Integer> lastMet = new EnumMap<>(Operation.class);
    private final List<Step> steps;

    private Route(List<Event> events, RouteRules.InForce rules) {
        this.rules = rules;
        this.events = left(events, rules);
        this.stopped = stopped(events);
        this.known = known(this.events);
        for (Operation operation : Operation.values()) {
            lastMet.put(operation, lastMet(this.events, operation));
        }
        past();
        open();
        later();
        nodes.forEach(n -> graph.addVertex(n.id()));
        owedAfter();
        order();
        this.steps = layered();
    }

    /** @param events in the order in which they happened */
    public static Route of(List<Event> events) {
        return of(events, RouteRules.ALL);
    }

    /** @param rules that the shop goes by */
    public static Route of(List<Event> events, RouteRules.InForce rules) {
        return new Route(events, rules);
    }

    /** What a casting leaves with even where it goes no further. */
    private static final Set<Operation> LEAVES_WITH = EnumSet.of(Operation.OIL_AND_BAG, Operation.HAND_OVER);

    /** Where it is stopped, all that is open is left out, each by itself, whenever it was found. */
    private static List<Event> left(List<Event> events, RouteRules.InForce rules) {
        List<Event> all = new ArrayList<>(
                events.stream().filter(e -> !(e instanceof Event.Stopped)).toList());
        stopped(events)
                .ifPresent(stop -> of(List.copyOf(all), rules).openSteps().stream()
                        .map(Step::operation)
                        .filter(o -> !LEAVES_WITH.contains(o))
                        .distinct()
                        .forEach(o -> all.add(new Event.Waived(o, stop.who(), stop.why()))));
        return all;
    }

    private static Optional<Event.Stopped> stopped(List<Event> events) {
        return events.stream()
                .flatMap(e -> e instanceof Event.Stopped s ? Stream.of(s) : Stream.empty())
                .reduce((a, b) -> b);
    }

    /** Whether it goes no further. */
    public boolean isStopped() {
        return stopped.isPresent();
    }

    /** Every step, each after all that comes before it. */
    public List<Step> steps() {
        return steps;
    }

    public List<Before> edges() {
        return edges;
    }

    /** The edges that no longer way says already: what a drawing needs. */
    public List<Before> drawn() {
        return edges.stream()
                .filter(e -> edges.stream()
                        .noneMatch(o -> o.from() == e.from()
                                && o.to() != e.to()
                                && graph.getDescendants(o.to()).contains(e.to())))
                .toList();
    }

    /** What is not done and not waived, in an order in which it can be done. */
    public List<Step> openSteps() {
        return steps.stream()
                .filter(s -> s.state() == State.DUE || s.state() == State.WAITS)
                .toList();
    }

    /** Checks that work which was done has made owed, and suspicions that were not settled: nothing leaves on their account. */
    public List<Operation> owed() {
        return openSteps().stream()
                .filter(s -> s.operation().isCheck() && node(s.id()).once().isEmpty())
                .filter(s -> s.operation() == Operation.PRESSURE_TEST || afterWork(s.operation()))
                .map(Step::operation)
                .distinct()
                .toList();
    }

    private boolean afterWork(Operation check) {
        for (int i = 0; i < events.size(); i++) {
            if (events.get(i) instanceof Event.Did did
                    && owed(did.operation(), check).isPresent()
                    && !metAfter(check, i)) {
                return true;
            }
        }
        return false;
    }

    public boolean wasDone(Operation operation) {
        return steps.stream().anyMatch(s -> s.operation() == operation && s.state() == State.DONE);
    }

    /** The last that became of it is that somebody answers for leaving it out. */
    public boolean isWaived(Operation operation) {
        return steps.stream()
                .filter(s -> s.operation() == operation)
                .reduce((a, b) -> b)
                .filter(s -> s.state() == State.WAIVED)
                .isPresent();
    }

    /** What a step does. */
    public Operation operation(int id) {
        return node(id).operation();
    }

    /** The open step of that operation which comes first; empty when none is open. */
    public Optional<Step> open(Operation operation) {
        return openSteps().stream().filter(s -> s.operation() == operation).findFirst();
    }

    /** What is open and comes before a step. */
    public List<Before> comesBefore(Step step) {
        return edges.stream()
                .filter(e -> e.to() == step.id() && isOpen(node(e.from())))
                .sorted(Comparator.comparingInt(e -> place(e.from())))
                .toList();
    }

    /**
     * What is open and comes before an operation done now, whether or not that operation stands in the route itself. A check that
     * will be owed by work to come may be made before that work as well: looking again is always allowed, and owed again after.
     */
    public List<Before> inTheWay(Operation asked) {
        // Where it is cut in stages, who cuts now makes the reference cut.
        Operation operation =
                asked == Operation.CUT && open(Operation.REFERENCE_CUT).isPresent() ? Operation.REFERENCE_CUT : asked;
        Optional<Step> step = openSteps().stream()
                .filter(s -> s.operation() == operation)
                .filter(s -> !operation.isCheck() || node(s.id()).once().isEmpty())
                .findFirst();
        if (step.isPresent()) {
            return comesBefore(step.get());
        }
        List<Before> found = new ArrayList<>();
        for (RouteRules.Order rule : rules.order()) {
            if (!holds(rule)) {
                continue;
            }
            nodes.stream()
                    .filter(n -> rule.after() == operation && n.operation() == rule.before())
                    .filter(n -> isOpen(n) && n.once().isEmpty())
                    .forEach(n -> found.add(new Before(n.id(), -1, rule.strength(), rule.because())));
        }
        return found;
    }

    /**
     * What must be done before something else.
     *
     * @param first that must be done
     * @param because why
     */
    public record Against(Operation first, Message because) {
        public Message words() {
            return Message.of("route.first", first.words(), because);
        }

        /** With who may lift it: the owner a check, whoever would do it work. */
        public Message sentence() {
            return Message.of("text.beside", words(), lifted());
        }

        private Message lifted() {
            if (first == Operation.CHOICE) {
                return Message.of("route.the-choice-is-written-down-under-estimate");
            }
            return first.isCheck()
                    ? Message.of("route.the-owner-may-leave-that-out-on-the")
                    : Message.of("route.on-the-route-it-can-be-left-out-with-a");
        }
    }

    /** Why it must not be done now; empty when it may. */
    public Optional<Against> standsAgainst(Operation operation) {
        boolean work = !operation.isCheck() && !LEAVES_WITH.contains(operation) && operation != Operation.CLEAN;
        if (stopped.isPresent() && work) {
            return stopped.map(s -> new Against(Operation.CHOICE, s.why()));
        }
        return inTheWay(operation).stream()
                .filter(b -> b.strength() == Strength.MUST)
                .findFirst()
                .map(b -> new Against(node(b.from()).operation(), b.because()));
    }

    /** The same in words. */
    public Optional<Message> refusal(Operation operation) {
        return standsAgainst(operation).map(Against::words);
    }

    /** What it risks to do it now, in words. */
    public List<Message> warnings(Operation operation) {
        return inTheWay(operation).stream()
                .filter(b -> b.strength() == Strength.BETTER)
                .map(b -> Message.of(
                        "route.better-first", node(b.from()).operation().words(), b.because()))
                .distinct()
                .toList();
    }

    /** Where a step stands in an order in which all can be done. */
    private int place(int id) {
        return steps.stream().map(Step::id).toList().indexOf(id);
    }

    private static boolean isOpen(Node n) {
        return n.state() == State.DUE || n.state() == State.WAITS;
    }

    private Node node(int id) {
        return nodes.get(id);
    }

    private Node add(Operation operation, State state, int from, Set<Message> because, Optional<Operation> once) {
        Node node = new Node(nodes.size(), operation, state, from, because, once);
        nodes.add(node);
        return node;
    }

    private void past() {
        for (int i = 0; i < events.size(); i++) {
            if (events.get(i) instanceof Event.Did did) {
                add(did.operation(), State.DONE, i, reasons(), Optional.empty());
            } else if (events.get(i) instanceof Event.Waived waived) {
                add(
                        waived.operation(),
                        State.WAIVED,
                        i,
                        reasons(Message.of("text.colon", waived.who(), waived.why())),
                        Optional.empty());
            }
        }
    }

    /** In an order of their own, so that it does not tell which was found first. */
    private static Set<Message> reasons(Message... first) {
        Set<Message> reasons = new TreeSet<>(Comparator.comparing(Message::toString));
        reasons.addAll(List.of(first));
        return reasons;
    }

    /** Needs that nothing has met since they arose; those for one operation are one step. */
    private void open() {
        for (Operation operation : Operation.values()) {
            Set<Message> because = reasons();
            int last = -2;
            for (RouteRules.Always rule : RouteRules.ALWAYS) {
                if (rule.operation() == operation && !metAfter(operation, -1)) {
                    because.add(rule.because());
                    last = Math.max(last, -1);
                }
            }
            for (int i = 0; i < events.size(); i++) {
                if (!metAfter(operation, i)) {
                    List<Message> why = needs(operation, i);
                    because.addAll(why);
                    last = why.isEmpty() ? last : i;
                }
            }
            if (last > -2) {
                add(operation, State.DUE, last, because, Optional.empty());
            }
        }
    }

    /** Something has met a need for it, or somebody answers for it, after that event. */
    private boolean metAfter(Operation operation, int event) {
        return lastMet.getOrDefault(operation, -1) > event;
    }

    private static int lastMet(List<Event> events, Operation operation) {
        for (int i = events.size() - 1; i >= 0; i--) {
            Event e = events.get(i);
            if ((e instanceof Event.Did did && RouteRules.meets(did.operation(), operation))
                    || (e instanceof Event.Waived waived && waived.operation() == operation)) {
                return i;
            }
        }
        return -1;
    }

    /** Why an event asks for an operation; empty when it does not. */
    private List<Message> needs(Operation operation, int event) {
        Event e = events.get(event);
        if (e instanceof Event.Found found) {
            return rules.makes().stream()
                    .filter(r -> r.finding() == found.finding() && r.operation() == operation)
                    .map(r -> Message.of("text.colon", found.finding().words(), r.because()))
                    .toList();
        }
        if (e instanceof Event.Did did) {
            return owed(did.operation(), operation).map(Route::said).stream().toList();
        }
        boolean asked = e instanceof Event.Added added && added.operation() == operation;
        return asked ? List.of(Message.of("route.asked-for-at-the-bench")) : List.of();
    }

    private static Message said(RouteRules.Owes rule) {
        return Message.of("route.after", rule.work().after(), rule.because());
    }

    private Optional<RouteRules.Owes> owed(Operation work, Operation then) {
        for (RouteRules.Owes r : RouteRules.owes(work)) {
            if (r.then() == then
                    && (r.onlyWith().isEmpty() || known.contains(r.onlyWith().get()))) {
                return Optional.of(r);
            }
        }
        return Optional.empty();
    }

    private static Set<Finding> known(List<Event> events) {
        Set<Finding> all = EnumSet.noneOf(Finding.class);
        for (Event e : events) {
            if (e instanceof Event.Found found) {
                all.add(found.finding());
            }
        }
        return all;
    }

    /** What will be owed when open work is done; not once more where it is open anyway and has to wait for that work. */
    private void later() {
        for (int k = 0; k < nodes.size(); k++) {
            Node w = nodes.get(k);
            if (!isOpen(w)) {
                continue;
            }
            for (Operation then : Operation.values()) {
                Optional<Message> why = owed(w.operation(), then).map(Route::said);
                if (why.isEmpty()) {
                    continue;
                }
                Optional<Node> standing = nodes.stream()
                        .filter(n ->
                                n.operation() == then && isOpen(n) && n.once().isEmpty())
                        .filter(n -> ordered(w.operation(), then))
                        .findFirst();
                if (standing.isPresent()) {
                    standing.get().because().add(why.get());
                } else if (nodes.stream()
                        .noneMatch(n ->
                                n.operation() == then && isOpen(n) && n.once().equals(Optional.of(w.operation())))) {
                    add(then, State.WAITS, events.size() + k, reasons(why.get()), Optional.of(w.operation()));
                }
            }
        }
    }

    /** A rule lets the one come before the other by itself. */
    private boolean ordered(Operation before, Operation after) {
        return rules.order().stream().anyMatch(r -> r.before() == before && r.after() == after);
    }

    private boolean ordered(Operation before, Operation after, Strength atLeast) {
        return rules.order().stream()
                .anyMatch(r -> r.before() == before
                        && r.after() == after
                        && (r.strength() == Strength.MUST || atLeast == Strength.BETTER));
    }

    private void owedAfter() {
        for (Node n : List.copyOf(nodes)) {
            if (n.state() == State.DONE) {
                int i = n.from();
                nodes.stream()
                        .filter(c -> (c.from() > i && c.state() == State.DONE)
                                || (isOpen(c) && c.once().isEmpty()))
                        .filter(c -> owed(n.operation(), c.operation()).isPresent())
                        .collect(Collectors.groupingBy(Node::operation, TreeMap::new, Collectors.toList()))
                        .values()
                        .forEach(those -> those.stream()
                                .min(Comparator.comparingInt(
                                        c -> c.state() == State.DONE ? c.from() : Integer.MAX_VALUE))
                                .ifPresent(c -> edge(
                                        n,
                                        c,
                                        Strength.MUST,
                                        owed(n.operation(), c.operation())
                                                .orElseThrow()
                                                .because())));
            } else if (isOpen(n)) {
                nodes.stream()
                        .filter(c -> c.once().equals(Optional.of(n.operation())))
                        .forEach(c -> edge(
                                n,
                                c,
                                Strength.MUST,
                                owed(n.operation(), c.operation()).orElseThrow().because()));
            }
        }
    }

    /** The strict rules first: where a check is owed again after work, it cannot come before that work as well. */
    private void order() {
        for (Strength strength : Strength.values()) {
            for (RouteRules.Order rule : rules.order()) {
                if (rule.strength() == strength && holds(rule)) {
                    nodes.stream().filter(n -> n.operation() == rule.after()).forEach(after -> before(rule, after));
                }
            }
        }
        for (Node n : nodes) {
            if (n.operation() == Operation.HAND_OVER && isOpen(n)) {
                nodes.stream()
                        .filter(o -> isOpen(o) && !o.equals(n))
                        // What leads to something else that is open comes before the hand-over by that.
                        .filter(o -> edges.stream()
                                .noneMatch(e -> e.from() == o.id() && isOpen(node(e.to())) && e.to() != n.id()))
                        .toList()
                        .forEach(o ->
                                edge(o, n, Strength.MUST, Message.of("route.it-is-owed-before-the-casting-leaves")));
            }
        }
    }

    private boolean holds(RouteRules.Order rule) {
        return rule.onlyWith().isEmpty()
                || nodes.stream().anyMatch(n -> n.operation() == rule.onlyWith().get());
    }

    private void before(RouteRules.Order rule, Node after) {
        List<Node> before = nodes.stream()
                .filter(n -> n.operation() == rule.before() && comesBefore(n, after, rule.strength()))
                .toList();
        List<Node> open = before.stream().filter(Route::isOpen).toList();
        List<Node> drawn = open.isEmpty()
                ? before.stream().max(Comparator.comparingInt(Node::from)).stream()
                        .toList()
                : open;
        drawn.forEach(n -> edge(n, after, rule.strength(), rule.because()));
    }

    private boolean comesBefore(Node n, Node after, Strength strength) {
        if (!isOpen(n)) {
            return isOpen(after) || n.from() < after.from();
        }
        if (!isOpen(after) || graph.getAncestors(n.id()).contains(after.id())) {
            return false;
        }
        // A check that only work to come will make owed holds up what that work itself comes before, and nothing beside
        // it.
        return n.once().isEmpty() || ordered(n.once().get(), after.operation(), strength);
    }

    private void edge(Node from, Node to, Strength strength, Message because) {
        if (from.id() != to.id() && graph.getEdge(from.id(), to.id()) == null) {
            graph.addEdge(from.id(), to.id());
            edges.add(new Before(from.id(), to.id(), strength, because));
        }
    }

    private List<Step> layered() {
        int[] layer = new int[nodes.size()];
        List<Step> all = new ArrayList<>();
        var walk = new TopologicalOrderIterator<>(
                graph,
                Comparator.comparingInt((Integer id) -> node(id).from()).thenComparing(id -> node(id).operation()));
        while (walk.hasNext()) {
            int id = walk.next();
            Node n = node(id);
            boolean waits = false;
            for (Before b : edges) {
                if (b.to() == id) {
                    layer[id] = Math.max(layer[id], layer[b.from()] + 1);
                    waits |= b.strength() == Strength.MUST && isOpen(node(b.from()));
                }
            }
            State state = isOpen(n) ? waits ? State.WAITS : State.DUE : n.state();
            all.add(new Step(id, n.operation(), state, List.copyOf(n.because()), layer[id]));
        }
        return List.copyOf(all);
    }
}
