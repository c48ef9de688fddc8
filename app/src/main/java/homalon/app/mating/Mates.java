package homalon.app.mating;

import homalon.app.part.PartFile;
import homalon.app.part.Parts;
import homalon.core.input.BadInputException;
import homalon.core.part.PartKind;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which head goes on which deck. */
@Service
@Transactional
public class Mates {
    private final MateRepository mates;
    private final Parts parts;
    private final Clock clock;

    Mates(MateRepository mates, Parts parts, Clock clock) {
        this.mates = mates;
        this.parts = parts;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public Optional<PartFile> of(PartFile part) {
        return part.kind() == PartKind.HEAD
                ? mates.findTopByHeadIdOrderBySeqDesc(part.id()).flatMap(m -> parts.byId(m.deckId))
                : mates.findTopByDeckIdOrderBySeqDesc(part.id()).flatMap(m -> parts.byId(m.headId));
    }

    /** Parts in the shop that may be the other one: the other kind, as many bores. */
    @Transactional(readOnly = true)
    public List<PartFile> candidates(PartFile part) {
        return parts.inTheShop().stream()
                .filter(p -> p.kind() != part.kind()
                        && p.numbers().cylinders() == part.numbers().cylinders())
                .filter(p -> Math.abs(p.numbers().spacing().mm()
                                        / part.numbers().spacing().mm()
                                - 1)
                        < 0.03)
                .toList();
    }

    /** @throws BadInputException when the two are both heads, or both decks */
    public void say(PartFile one, PartFile other, UUID by) {
        if (one.kind() == other.kind()) {
            throw new BadInputException(
                    "with", other.tag() + " is a " + other.kind().words() + " too: a head goes on a block deck.");
        }
        MateRow row = new MateRow();
        row.headId = one.kind() == PartKind.HEAD ? one.id() : other.id();
        row.deckId = one.kind() == PartKind.HEAD ? other.id() : one.id();
        row.byPerson = by;
        row.at = clock.instant();
        mates.save(row);
    }
}
