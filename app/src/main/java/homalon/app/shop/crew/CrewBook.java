package homalon.app.shop.crew;

import homalon.app.foundation.people.People;
import homalon.app.foundation.people.PersonInfo;
import homalon.app.foundation.people.Role;
import homalon.app.foundation.words.Words;
import homalon.core.bench.ShopCrew;
import homalon.core.bench.StationKind;
import homalon.core.bench.UsualTimes;
import homalon.core.hours.DaysOff;
import homalon.core.hours.Hours;
import homalon.core.hours.WeekHours;
import homalon.core.input.BadInputException;
import homalon.core.input.Problems;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.util.StringUtils;

/** Hours, stations and people of the bench day, and general values where the shop has said nothing. */
@Service
@Transactional
@RequiredArgsConstructor
public class CrewBook {
    private static final int MOST_STATIONS = 40;
    private static final int MOST_HELD = 20;
    private static final int MOST_WORDS = 120;
    private static final int LONGEST_NAME = 60;
    private static final int LONGEST_CHANGE = 600;
    /** Nobody plans farther than a plan looks. */
    private static final Duration LONGEST = Duration.ofDays(366);

    private final StationRepository stations;
    private final StationDownRepository downs;
    private final BenchHandRepository hands;
    private final DaysOffRepository daysOff;
    private final People people;
    private final Clock clock;
    private final EntityManager entities;

    /**
     * Somebody who may work at the bench.
     *
     * @param atBench false for whom no work is planned
     */
    public record Worker(PersonInfo person, boolean atBench, Set<StationKind> skills, Optional<WeekHours> week) {}

    /** A time in which a station cannot be used, as somebody said it. */
    public record SaidDown(UUID id, String station, ShopCrew.Down down, String why, UUID by) {}

    /** @param person empty for the whole shop */
    public record SaidOff(UUID id, Optional<UUID> person, DaysOff off) {}

    /** Empty while the usual hours hold. */
    @Transactional(readOnly = true)
    public Optional<WeekHours> ownHours() {
        return Optional.ofNullable(entities.find(ShopHoursRow.class, ShopHoursRow.ONLY))
                .map(r -> r.week.week());
    }

    /** Whether the shop has said which stations it has. */
    @Transactional(readOnly = true)
    public boolean ownStations() {
        return !own().isEmpty();
    }

    private List<StationRow> own() {
        return stations.findByRetiredAtIsNullOrderByName();
    }

    /** All that a bench day is planned with. */
    @Transactional(readOnly = true)
    public ShopCrew crew() {
        List<SaidOff> off = off();
        Map<Optional<UUID>, List<DaysOff>> whose = off.stream()
                .collect(Collectors.groupingBy(SaidOff::person, Collectors.mapping(SaidOff::off, Collectors.toList())));
        List<ShopCrew.Hand> workers = workers().stream()
                .filter(Worker::atBench)
                .map(w -> new ShopCrew.Hand(
                        w.person().id().toString(),
                        w.week(),
                        whose.getOrDefault(Optional.of(w.person().id()), List.of()),
                        w.skills()))
                .toList();
        Hours hours =
                new Hours(ownHours().orElse(ShopCrew.USUAL_WEEK), whose.getOrDefault(Optional.empty(), List.of()));
        return new ShopCrew(hours, posts(), workers, changes()).nights(nights());
    }

    /** The shop's stations, or the usual ones, in the order in which a casting goes through them. */
    @Transactional(readOnly = true)
    public List<ShopCrew.Post> posts() {
        List<StationRow> rows = own();
        if (rows.isEmpty()) {
            return ShopCrew.usualStations().stream()
                    .map(p -> new ShopCrew.Post(
                            StationRow.usual(p.kind()).toString(), usualName(p.kind()), p.kind(), p.holds(), List.of()))
                    .toList();
        }
        Map<String, List<ShopCrew.Down>> down = down().stream()
                .collect(Collectors.groupingBy(
                        SaidDown::station, Collectors.mapping(SaidDown::down, Collectors.toList())));
        return rows.stream()
                .sorted(Comparator.comparing((StationRow r) -> r.kind))
                .map(r -> new ShopCrew.Post(
                        r.id.toString(), r.name, r.kind, r.holds, down.getOrDefault(r.id.toString(), List.of())))
                .toList();
    }

