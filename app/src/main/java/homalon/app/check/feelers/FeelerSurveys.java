package homalon.app.check.feelers;

import homalon.app.casting.part.Faces;
import homalon.app.foundation.store.EvidenceLog;
import homalon.app.foundation.web.Keyed;
import homalon.app.shop.instruments.Hands;
import homalon.core.face.FeelerLine.Rest;
import homalon.core.face.FeelerSlide;
import homalon.core.face.Gap;
import homalon.core.gauge.InstrumentKind;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.BladeSet;
import homalon.core.rulebook.RuleBook;
import homalon.core.visit.Asked;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.FeelerFile.LineFile;
import homalon.core.visit.FeelerFile.PlaceFile;
import homalon.core.visit.FeelerFile.TryFile;
import homalon.core.visit.FeelerKind;
import homalon.core.visit.FeelerSaid;
import homalon.core.visit.FeelerWay;
import homalon.core.visit.PartFile;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what straightedge and feelers said. */
@Service
@Transactional
@RequiredArgsConstructor
public class FeelerSurveys {
    private final FeelerSurveyRepository surveys;
    private final FeelerPlaceRepository places;
    private final EvidenceLog log;
    private final FeelerFiles files;
    private final Faces faces;
    private final Hands hands;
    private final Clock clock;

    /** One press of a key by one hand: all that it says is said at one moment, and taken back together. */
    private record Stroke(Keyed keyed, UUID by, Instant at) {
        /** The same said at another place of the line. */
        Stroke also(UUID place) {
            UUID id = UUID.nameUUIDFromBytes((keyed.id() + " " + place).getBytes(StandardCharsets.UTF_8));
            return new Stroke(Keyed.sure(id, place, keyed.typed(), keyed.unit()), by, at);
        }
    }

    /** How it fared. */
    public sealed interface Outcome {
        record Kept() implements Outcome {}

        /**
         * Not stored: the person is asked first.
         *
         * @param seen number of the line that somebody else keyed there meanwhile
         */
        record Asks(String sentence, long seen) implements Outcome {}
    }

    @Transactional(readOnly = true)
    public Optional<FeelerFile> find(PartFile part, FeelerKind kind) {
        return surveys.findByJobIdAndKind(part.visit().id(), kind).map(files::of);
    }

    @Transactional(readOnly = true)
    public Map<UUID, List<FeelerFile>> ofVisits(Collection<UUID> visits) {
        return surveys.ofVisits(visits).stream().map(files::of).collect(Collectors.groupingBy(FeelerFile::visit));
    }

    /**
     * From now on it is in hand.
     *
     * @param code blank to put away what is in hand of that kind
     * @throws BadInputException when nothing of that kind tries a face, or there is none of that code
     */
    public void take(PartFile part, FeelerKind kind, InstrumentKind instrument, String code, UUID by) {
        FeelerFile survey = open(part, kind);
        if (!kind.instruments().contains(instrument)) {
            throw new BadInputException("code", "app.instruments.no-such", code);
        }
        hands.take(part, kind.path(), instrument, code, by);
        surveys.changed(survey.id());
    }

    /** Changes the way of working; what was said stays. */
    public void use(PartFile part, FeelerKind kind, FeelerWay way) {
        FeelerFile survey = open(part, kind);
        surveys.findById(survey.id()).orElseThrow().way = way;
        surveys.changed(survey.id());
    }

    /**
     * {@code 0.05} the thickest blade that goes, {@code 0} none goes, {@code +0.05} that blade goes, {@code -0.05} it does not,
     * {@code r} the edge rocks, {@code s} it sits still, {@code l} light shows under it, {@code n} no light, {@code /} skipped,
     * {@code 0.05 120..260} that blade was slid along and goes from there to there; {@code 0} where it is asked how the edge rests:
     * it sits still and no blade goes anywhere along it; {@code 0.2+0.15} blades stacked, which go, {@code -0.2+0.15} which do not.
     *
     * @throws BadInputException when what was keyed is nothing that a feeler can say, with what to key instead
     */
    public Outcome key(PartFile part, FeelerKind kind, Keyed keyed, Function<UUID, String> named, UUID by) {
        if (log.find(FeelerTryRow.class, keyed.id()).isPresent()) {
            return new Outcome.Kept();
        }
        FeelerFile survey = open(part, kind);
        // The same may have been kept while this one waited for its turn.
        if (log.find(FeelerTryRow.class, keyed.id()).isPresent()) {
            return new Outcome.Kept();
        }
        LineFile line = survey.lines().stream()
                .filter(l -> l.places().stream().anyMatch(p -> p.id().equals(keyed.placeId())))
                .findFirst()
                .orElseThrow(
                        () -> new BadInputException("place", "app.feelers.there-is-no-such-place-on-this-face-key"));
        PlaceFile place = line.places().stream()
                .filter(p -> p.id().equals(keyed.placeId()))
                .findFirst()
                .orElseThrow();
        boolean others = place.by().filter(p -> !p.equals(by)).isPresent() && place.seen() > keyed.seen();
        if (others) {
            return new Outcome.Asks(
                    named.apply(place.by().orElseThrow())
                            + " keyed here meanwhile. Press Enter again to put yours on top, or Escape to leave it.",
                    place.seen());
        }
        write(survey, line, place, new Stroke(keyed, by, clock.instant().truncatedTo(ChronoUnit.MICROS)), part);
        surveys.changed(survey.id());
        return new Outcome.Kept();
    }

