package homalon.core.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.route.Operation;
import homalon.core.route.Route;
import homalon.core.visit.Owed;
import homalon.core.words.Message;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How a promise stands, and what a casting waits for. */
class PromiseCheckTest {
    private static final ZoneId OSLO = ZoneId.of("Europe/Oslo");

    private static LocalDate day(int of) {
        return LocalDate.of(2026, 12, of);
    }

    private static Instant late(int day) {
        return day(day).atTime(23, 30).atZone(OSLO).toInstant();
    }

    private static Awaited rings(int day) {
        return new Awaited(Message.plain("rings"), Optional.of(Operation.INSERT), day(day), true);
    }

    /** Days of December: of today, of the promise, on which what is awaited comes, ready in 50 and in 80 of 100. */
    @ParameterizedTest
    @CsvSource({
        "9, 8,   ,  5,  6, OVER",
        "8, 8,   ,  8,  8, LIKELY",
        "2, 8, 12,  5,  6, BEFORE_ARRIVAL",
        "2, 8,  8,  5,  6, BEFORE_ARRIVAL",
        "2, 8,  7,  5,  6, LIKELY",
        "2, 8,   ,   ,   , UNKNOWN",
        "2, 8,   ,  9, 10, UNLIKELY",
        "2, 8,   ,  8,  9, DOUBTFUL",
        "2, 8,   ,  7,  8, LIKELY",
    })
    void aPromiseIsFlaggedTheMomentItCannotWellBeKept(
            int today, int promised, Integer comes, Integer half, Integer most, PromiseCheck.State state) {
        PromiseCheck check = PromiseCheck.of(
                day(promised),
                comes == null ? List.of() : List.of(rings(3), rings(comes)),
                Optional.ofNullable(half).map(h -> new Posted.Ready(late(h), late(most), late(most + 3), "x", false)),
                day(today),
                OSLO);
        assertEquals(state, check.state());
        assertEquals(state.ordinal() <= 3, state.endangered());
        if (state == PromiseCheck.State.BEFORE_ARRIVAL) {
            assertTrue(check.words().args().containsAll(List.of(day(promised), day(comes))), check.words()::toString);
        }
    }

    @Test
    void workWaitsForTheLastOfWhatItNeeds() {
        AtTheBench.Waits waits = Awaited.waits(
                List.of(
                        rings(9),
                        rings(4),
                        new Awaited(Message.plain("stems"), Optional.of(Operation.VALVE_CHECK), day(3), true)),
                OSLO);
        Instant ninth = day(9).atStartOfDay(OSLO).toInstant();
        Instant third = day(3).atStartOfDay(OSLO).toInstant();
        assertEquals(Optional.empty(), waits.all());
        assertEquals(Map.of(Operation.INSERT, ninth, Operation.VALVE_CHECK, third), waits.some());
        assertEquals(
                Optional.of(day(9)), Awaited.last(List.of(rings(4), rings(9))).map(Awaited::until));
    }

    @Test
    void anAnswerHoldsUpAllOfIt() {
        Awaited answer = new Awaited(Message.plain("which guides"), Optional.empty(), day(6), false);
        Awaited later = new Awaited(Message.plain("the price"), Optional.empty(), day(7), true);
        AtTheBench.Waits waits = Awaited.waits(List.of(later, answer, rings(5)), OSLO);
        Instant seventh = day(7).atStartOfDay(OSLO).toInstant();
        assertEquals(Optional.of(seventh), waits.all());
        assertEquals(Optional.of(seventh), waits.of(Operation.INSERT), "the answer comes after the rings");
        assertEquals(Optional.of(seventh), waits.of(Operation.CLEAN));
    }

    /** Shafts of a head whose line nobody checks go back into it before it leaves. */
    @Test
    void whatTheRouteDoesNotNeedIsWaitedForBeforeItLeaves() {
        Route plain = Route.of(List.of());
        Awaited shafts = new Awaited(Message.plain("cam"), Optional.of(Operation.LINE_CHECK), day(6), true);
        assertEquals(Optional.of(Operation.HAND_OVER), shafts.on(plain).holds());
        assertEquals(day(6), shafts.on(plain).until());
        Awaited clean = new Awaited(Message.plain("lye"), Optional.of(Operation.CLEAN), day(6), true);
        assertEquals(clean, clean.on(plain));
        Awaited answer = new Awaited(Message.plain("price"), Optional.empty(), day(6), true);
        assertEquals(answer, answer.on(plain));
    }

    @Test
    void whoIsRungFirst() {
        LocalDate today = day(5);
        assertEquals(Urgency.OWED_PAST_ITS_DAY, Urgency.of(Owed.CAPS, Optional.of(day(4)), today));
        assertEquals(Urgency.OWED, Urgency.of(Owed.CAPS, Optional.of(day(5)), today), "the day is not over");
        assertEquals(Urgency.OWED, Urgency.of(Owed.CAPS, Optional.empty(), today));
        assertEquals(Urgency.ANSWER_OWED, Urgency.of(Owed.ANSWER, Optional.empty(), today));
        assertEquals(Urgency.OWED_PAST_ITS_DAY, Urgency.of(Owed.ANSWER, Optional.of(day(4)), today));
        for (PromiseCheck.State state : PromiseCheck.State.values()) {
            assertEquals(state.endangered(), Urgency.of(state).isPresent(), state::toString);
        }
        assertEquals(Optional.of(Urgency.PROMISE_OVER), Urgency.of(PromiseCheck.State.OVER));
        assertTrue(
                Urgency.PROMISE_DOUBTFUL.compareTo(Urgency.OWED_PAST_ITS_DAY) < 0,
                "what was said comes before what is owed");
    }
}
