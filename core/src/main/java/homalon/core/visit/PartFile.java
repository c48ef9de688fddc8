package homalon.core.visit;

import homalon.core.input.BadInputException;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.part.SealingBands;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.GasketKind;
import homalon.core.rulebook.ShopRules;
import homalon.core.words.Message;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * A casting and its present visit, as the other features see them.
 *
 * @param stamps what is stamped on this one, such as a number of an earlier shop; empty where nothing is
 * @param entered limits entered for it; defaults are not among them
 * @param visits how many times it has been here
 * @param rules what the shop goes by: of the day it left, else of now
 */
public record PartFile(
        UUID id,
        String tag,
        PartKind kind,
        String name,
        String customer,
        Material material,
        String castingNumber,
        String stamps,
        LayoutNumbers numbers,
        List<FlatnessLimit> entered,
        Visit visit,
        int visits,
        int version,
        ShopRules rules) {

    /**
     * One visit.
     *
     * @param came what was ticked at intake; empty where nobody was asked
     * @param bands where the gasket in hand seals; empty where the usual stands
     * @param due the day that was asked for
     * @param promised the day that its customer was told last
     * @param with tags of the castings that it goes on, or that go on it: a head and the block of its engine
     * @param releasedNote why it left although something was open; empty when nothing was
     */
    public record Visit(
            UUID id,
            int no,
            String history,
            Optional<CameWith> came,
            String wishes,
            String gasket,
            Optional<GasketKind> gasketKind,
            Optional<SealingBands> bands,
            Optional<LocalDate> due,
            Optional<LocalDate> promised,
            List<String> with,
            Optional<Stuck> stuck,
            UUID openedBy,
            Instant openedAt,
            Optional<UUID> releasedBy,
            Optional<Instant> releasedAt,
            String releasedNote) {
        public Visit {
            with = List.copyOf(with);
        }

        /** The day that it is wanted: what was promised, else what was asked for. */
        public Optional<LocalDate> day() {
            return promised.or(() -> due);
        }
    }

    /** What holds a visit up. */
    public record Stuck(StuckOn on, String why, LocalDate since) {}

    /** The limits in force, defaults included. */
    public List<FlatnessLimit> limits() {
        return rules.faces().inForce(entered, visit.gasketKind(), numbers.cylinders());
    }

    /**
     * @param toDo what was wanted: {@code to measure it}
     * @throws BadInputException when the part was handed over
     */
    public void requireHere(String field, String toDo) {
        if (visit.releasedAt().isPresent()) {
            throw new BadInputException(field, "visit.this-part-was-handed-over-book-it-in", toDo);
        }
    }

    /** Where its gasket seals. */
    public SealingBands bands() {
        return visit.bands().orElse(SealingBands.USUAL);
    }

    /** All that was written of it and of what is wanted, for what follows from words. */
    public String story() {
        return name + ". " + visit.history() + ". " + visit.wishes();
    }

    /** {@code iron head · Tern Island Ferries}. */
    public Message kindWords() {
        return Message.of("text.space", material.words(), kind.words());
    }
}