    private void write(FeelerFile survey, LineFile line, PlaceFile place, Stroke stroke, PartFile part) {
        Keyed keyed = stroke.keyed();
        String typed = keyed.tidy();
        PlaceFile rest = line.places().stream()
                .filter(p -> p.asked() == Asked.REST)
                .findFirst()
                .orElseThrow();
        Optional<FeelerSlide> slide = FeelerSlide.parse(typed, keyed.unit(), line.length());
        if (slide.isPresent()) {
            slid(survey, line, place, slide.get(), stroke);
            return;
        }
        switch (typed) {
            case "/" -> save(place.id(), stroke, FeelerSaid.SKIPPED, Gap.UNTRIED);
            case "r", "R" -> save(rest.id(), stroke, FeelerSaid.ROCKS, Gap.UNTRIED);
            case "s", "S" -> save(rest.id(), stroke, FeelerSaid.SITS, Gap.UNTRIED);
            case "l", "L" -> light(place, stroke, FeelerSaid.GOES, Gap.UNTRIED.went(RuleBook.LIGHT_GAP));
            case "n", "N" -> light(place, stroke, FeelerSaid.REFUSES, Gap.UNTRIED.refused(RuleBook.LIGHT_GAP));
            default -> {
                if (place.asked() != Asked.REST) {
                    blade(survey, place, stroke);
                } else if (isNothing(typed, keyed.unit())) {
                    save(place.id(), stroke, FeelerSaid.SITS, Gap.UNTRIED);
                    nothingGoes(survey, line, stroke, part);
                } else {
                    throw new BadInputException("typed", "app.feelers.how-does-the-edge-rest-key-r-when-it");
                }
            }
        }
    }

    /** A lamp behind the edge is a very thin blade. */
    private void light(PlaceFile place, Stroke stroke, FeelerSaid said, Gap gap) {
        if (place.asked() != Asked.STATION) {
            throw new BadInputException("typed", "app.feelers.light-is-looked-for-along-the-edge-say");
        }
        save(place.id(), stroke, said, gap);
    }

    private static boolean isNothing(String typed, BenchUnit unit) {
        return typed.matches("[0-9.,]+") && Length.parse(typed, unit).signum() == 0;
    }

    /**
     * One key for a whole line: everything that is not tried along it refuses the one blade that is asked for there, which is the
     * one that is slid along.
     */
    private void nothingGoes(FeelerFile survey, LineFile line, Stroke stroke, PartFile part) {
        Length refused = survey.way() == FeelerWay.LIMIT
                ? survey.along(line, faces.layout(part.numbers()).box(), RuleBook.overall(part.limits()))
                : survey.blades().thinnest();
        for (PlaceFile p : line.places()) {
            if (p.asked() == Asked.STATION && !p.gap().isTried()) {
                save(p.id(), stroke.also(p.id()), FeelerSaid.REFUSES, Gap.UNTRIED.refused(refused));
            }
        }
    }

    /** A blade that was slid along: it sits still on such a line, goes between the marks and is refused beyond. */
    private void slid(FeelerFile survey, LineFile line, PlaceFile place, FeelerSlide slide, Stroke stroke) {
        Length blade = survey.blades().meant(slide.blade()).orElseGet(() -> joins(survey, slide.blade()));
        for (PlaceFile p : line.places()) {
            Stroke at = p.id().equals(place.id()) ? stroke : stroke.also(p.id());
            if (p.asked() == Asked.STATION) {
                say(p.id(), at, slide.goesAt(p.at()), blade);
            } else if (p.asked() == Asked.REST && (p.rest() == Rest.NOT_NOTED || p.id().equals(place.id()))) {
                save(p.id(), at, FeelerSaid.SITS, Gap.UNTRIED);
            }
        }
        int seq = line.places().size();
        for (FeelerSlide.End end : slide.ends(line.length())) {
            FeelerPlaceRow row =
                    places.save(new FeelerPlaceRow(line.id(), ++seq, Asked.SLID, (int) Math.round(end.at() * 1e6)));
            say(row.id, stroke.also(row.id), end.goes(), blade);
        }
    }

    private void say(UUID place, Stroke stroke, boolean goes, Length blade) {
        save(
                place,
                stroke,
                goes ? FeelerSaid.GOES : FeelerSaid.REFUSES,
                goes ? Gap.UNTRIED.went(blade) : Gap.UNTRIED.refused(blade));
    }

