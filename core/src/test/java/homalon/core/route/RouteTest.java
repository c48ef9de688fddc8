package homalon.core.route;

import static homalon.core.route.Operation.*;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.words.English;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class RouteTest {
    private static Event did(Operation operation) {
        return new Event.Did(operation);
    }

    private static Event found(Finding finding) {
        return new Event.Found(finding);
    }

    private static List<Operation> open(Route route) {
        return route.openSteps().stream().map(Route.Step::operation).toList();
    }

    private static Route.State state(Route route, Operation operation) {
        return route.open(operation).orElseThrow().state();
    }

    @Test
    void aFreshCastingIsCleanedThenLookedAtThenMeasured() {
        Route route = Route.of(List.of());
        assertEquals(List.of(CLEAN, CRACK_CHECK, FACE_CHECK, OIL_AND_BAG, HAND_OVER), open(route));
        assertEquals(List.of(), route.owed(), "nothing was done that would make a check owed");
        assertEquals(Route.State.DUE, state(route, CLEAN));
        assertEquals(Route.State.WAITS, state(route, CRACK_CHECK));
        assertEquals(
                "First clean: a crack under dirt is not seen.",
                English.of(route.refusal(CRACK_CHECK)).orElseThrow());
        // The face may be read at once, at a risk that is named.
        assertTrue(English.of(route.refusal(FACE_CHECK)).isEmpty());
        assertTrue(English.of(route.warnings(FACE_CHECK)).get(0).startsWith("Better crack check first"));
    }

    /** Iron, cracked between the seats: pins, test, insert, test again; nothing goes out between. */
    @Test
    void aCrackBetweenSeatsIsTestedTwice() {
        List<Event> events = new ArrayList<>(
                List.of(did(CLEAN), found(Finding.CRACK_BETWEEN_SEATS), did(CRACK_CHECK), did(FACE_CHECK)));
        assertEquals(
                List.of(STITCH, PRESSURE_TEST, INSERT, CRACK_CHECK, PRESSURE_TEST, OIL_AND_BAG, HAND_OVER),
                open(Route.of(events)));
        events.add(did(STITCH));
        Route pinned = Route.of(events);
        assertEquals(Route.State.DUE, state(pinned, PRESSURE_TEST));
        assertEquals(1, English.of(pinned.warnings(INSERT)).size());
        events.addAll(List.of(did(PRESSURE_TEST), did(INSERT)));
        Route inserted = Route.of(events);
        assertEquals(List.of(CRACK_CHECK, PRESSURE_TEST), inserted.owed());
        assertEquals(List.of(CRACK_CHECK, PRESSURE_TEST, OIL_AND_BAG, HAND_OVER), open(inserted));
        assertTrue(English.of(inserted.open(PRESSURE_TEST).orElseThrow().because())
                .get(0)
                .contains("counterbore"));
        events.addAll(List.of(did(CRACK_CHECK), did(PRESSURE_TEST)));
        assertEquals(List.of(OIL_AND_BAG, HAND_OVER), open(Route.of(events)));
    }

    @Test
    void aBentLineIsStraightenedAndMeasuredAgainBeforeTheFaceIsCut() {
        List<Event> events = new ArrayList<>(List.of(
                did(CLEAN), did(CRACK_CHECK), found(Finding.MAY_BE_BENT), found(Finding.FACE_OUT), did(FACE_CHECK)));
        assertTrue(English.of(Route.of(events).refusal(CUT)).isPresent());
        events.addAll(List.of(found(Finding.LINE_BENT), did(LINE_CHECK)));
        Route bent = Route.of(events);
        assertEquals(
                "First straighten: skimmed while bent, it binds for good.",
                English.of(bent.refusal(CUT_PLAN)).orElseThrow());
        assertEquals(
                List.of(STRAIGHTEN, CRACK_CHECK, LINE_CHECK, FACE_CHECK, CUT_PLAN, CUT, PROOF, OIL_AND_BAG, HAND_OVER),
                open(bent).stream()
                        .sorted(java.util.Comparator.comparingInt(List.of(
                                STRAIGHTEN,
                                CRACK_CHECK,
                                LINE_CHECK,
                                FACE_CHECK,
                                CUT_PLAN,
                                CUT,
                                PROOF,
                                OIL_AND_BAG,
                                HAND_OVER)::indexOf))
                        .toList());
        events.add(did(STRAIGHTEN));
        // A plan may be made from whatever was read, and says what it lacks.
        assertEquals(Set.of(CRACK_CHECK, LINE_CHECK, FACE_CHECK, CUT_PLAN), due(Route.of(events)));
        assertTrue(English.of(Route.of(events).warnings(CUT_PLAN)).stream()
                .anyMatch(w -> w.startsWith("Better face check")));
    }

    /** Each work that is open will owe its own test; a check that no work made owed is not owed on its account. */
    @Test
    void eachWorkOwesItsOwnCheck() {
        List<Event> events = List.of(
                did(CLEAN),
                found(Finding.CRACK_TO_STITCH),
                found(Finding.CRACK_TO_WELD),
                did(CRACK_CHECK),
                did(FACE_CHECK));
        Route both = Route.of(events);
        assertEquals(2, open(both).stream().filter(PRESSURE_TEST::equals).count());
        assertEquals(
                List.of(),
                Route.of(List.of(did(CLEAN), did(STITCH))).owed().stream()
                        .filter(o -> o == FACE_CHECK || o == CRACK_CHECK)
                        .toList());
        assertEquals(
                List.of(PRESSURE_TEST),
                Route.of(List.of(did(CLEAN), did(CRACK_CHECK), did(STITCH))).owed());
    }

    /** What was done and then proven is drawn as such, once: by the first proof after it. */
    @Test
    void workThatWasProvenIsDrawnBeforeItsProof() {
        Route route = Route.of(List.of(did(CLEAN), did(CRACK_CHECK), did(PROOF), did(CUT), did(PROOF), did(PROOF)));
        List<Integer> proofs = route.steps().stream()
                .filter(s -> s.operation() == PROOF)
                .map(Route.Step::id)
                .sorted()
                .toList();
        int cut = route.steps().stream()
                .filter(s -> s.operation() == CUT)
                .findFirst()
                .orElseThrow()
                .id();
        assertEquals(
                List.of(proofs.get(1)),
                route.edges().stream()
                        .filter(e -> e.from() == cut && proofs.contains(e.to()))
                        .map(Route.Before::to)
                        .toList());
        Route open = Route.of(List.of(did(CLEAN), did(CUT)));
        Route.Step proof = open.open(PROOF).orElseThrow();
        assertTrue(open.edges().stream().anyMatch(e -> open.operation(e.from()) == CUT && e.to() == proof.id()));
    }

    @Test
    void whatIsWaivedIsNamedAndNotOwedUntilItIsMadeAnew() {
        List<Event> events = new ArrayList<>(
                List.of(did(STITCH), new Event.Waived(PRESSURE_TEST, "Marit", "no plates for this head")));
        Route route = Route.of(events);
        assertTrue(route.open(PRESSURE_TEST).isEmpty());
        Route.Step waived = route.steps().stream()
                .filter(s -> s.state() == Route.State.WAIVED)
                .findFirst()
                .orElseThrow();
        assertEquals(List.of("Marit: no plates for this head"), English.of(waived.because()));
        events.add(did(INSERT));
        assertTrue(Route.of(events).open(PRESSURE_TEST).isPresent());
    }

    private static Set<Operation> due(Route route) {
        return route.openSteps().stream()
                .filter(s -> s.state() == Route.State.DUE)
                .map(Route.Step::operation)
                .collect(Collectors.toSet());
    }

    static Stream<RouteRules.Makes> makes() {
        return RouteRules.MAKES.stream();
    }

    @ParameterizedTest
    @MethodSource("makes")
    void everyFindingMakesItsWork(RouteRules.Makes rule) {
        Route route = Route.of(List.of(found(rule.finding())));
        Route.Step made = route.open(rule.operation()).orElseThrow();
        assertTrue(
                English.of(made.because()).stream().anyMatch(b -> b.endsWith(English.of(rule.because()))),
                made::toString);
        assertTrue(Route.of(List.of(found(rule.finding()), did(rule.operation()))).openSteps().stream()
                .filter(s -> s.operation() == rule.operation())
                .noneMatch(
                        s -> English.of(s.because()).stream().anyMatch(b -> b.endsWith(English.of(rule.because())))));
    }

    static Stream<RouteRules.Owes> owes() {
        return RouteRules.OWES.stream();
    }

    @ParameterizedTest
    @MethodSource("owes")
    void everyWorkMakesItsCheckOwedThoughItWasMadeBefore(RouteRules.Owes rule) {
        List<Event> events = new ArrayList<>();
        rule.onlyWith().ifPresent(f -> events.add(found(f)));
        events.addAll(List.of(did(rule.then()), did(rule.work())));
        Route.Step owed = Route.of(events).open(rule.then()).orElseThrow();
        assertTrue(
                English.of(owed.because()).stream().anyMatch(b -> b.endsWith(English.of(rule.because()))),
                owed::toString);
        events.add(did(rule.then()));
        assertTrue(Route.of(events).open(rule.then()).isEmpty());
    }

    static Stream<RouteRules.Order> order() {
        return RouteRules.ORDER.stream();
    }

    @ParameterizedTest
    @MethodSource("order")
    void everyOrderHoldsWhereBothAreAskedFor(RouteRules.Order rule) {
        List<Event> events = new ArrayList<>(List.of(new Event.Added(rule.after()), new Event.Added(rule.before())));
        rule.onlyWith().ifPresent(o -> events.addAll(List.of(new Event.Added(o), did(o))));
        Route route = Route.of(events);
        int before = route.open(rule.before()).orElseThrow().id();
        int after = route.open(rule.after()).orElseThrow().id();
        assertTrue(route.edges().stream()
                .anyMatch(e -> e.from() == before && e.to() == after && e.strength() == rule.strength()));
        if (rule.before() == Operation.REFERENCE_CUT && rule.after() == Operation.CUT) {
            assertTrue(
                    English.of(route.refusal(Operation.CUT))
                            .filter(w -> w.contains("reference cut"))
                            .isEmpty(),
                    "who cuts now makes the reference cut");
        } else if (rule.strength() == Strength.MUST) {
            assertTrue(English.of(route.refusal(rule.after())).isPresent());
        } else {
            assertTrue(English.of(route.warnings(rule.after())).stream()
                    .anyMatch(w -> w.contains(English.of(rule.because()))));
        }
    }

    private static List<Event> random(Random random) {
        List<Event> events = new ArrayList<>();
        int n = random.nextInt(14);
        for (int i = 0; i < n; i++) {
            Operation operation = Operation.values()[random.nextInt(Operation.values().length - 1)];
            Finding finding = Finding.values()[random.nextInt(Finding.values().length)];
            events.add(
                    switch (random.nextInt(8)) {
                        case 0 -> new Event.Waived(operation, "Marit", "asked by the customer");
                        case 1 -> new Event.Added(operation);
                        case 2, 3, 4 -> found(finding);
                        default -> did(operation);
                    });
        }
        return events;
    }

    /** What work made owed stays owed until it is done or waived after that work, whatever else happens in whatever order. */
    @Test
    void noOrderOfEventsLosesWhatIsOwed() {
        Random random = new Random(412);
        for (int run = 0; run < 2000; run++) {
            List<Event> events = random(random);
            Route route = Route.of(events);
            for (RouteRules.Owes rule : RouteRules.OWES) {
                int work = events.lastIndexOf(did(rule.work()));
                boolean holds = rule.onlyWith().isEmpty()
                        || events.contains(found(rule.onlyWith().get()));
                boolean met = events.subList(work + 1, events.size()).stream()
                        .anyMatch(e -> e.equals(did(rule.then()))
                                || (e instanceof Event.Waived w && w.operation() == rule.then()));
                if (work >= 0 && holds && !met) {
                    assertTrue(route.open(rule.then()).isPresent(), () -> rule + " lost in " + events);
                }
            }
        }
    }

    /** The route has no circle: whoever always does the first step that is due comes to the end, with nothing owed. */
    @Test
    void doingWhatIsDueComesToAnEnd() {
        Random random = new Random(87);
        for (int run = 0; run < 400; run++) {
            List<Event> events = random(random);
            int steps = 0;
            for (Route route = Route.of(events); !route.openSteps().isEmpty(); route = Route.of(events)) {
                List<Route.Step> order = route.steps();
                Set<Integer> seen = new HashSet<>();
                for (Route.Step s : order) {
                    assertTrue(route.edges().stream().allMatch(e -> e.to() != s.id() || seen.contains(e.from())));
                    seen.add(s.id());
                }
                Route.Step next = route.openSteps().stream()
                        .filter(s -> s.state() == Route.State.DUE)
                        .findFirst()
                        .orElseThrow(() -> new AssertionError("nothing is due in " + order));
                assertTrue(English.of(route.refusal(next.operation())).isEmpty());
                events.add(did(next.operation()));
                assertTrue(++steps < 80, () -> "no end: " + events);
            }
            assertEquals(did(HAND_OVER), events.get(events.size() - 1));
        }
    }

    /** Findings made in one look can be written in any order. */
    @Test
    void theOrderOfFindingsDoesNotMatter() {
        Random random = new Random(5);
        for (int run = 0; run < 500; run++) {
            List<Event> findings = new ArrayList<>(EnumSet.allOf(Finding.class).stream()
                    .filter(f -> random.nextInt(3) == 0)
                    .map(RouteTest::found)
                    .toList());
            List<Event> start = random(random);
            Set<String> first = null;
            for (int turn = 0; turn < 4; turn++) {
                Collections.shuffle(findings, random);
                List<Event> events = new ArrayList<>(start);
                events.addAll(findings);
                Set<String> now = Route.of(events).openSteps().stream()
                        .map(s -> s.operation() + " " + s.state() + " " + English.of(s.because()))
                        .collect(Collectors.toSet());
                first = first == null ? now : first;
                assertEquals(first, now);
            }
        }
    }

    /** What is drawn reaches as far as all edges do, and no line says what two others say. */
    @Test
    void theDrawingLeavesOutOnlyWhatFollows() {
        Random random = new Random(77);
        for (int run = 0; run < 200; run++) {
            Route route = Route.of(random(random));
            for (Route.Before e : route.edges()) {
                assertTrue(reaches(route.drawn(), e.from(), e.to()), () -> "lost " + e);
            }
            for (Route.Before e : route.drawn()) {
                List<Route.Before> others =
                        route.drawn().stream().filter(o -> !o.equals(e)).toList();
                assertFalse(reaches(others, e.from(), e.to()), () -> "twice " + e);
            }
        }
    }

    private static boolean reaches(List<Route.Before> edges, int from, int to) {
        return from == to || edges.stream().filter(e -> e.from() == from).anyMatch(e -> reaches(edges, e.to(), to));
    }

    @Test
    void everyOperationAndFindingHasItsWords() {
        assertEquals(
                Operation.values().length,
                Arrays.stream(Operation.values())
                        .map(it -> English.of(it.words()))
                        .distinct()
                        .count());
        assertFalse(Arrays.stream(Finding.values())
                .anyMatch(f -> RouteRules.MAKES.stream().noneMatch(m -> m.finding() == f)
                        && RouteRules.OWES.stream().noneMatch(o -> o.onlyWith().equals(java.util.Optional.of(f)))));
    }

    private static Route without(List<Event> events, String... names) {
        return Route.of(events, RouteRules.InForce.without(Set.of(names)));
    }

    @Test
    void aRuleThatAShopLetsGoHoldsNoMore() {
        List<Event> told = List.of(found(Finding.MAY_BE_BENT));
        assertTrue(Route.of(told).open(LINE_CHECK).isPresent());
        assertTrue(
                without(told, "ROUTE.MAY_BE_BENT.LINE_CHECK").open(LINE_CHECK).isEmpty());
        assertTrue(
                without(List.of(found(Finding.PICKED_UP)), "ROUTE.MAY_BE_BENT.LINE_CHECK")
                        .open(LINE_CHECK)
                        .isPresent(),
                "another finding asks for it as well");
        List<Event> clean = List.of(did(CLEAN));
        assertTrue(Route.of(clean).inTheWay(FACE_CHECK).stream()
                .anyMatch(b -> b.because().equals(Message.of("route.a-crack-may-scrap-it-the-readings-were"))));
        assertEquals(List.of(), without(clean, "ROUTE.CRACK_CHECK.FACE_CHECK").inTheWay(FACE_CHECK));
    }

    /** What looks for cracks and leaks, what must come first and what follows from work stays, whatever somebody wrote. */
    @Test
    void whatKeepsACastingSafeCannotBeLetGo() {
        List<RouteRules.Makes> stay =
                RouteRules.MAKES.stream().filter(m -> !m.mayGo()).toList();
        List<RouteRules.Order> must =
                RouteRules.ORDER.stream().filter(o -> !o.mayGo()).toList();
        assertTrue(RouteRules.MAKES.stream()
                .filter(RouteRules.Makes::mayGo)
                .map(RouteRules.Makes::operation)
                .allMatch(o -> o.isCheck() && o != CRACK_CHECK && o != PRESSURE_TEST));
        assertTrue(must.stream().allMatch(o -> o.strength() == Strength.MUST));
        Set<String> everything = Stream.concat(
                        RouteRules.MAKES.stream().map(RouteRules.Makes::name),
                        RouteRules.ORDER.stream().map(RouteRules.Order::name))
                .collect(Collectors.toSet());
        RouteRules.InForce left = RouteRules.InForce.without(everything);
        assertEquals(stay, left.makes());
        assertEquals(must, left.order());
        assertEquals(
                Route.of(List.of(did(WELD))).owed(),
                Route.of(List.of(did(WELD)), left).owed());
        assertEquals(
                List.of(PRESSURE_TEST),
                Route.of(List.of(found(Finding.DROPPED)), left).owed());
    }
}