    private static String usualName(StationKind kind) {
        return StringUtils.capitalize(Words.of(kind.words()));
    }

    /** What is down now or will be. */
    @Transactional(readOnly = true)
    public List<SaidDown> down() {
        Instant now = clock.instant();
        return downs.findByEndedAtIsNullOrderByFrom().stream()
                .filter(d -> d.to == null || d.to.isAfter(now))
                .map(d -> new SaidDown(d.id, d.station.toString(), d.down(), d.why, d.by))
                .toList();
    }

    /** Days off from today on. */
    @Transactional(readOnly = true)
    public List<SaidOff> off() {
        LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
        return daysOff.findByGoneAtIsNullAndToGreaterThanEqualOrderByFrom(today).stream()
                .map(d -> new SaidOff(d.id, Optional.ofNullable(d.person), d.off()))
                .toList();
    }

    /** Everybody who can sign in; the desk is at the bench only where the shop says so. */
    @Transactional(readOnly = true)
    public List<Worker> workers() {
        Map<UUID, BenchHandRow> said = new HashMap<>();
        hands.findAll().forEach(h -> said.put(h.person, h));
        return people.all().stream()
                .filter(PersonInfo::active)
                .map(p -> Optional.ofNullable(said.get(p.id()))
                        .map(h -> new Worker(p, h.atBench, h.skills(), h.week()))
                        .orElseGet(() -> new Worker(
                                p, p.role() != Role.DESK, EnumSet.allOf(StationKind.class), Optional.empty())))
                .toList();
    }

    /** Minutes to set a station up for another metal, by what it is; the usual ones where the shop has none of its own. */
    @Transactional(readOnly = true)
    public Map<StationKind, Integer> changes() {
        Map<StationKind, Integer> all = new EnumMap<>(ShopCrew.USUAL_CHANGES);
        ownChanges().forEach(all::put);
        return all;
    }

    @Transactional(readOnly = true)
    public Map<StationKind, Integer> ownChanges() {
        return entities.createQuery("from SetUpChangeRow", SetUpChangeRow.class).getResultList().stream()
                .collect(Collectors.toMap(r -> r.kind, r -> r.minutes));
    }

    /** What may run by itself while the shop is closed for the night: what is usual, until the shop has said. */
    @Transactional(readOnly = true)
    public Set<StationKind> nights() {
        return ownNights().orElse(ShopCrew.USUAL_NIGHTS);
    }

    /** Empty while the shop has not said. */
    @Transactional(readOnly = true)
    public Optional<Set<StationKind>> ownNights() {
        List<NightRow> rows =
                entities.createQuery("from NightRow", NightRow.class).getResultList();
        return rows.isEmpty()
                ? Optional.empty()
                : Optional.of(rows.stream().filter(r -> r.runs).map(r -> r.kind).collect(Collectors.toSet()));
    }

    /** @param kinds that may; no other may */
    public void useNights(Set<StationKind> kinds) {
        UsualTimes.alone().forEach(k -> entities.merge(new NightRow(k, kinds.contains(k))));
    }

    /** @param week with hours on one day at the least */
    public void useHours(WeekHours week) {
        requireSome(week);
        entities.merge(new ShopHoursRow(new WeekColumns(week)));
    }

    private static void requireSome(WeekHours week) {
        if (week.minutes() == 0) {
            throw new BadInputException("hours", "app.crew.there-are-no-hours-in-that-week-key");
        }
    }

    /** @throws BadInputException for a name that is taken, and for what no station holds */
    public void add(String name, StationKind kind, int holds) {
        String tidy = name.strip();
        Problems problems = new Problems();
        problems.require(
                !tidy.isEmpty() && tidy.length() <= LONGEST_NAME,
                "name",
                "app.crew.key-what-the-shop-calls-the-station");
        problems.require(
                holds >= 1 && holds <= MOST_HELD, "holds", "app.crew.it-takes-1-to-castings-at-a-time", MOST_HELD);
        problems.throwIfAny();
        sayOwn();
        List<StationRow> rows = own();
        problems.require(
                rows.stream().noneMatch(r -> r.name.equalsIgnoreCase(tidy)),
                "name",
                "app.crew.there-is-a-station-of-that-name");
        problems.require(rows.size() < MOST_STATIONS, "name", "app.crew.a-shop-has-at-most-stations", MOST_STATIONS);
        problems.throwIfAny();
        stations.save(new StationRow(UUID.randomUUID(), tidy, kind, holds));
    }