    /** A sign before or behind the blade says whether it goes; without one it is the thickest that goes. */
    private void blade(FeelerFile survey, PlaceFile place, Stroke stroke) {
        Keyed keyed = stroke.keyed();
        String typed = keyed.tidy();
        boolean goes = typed.startsWith("+") || typed.endsWith("+");
        boolean refuses = typed.matches("[-\u2212].*|.*[-\u2212]");
        if (goes && refuses) {
            throw new BadInputException("typed", "app.feelers.key-when-the-blade-goes-or-when-it-is");
        }
        String figure = typed.replaceAll("^[-+\u2212]|[-+\u2212]$", "");
        BladeSet set = survey.blades();
        if (figure.indexOf('+') > 0) {
            say(place.id(), stroke, !refuses, stacked(set, figure, keyed.unit()));
            return;
        }
        Length said = Length.parse(figure, keyed.unit());
        Optional<Length> of = said.signum() == 0 ? Optional.of(said) : set.meant(said);
        if (of.isEmpty() && (goes || refuses)) {
            of = Optional.of(joins(survey, said));
        }
        Length blade = of.orElseThrow(() -> noSuchBlade(set, said, keyed.unit()));
        if (goes || refuses) {
            if (blade.signum() == 0) {
                throw new BadInputException("typed", "app.feelers.key-the-blade-as-well-such-as-0-05-when");
            }
            say(place.id(), stroke, goes, blade);
            return;
        }
        Optional<Length> went = blade.signum() == 0 ? Optional.empty() : Optional.of(blade);
        Optional<Length> refused = went.isEmpty() ? Optional.of(set.thinnest()) : set.thickerThan(blade);
        save(place.id(), stroke, FeelerSaid.FOUND, new Gap(went, refused));
    }

    /** Some of the set's blades together, each once. */
    private static Length stacked(BladeSet set, String figure, BenchUnit unit) {
        List<Length> leaves = Stream.of(figure.split("\\+", -1))
                .map(leaf -> Length.parse(leaf.strip(), unit))
                .map(leaf -> set.meant(leaf).orElseThrow(() -> noSuchBlade(set, leaf, unit)))
                .toList();
        if (leaves.size() > BladeSet.MOST_LEAVES || leaves.stream().distinct().count() < leaves.size()) {
            throw new BadInputException("typed", "app.feelers.a-stack-is-two-to-four", BladeSet.MOST_LEAVES);
        }
        return leaves.stream().reduce(Length.ZERO, Length::plus);
    }

    /** A blade in the hand that the shop's set does not have joins this survey's. */
    private Length joins(FeelerFile survey, Length blade) {
        List<Length> all = new ArrayList<>(survey.blades().blades());
        all.add(blade);
        surveys.findById(survey.id()).orElseThrow().blades = new BladeSet(all)
                .blades().stream().map(b -> Long.toString(b.nanometres())).collect(Collectors.joining(" "));
        return blade;
    }

    private static BadInputException noSuchBlade(BladeSet set, Length blade, BenchUnit unit) {
        LengthWriter writer = new LengthWriter(unit);
        String near = Stream.of(set.thinnerThan(blade), set.thickerThan(blade))
                .flatMap(Optional::stream)
                .map(writer::number)
                .collect(Collectors.joining(" or "));
        return new BadInputException(
                "typed", "app.feelers.there-is-no-feeler-of-in-this-set-key", writer.full(blade), near);
    }

    private void save(UUID place, Stroke stroke, FeelerSaid said, Gap gap) {
        Keyed keyed = stroke.keyed();
        log.add(new FeelerTryRow(keyed.id(), place, said, gap, keyed.tidy(), keyed.unit(), stroke.by()), stroke.at());
    }

    /** Takes back all of the last thing that this person keyed and that stands; empty when there is none. */
    public Optional<UUID> undo(PartFile part, FeelerKind kind, UUID id, UUID by) {
        FeelerFile survey = open(part, kind);
        Optional<FeelerTryRow> before = log.find(FeelerTryRow.class, id);
        if (before.isPresent()) {
            return before.map(FeelerTryRow::place);
        }
        Optional<TryFile> last = survey.history().stream()
                .filter(t -> t.stands() && t.by().equals(by))
                .max(Comparator.comparingLong(TryFile::seq));
        if (last.isEmpty()) {
            return Optional.empty();
        }
        List<TryFile> said = survey.history().stream()
                .filter(t -> t.stands()
                        && t.by().equals(by)
                        && t.at().equals(last.get().at()))
                .toList();
        Stroke stroke = new Stroke(
                Keyed.sure(id, said.get(0).place(), "", last.get().unit()),
                by,
                clock.instant().truncatedTo(ChronoUnit.MICROS));
        for (TryFile t : said) {
            UUID line =
                    t.equals(said.get(0)) ? id : stroke.also(t.place()).keyed().id();
            log.add(FeelerTryRow.takingBack(line, t, by), stroke.at());
        }
        surveys.changed(survey.id());
        return Optional.of(said.get(0).place());
    }

    private FeelerFile open(PartFile part, FeelerKind kind) {
        part.requireHere("survey", "to measure it");
        surveys.locked(part.visit().id(), kind);
        return find(part, kind)
                .orElseThrow(
                        () -> new BadInputException("survey", "app.feelers.this-face-was-not-begun-start-it-first"));
    }
}
