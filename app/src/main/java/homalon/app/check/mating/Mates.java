package homalon.app.check.mating;

import homalon.app.casting.part.InTheShop;
import homalon.app.casting.part.PartVisits;
import homalon.app.casting.part.Parts;
import homalon.core.input.BadInputException;
import homalon.core.part.PartKind;
import homalon.core.visit.PartFile;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which head goes on which deck. */
@Service
@Transactional
@RequiredArgsConstructor
public class Mates {
    /** As many as a list under a field shows; more letters bring others, and the tag of any can be keyed. */
    private static final int OFFERED = 12;

    private final MateRepository mates;
    private final Parts parts;
    private final InTheShop shop;
    private final PartVisits visits;
    private final Clock clock;

    @Transactional(readOnly = true)
    public Optional<PartFile> of(PartFile part) {
        return part.kind() == PartKind.HEAD
                ? mates.findTopByHeadIdOrderBySeqDesc(part.id()).flatMap(m -> parts.byId(m.deckId))
                : mates.findTopByDeckIdOrderBySeqDesc(part.id()).flatMap(m -> parts.byId(m.headId));
    }

    /** Parts in the shop that may be the other one. */
    @Transactional(readOnly = true)
    public List<PartFile> candidates(PartFile part, String words) {
        return shop.mayMate(part, words, OFFERED);
    }

    /** @throws BadInputException when the two are both heads, or both decks */
    public void say(PartFile one, PartFile other, UUID by) {
        if (one.kind() == other.kind()) {
            throw new BadInputException(
                    "with",
                    "app.mating.is-a-too-a-head-goes-on-a-block-deck",
                    other.tag(),
                    other.kind().words());
        }
        PartFile head = one.kind() == PartKind.HEAD ? one : other;
        PartFile deck = one.kind() == PartKind.HEAD ? other : one;
        Optional<PartFile> before = of(head);
        boolean said = before.filter(b -> b.id().equals(deck.id())).isPresent()
                && of(deck).filter(h -> h.id().equals(head.id())).isPresent();
        if (said) {
            return;
        }
        MateRow row = new MateRow();
        row.headId = head.id();
        row.deckId = deck.id();
        row.byPerson = by;
        row.at = clock.instant();
        mates.saveAndFlush(row);
        Stream.concat(Stream.of(head, deck), before.stream())
                .filter(p -> p.visit().releasedAt().isEmpty())
                .forEach(p -> visits.writtenBeside(p.visit().id()));
    }
}
