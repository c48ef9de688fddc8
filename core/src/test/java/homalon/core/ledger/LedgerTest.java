package homalon.core.ledger;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.input.BadInputException;
import homalon.core.quantity.Length;
import homalon.core.words.English;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class LedgerTest {
    private static final UUID OLD = UUID.randomUUID();
    private static final UUID NOW = UUID.randomUUID();

    private static Entry entry(UUID job, Entry.Kind kind, Length depth, UUID reverses) {
        return new Entry(UUID.randomUUID(), job, kind, depth, Optional.ofNullable(reverses));
    }

    /** Whatever is written and taken back in whatever order, the total is what stands. */
    @Test
    void totalsAreWhatStands() {
        Random random = new Random(11);
        for (int round = 0; round < 50; round++) {
            List<Entry> lines = new ArrayList<>();
            lines.add(entry(OLD, Entry.Kind.OPENING_ESTIMATED, Length.ofMm("0.3"), null));
            Length job = Length.ZERO;
            Length life = Length.ofMm("0.3");
            for (int k = 0; k < 40; k++) {
                Ledger ledger = new Ledger(lines);
                List<Entry> standing = ledger.standingPasses(NOW);
                if (random.nextInt(3) == 0 && !standing.isEmpty()) {
                    Entry wrong = ledger.reversible(
                            standing.get(random.nextInt(standing.size())).id());
                    lines.add(entry(NOW, Entry.Kind.REVERSAL, Length.ZERO, wrong.id()));
                    job = job.minus(wrong.depth());
                    life = life.minus(wrong.depth());
                } else {
                    Length depth = Length.ofThou(Integer.toString(1 + random.nextInt(3)));
                    boolean now = random.nextBoolean();
                    lines.add(entry(now ? NOW : OLD, Entry.Kind.PASS, depth, null));
                    job = now ? job.plus(depth) : job;
                    life = life.plus(depth);
                }
            }
            Ledger.Totals totals = new Ledger(lines).totals(NOW);
            assertEquals(job, totals.thisJob());
            assertEquals(life, totals.life());
            assertEquals(Ledger.Opening.ESTIMATED, totals.opening());
        }
    }

    @Test
    void whatCannotBeMeantIsRefusedInWords() {
        assertThrows(BadInputException.class, () -> Ledger.checkPass(Length.ofMm("40")));
        assertThrows(BadInputException.class, () -> Ledger.checkPass(Length.ZERO));
        assertTrue(English.of(assertThrows(BadInputException.class, () -> Ledger.checkPass(Length.ofMm("-0.03")))
                        .sentence())
                .contains("reverse it"));
        Entry pass = entry(NOW, Entry.Kind.PASS, Length.ofMm("0.03"), null);
        Entry back = entry(NOW, Entry.Kind.REVERSAL, Length.ZERO, pass.id());
        Ledger ledger = new Ledger(List.of(pass, back));
        assertThrows(BadInputException.class, () -> ledger.reversible(pass.id()));
        assertThrows(BadInputException.class, () -> ledger.reversible(back.id()));
        assertThrows(BadInputException.class, () -> ledger.reversible(UUID.randomUUID()));
        Entry opening = entry(NOW, Entry.Kind.OPENING_UNKNOWN, Length.ZERO, null);
        assertThrows(
                BadInputException.class,
                () -> new Ledger(List.of(opening)).checkOpening(Entry.Kind.OPENING_KNOWN, Length.ofMm("0.1")));
        assertEquals(Ledger.Opening.NOT_ASKED, ledger.totals(NOW).opening());
        assertEquals(Length.ZERO, ledger.totals(NOW).thisJob());
    }
}