    /** Takes a station out of the list; plans do without it from now on. */
    public void retire(String station) {
        row(station).retiredAt = clock.instant();
    }

    /** The usual stations become the shop's own, so that one of them can be changed. */
    private void sayOwn() {
        if (own().isEmpty()) {
            ShopCrew.usualStations()
                    .forEach(p -> stations.saveAndFlush(
                            new StationRow(StationRow.usual(p.kind()), usualName(p.kind()), p.kind(), p.holds())));
        }
    }

    /** @param station its id, or the name of its kind while the usual ones hold */
    private StationRow row(String station) {
        sayOwn();
        return own().stream()
                .filter(r -> r.id.toString().equals(station))
                .findFirst()
                .or(() -> own().stream()
                        .filter(r -> r.kind.name().equals(station))
                        .findFirst())
                .orElseThrow(
                        () -> new BadInputException("station", "app.crew.that-station-is-not-in-the-list-any-more"));
    }

    /**
     * A station cannot be used from now on.
     *
     * @param to when it is said to be mended; empty while nobody knows
     */
    public void down(UUID id, String station, Optional<Instant> to, String why, UUID by) {
        Instant now = clock.instant();
        Problems problems = new Problems();
        problems.require(to.isEmpty() || to.get().isAfter(now), "to", "app.crew.that-is-over-already-key-when-it");
        problems.require(
                to.isEmpty() || to.get().isBefore(now.plus(LONGEST)), "to", "app.crew.key-a-day-within-a-year");
        problems.require(why.strip().length() <= MOST_WORDS, "why", "app.crew.at-most-letters", MOST_WORDS);
        problems.throwIfAny();
        if (downs.existsById(id)) {
            return;
        }
        UUID of = row(station).id;
        downs.findByEndedAtIsNullOrderByFrom().stream()
                .filter(d -> d.station.equals(of))
                .forEach(d -> d.endedAt = now);
        downs.save(new StationDownRow(id, of, new ShopCrew.Down(now, to), why.strip(), by));
    }

    /** It can be used again. */
    public void up(UUID down) {
        downs.findById(down).filter(d -> d.endedAt == null).ifPresent(d -> d.endedAt = clock.instant());
    }

    /** @param week empty for the shop's hours */
    public void keep(UUID person, boolean atBench, Set<StationKind> skills, Optional<WeekHours> week) {
        week.ifPresent(CrewBook::requireSome);
        if (workers().stream().noneMatch(w -> w.person().id().equals(person))) {
            throw new BadInputException("person", "app.crew.that-person-is-not-in-the-shop-any-more");
        }
        hands.save(new BenchHandRow(person, atBench, skills, week));
    }

    /** @param person empty for the whole shop */
    public void keepOff(UUID id, Optional<UUID> person, DaysOff off) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
        Problems problems = new Problems();
        problems.require(!off.to().isBefore(today), "to", "app.crew.those-days-are-over-already");
        problems.require(
                off.to().isBefore(today.plusDays(2 * LONGEST.toDays())), "to", "app.crew.key-days-within-two-years");
        problems.require(off.why().length() <= MOST_WORDS, "why", "app.crew.at-most-letters", MOST_WORDS);
        problems.throwIfAny();
        if (!daysOff.existsById(id)) {
            daysOff.save(new DaysOffRow(id, person.orElse(null), off));
        }
    }

    public void takeBackOff(UUID off) {
        daysOff.findById(off).ifPresent(d -> d.goneAt = clock.instant());
    }

    /** @param minutes by what the station is; those that are the usual ones are kept too, as the shop's own */
    public void useChanges(Map<StationKind, Integer> minutes) {
        List<SetUpChangeRow> rows = new ArrayList<>();
        minutes.forEach((kind, m) -> {
            if (m < 0 || m > LONGEST_CHANGE) {
                throw new BadInputException("minutes", "app.crew.key-0-to-minutes", LONGEST_CHANGE);
            }
            rows.add(new SetUpChangeRow(kind, m));
        });
        rows.forEach(entities::merge);
    }
}
