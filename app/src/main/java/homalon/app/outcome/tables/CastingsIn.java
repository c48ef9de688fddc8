package homalon.app.outcome.tables;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.FreeTags;
import homalon.app.casting.part.OwnLayouts;
import homalon.app.casting.part.PartVisits;
import homalon.app.casting.part.Parts;
import homalon.app.foundation.settings.ShopSettings;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.table.TableKind;
import homalon.core.visit.CastingLine;
import homalon.core.visit.IntakeForm;
import homalon.core.visit.PartFile;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Castings: booked in as at the door; one with a day on which it left is one of former years. */
@Component
@RequiredArgsConstructor
class CastingsIn implements TakesLines {
    private static final String FROM = "Taken over from the shop's own list: nothing of this visit was measured here.";

    private final Parts parts;
    private final FreeTags tags;
    private final PartVisits visits;
    private final OwnLayouts layouts;
    private final Ledgers ledgers;
    private final ShopSettings settings;
    private final Clock clock;

    @Override
    public TableKind kind() {
        return TableKind.CASTINGS;
    }

    @Override
    public void take(List<Line> lines, Hand hand, Told told) {
        for (Line line : lines) {
            try {
                told.made(line, one(line, hand));
            } catch (BadInputException e) {
                told.refused(line, e);
            }
        }
    }

    private String one(Line line, Hand hand) {
        ZoneId zone = ZoneId.systemDefault();
        LocalDate today = LocalDate.ofInstant(clock.instant(), zone);
        CastingLine read = CastingLine.read(line.said(), start(line, hand.unit()), hand.unit(), settings.now(), today);
        Instant came = read.came()
                .filter(today::isAfter)
                .map(d -> d.atStartOfDay(zone).toInstant())
                .orElseGet(clock::instant);
        PartFile part = parts.book(read.booking(), came, hand.by());
        read.removed()
                .ifPresent(
                        r -> ledgers.opening(part, UUID.randomUUID(), r.kind(), r.depth(), "from a list", hand.by()));
        read.left().ifPresent(day -> {
            Instant left = day.atTime(12, 0).atZone(zone).toInstant();
            visits.leftBefore(part.id(), left.isAfter(came) ? left : came, FROM, hand.by());
        });
        return part.tag() + ", " + part.name() + ", " + part.customer()
                + read.left().map(d -> ", left " + d).orElse(", in the shop");
    }

    private IntakeForm start(Line line, BenchUnit unit) {
        String tag = line.at("tag").isEmpty() ? tags.next() : line.at("tag");
        String like = line.at("like");
        if (like.isEmpty()) {
            return IntakeForm.blank(tag);
        }
        Optional<PartFile> alike = parts.find(like).or(() -> layouts.named(like));
        return alike.map(l -> IntakeForm.as(l, tag, false, unit))
                .orElseThrow(
                        () -> new BadInputException("like", "app.tables.like-names-no-casting-and-no-layout", like));
    }
}
