package homalon.app.outcome.tables;

import homalon.app.foundation.load.Sha256;
import homalon.app.foundation.load.TextTable;
import homalon.app.foundation.memory.HowFar;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.words.Words;
import homalon.app.outcome.report.LaterSeals;
import homalon.core.input.BadInputException;
import homalon.core.input.RefusedInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.table.Heading;
import homalon.core.table.TableKind;
import homalon.core.words.Message;
import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Looks at a table and takes it in. Looking does all that taking in would do, with the same services, and keeps nothing of it: what was
 * seen is what will be made.
 */
@Service
@RequiredArgsConstructor
class TablesIn {
    private static final int MOST_LINES = 5_000;

    /** After so many lines Hibernate lets go of what it holds, all of which it would look through at each query. */
    private static final int AT_ONCE = 20;

    private final List<TakesLines> rooms;
    private final EntityManager entities;
    private final PlatformTransactionManager transactions;
    private final Journal journal;
    private final LaterSeals seals;
    private final Clock clock;
    private final HowFar howFar;

    /** What is told of one line. */
    record OfLine(int number, String words) {}

    /**
     * What a table comes to.
     *
     * @param sum of the file, by which it is taken in
     * @param made one for each line of which something is made
     * @param odd what should be looked at once more
     * @param refused what cannot be; while there is any, nothing is taken
     */
    record Seen(
            TableKind kind,
            String sum,
            Heading heading,
            BenchUnit unit,
            List<OfLine> made,
            List<OfLine> odd,
            List<OfLine> refused) {}

    /**
     * @param unit of bare numbers
     * @throws BadInputException when it is no table, lacks a column, or was taken in before
     */
    Seen look(TableKind kind, byte[] sent, BenchUnit unit, UUID by) {
        String sum = Sha256.of(sent);
        notTakenYet(kind, sum);
        TransactionTemplate nothingKept = new TransactionTemplate(transactions);
        Seen seen = nothingKept.execute(turn -> {
            turn.setRollbackOnly();
            return read(kind, sum, sent, new TakesLines.Hand(unit, by, true));
        });
        new TransactionTemplate(transactions).executeWithoutResult(turn -> remember(kind, sum, sent, unit, by));
        return seen;
    }

    /** How many of a hundred parts of a table are looked at, or taken in, of the one that this person sent last. */
    int howFar(TableKind kind, UUID by) {
        return howFar.of(by, what(kind));
    }

    private static String what(TableKind kind) {
        return "table of " + kind.path();
    }

    private void remember(TableKind kind, String sum, byte[] sent, BenchUnit unit, UUID by) {
        find(kind, sum).ifPresent(entities::remove);
        entities.flush();
        BroughtTable row = new BroughtTable();
        row.id = UUID.randomUUID();
        row.kind = kind;
        row.sum = sum;
        row.unit = unit;
        row.body = sent;
        row.broughtBy = by;
        row.broughtAt = clock.instant();
        entities.persist(row);
    }

    private Optional<BroughtTable> find(TableKind kind, String sum) {
        return entities
                .createQuery("from BroughtTable where kind = :kind and sum = :sum", BroughtTable.class)
                .setParameter("kind", kind)
                .setParameter("sum", sum)
                .getResultList()
                .stream()
                .findFirst();
    }

    private void notTakenYet(TableKind kind, String sum) {
        find(kind, sum).filter(t -> t.takenAt != null).ifPresent(t -> {
            throw new BadInputException(
                    "file",
                    "app.tables.this-file-was-taken-in-already",
                    LocalDate.ofInstant(t.takenAt, ZoneId.systemDefault()).toString());
        });
    }

    /**
     * Takes in what was looked at, all of it or nothing; sent twice, it is taken once.
     *
     * @return how many lines
     * @throws BadInputException when it was not looked at, or can no longer be
     */
    int take(TableKind kind, String sum, UUID by) {
        Integer lines = new TransactionTemplate(transactions).execute(turn -> taken(kind, sum, by));
        if (kind == TableKind.CASTINGS) {
            seals.start();
        }
        return lines;
    }

    private int taken(TableKind kind, String sum, UUID by) {
        entities.createNativeQuery("select 1 from pg_advisory_xact_lock(hashtext(:sum))")
                .setParameter("sum", sum)
                .getResultList();
        BroughtTable table =
                find(kind, sum).orElseThrow(() -> new BadInputException("file", "app.tables.look-at-the-file-first"));
        if (table.takenAt != null) {
            return TextTable.read(table.body, MOST_LINES).lines().size();
        }
        Seen seen = read(kind, sum, table.body, new TakesLines.Hand(table.unit, by, false));
        if (!seen.refused().isEmpty()) {
            throw new BadInputException("file", "app.tables.nothing-was-taken-the-shop-changed");
        }
        BroughtTable now = find(kind, sum).orElseThrow();
        now.takenBy = by;
        now.takenAt = clock.instant();
        journal.write(
                Journal.What.TABLE_TAKEN,
                by,
                Words.of(kind.words()) + ", " + seen.made().size() + " lines");
        return seen.made().size();
    }

    private Seen read(TableKind kind, String sum, byte[] sent, TakesLines.Hand hand) {
        TextTable table = TextTable.read(sent, MOST_LINES);
        Heading heading = Heading.of(kind, table.heads());
        List<TakesLines.Line> lines = table.lines().stream()
                .map(l -> new TakesLines.Line(l.number(), heading.line(l.cells())))
                .toList();
        List<OfLine> made = new ArrayList<>();
        List<OfLine> odd = new ArrayList<>();
        List<OfLine> refused = new ArrayList<>();
        Runnable oneMore = () ->
                howFar.tell(hand.by(), what(kind), (made.size() + refused.size()) * HowFar.ALL / (lines.size() + 1));
        oneMore.run();
        rooms.stream().filter(r -> r.kind() == kind).findFirst().orElseThrow().take(lines, hand, new TakesLines.Told() {
            @Override
            public void made(TakesLines.Line line, String words) {
                made.add(new OfLine(line.number(), words));
                oneMore.run();
                if (made.size() % AT_ONCE == 0) {
                    entities.flush();
                    entities.clear();
                }
            }

            @Override
            public void odd(TakesLines.Line line, String sentence) {
                odd.add(new OfLine(line.number(), sentence));
            }

            @Override
            public void refused(TakesLines.Line line, RefusedInputException why) {
                refused.add(new OfLine(line.number(), words(why.sentence())));
                oneMore.run();
            }
        });
        return new Seen(kind, sum, heading, hand.unit(), made, odd, refused);
    }

    private static String words(Message sentence) {
        return Words.of(sentence);
    }

    /** A table to fill: its heads, and a line to go by. */
    static byte[] template(TableKind kind) {
        return TextTable.write(
                        kind.columns().stream().map(c -> c.name()).toList(),
                        List.of(kind.columns().stream().map(c -> c.example()).toList()))
                .getBytes(StandardCharsets.UTF_8);
    }
}
