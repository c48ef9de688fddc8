package homalon.app.shop.crew;

import homalon.app.foundation.opened.ToOwners;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.web.Page;
import homalon.app.foundation.words.Words;
import homalon.core.bench.ShopCrew;
import homalon.core.bench.StationKind;
import homalon.core.bench.UsualTimes;
import homalon.core.hours.DaysOff;
import homalon.core.hours.Stretch;
import homalon.core.hours.WeekHours;
import homalon.core.input.BadInputException;
import homalon.core.input.RefusedInputException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.jspecify.annotations.Nullable;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Hours, stations and people of the bench day; for the owner. */
@ToOwners
@Controller
@RequestMapping("/shop/crew")
@RequiredArgsConstructor
class CrewController {
    private final CrewBook crew;
    private final Journal journal;

    /** A day of a week in a form. */
    record Day(String field, String name, String hours) {}

    /** A station of the list. */
    record Station(String id, String name, String kind, int holds) {}

    /** Days off of the list. */
    record Off(UUID id, String who, String days, String why) {}

    /** Somebody of the list. */
    record Hand(UUID id, String name, boolean atBench, boolean ownHours, List<Day> days, Set<StationKind> skills) {}

    @GetMapping
    String page(Page page) {
        return page(page, null);
    }

    private String page(Page page, @Nullable String said) {
        return page.read(() -> {
            Optional<WeekHours> own = crew.ownHours();
            page.show("ownHours", own.isPresent());
            page.show("days", days(own.orElse(ShopCrew.USUAL_WEEK)));
            page.show("ownStations", crew.ownStations());
            page.show(
                    "stations",
                    crew.posts().stream()
                            .map(p -> new Station(
                                    p.id(), p.name(), Words.of(p.kind().words()), p.holds()))
                            .toList());
            page.show("kinds", StationKind.values());
            List<CrewBook.Worker> workers = crew.workers();
            page.show("hands", workers.stream().map(CrewController::hand).toList());
            Map<UUID, String> names = workers.stream()
                    .collect(Collectors.toMap(
                            w -> w.person().id(), w -> w.person().name()));
            page.show(
                    "off",
                    crew.off().stream()
                            .map(o -> new Off(
                                    o.id(),
                                    o.person()
                                            .map(p -> names.getOrDefault(p, "somebody who left"))
                                            .orElse("the whole shop"),
                                    days(o.off(), page),
                                    o.off().why()))
                            .toList());
            page.show("changes", crew.changes());
            page.show("ownChanges", crew.ownChanges().keySet());
            page.show("alone", UsualTimes.alone());
            page.show("nights", crew.nights());
            page.show("ownNights", crew.ownNights().isPresent());
            page.show("said", said);
            return "shop/crew/crew";
        });
    }

    private static String days(DaysOff off, Page page) {
        String from = page.shell().days().brief(off.from());
        return off.from().equals(off.to())
                ? from
                : from + " to " + page.shell().days().brief(off.to());
    }

    private static Hand hand(CrewBook.Worker worker) {
        return new Hand(
                worker.person().id(),
                worker.person().name(),
                worker.atBench(),
                worker.week().isPresent(),
                days(worker.week().orElse(WeekHours.NONE)),
                worker.skills());
    }

    private static List<Day> days(WeekHours week) {
        return Arrays.stream(DayOfWeek.values())
                .map(d -> new Day(
                        field(d), d.getDisplayName(TextStyle.FULL, Locale.ENGLISH), WeekHours.written(week.on(d))))
                .toList();
    }

    private static String field(DayOfWeek day) {
        return day.getDisplayName(TextStyle.SHORT, Locale.ENGLISH).toLowerCase(Locale.ROOT);
    }

    private static WeekHours week(Map<String, String> given) {
        Map<DayOfWeek, List<Stretch>> days = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : DayOfWeek.values()) {
            String keyed = given.getOrDefault(field(day), "");
            if (keyed.length() > 60) {
                throw new BadInputException(field(day), "app.crew.a-day-has-at-most-four-stretches");
            }
            days.put(day, WeekHours.read(keyed, field(day)));
        }
        return new WeekHours(days);
    }

    /** Something that may be refused in a sentence. */
    private interface Wish {
        void fulfil();
    }

    private String doing(Page page, String done, Wish wish) {
        try {
            wish.fulfil();
            journal.write(Journal.What.SETTINGS_CHANGED, page.me(), "bench day: " + done);
            return page(page, done);
        } catch (RefusedInputException e) {
            page.unprocessable();
            return page(page, Words.of(e.sentence()));
        }
    }

    @PostMapping("/hours")
    String hours(Page page, @RequestParam Map<String, String> given) {
        return doing(page, "The shop is open in these hours from now on.", () -> crew.useHours(week(given)));
    }

    @PostMapping("/stations")
    String station(Page page, @RequestParam String name, @RequestParam StationKind kind, @RequestParam int holds) {
        return doing(page, name.strip() + " is in the list.", () -> crew.add(name, kind, holds));
    }

    @PostMapping("/stations/retire")
    String retire(Page page, @RequestParam String station) {
        return doing(page, "That station is planned with no more.", () -> crew.retire(station));
    }

    @PostMapping("/hands")
    String hand(
            Page page,
            @RequestParam UUID person,
            @RequestParam(defaultValue = "false") boolean atBench,
            @RequestParam(defaultValue = "") List<StationKind> skills,
            @RequestParam Map<String, String> given) {
        return doing(page, "Work is planned for this person like that from now on.", () -> {
            WeekHours own = week(given);
            crew.keep(
                    person,
                    atBench,
                    skills.isEmpty() ? EnumSet.noneOf(StationKind.class) : EnumSet.copyOf(skills),
                    own.minutes() == 0 ? Optional.empty() : Optional.of(own));
        });
    }

    @PostMapping("/off")
    String off(
            Page page,
            @RequestParam UUID id,
            @RequestParam Optional<UUID> person,
            @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) LocalDate from,
            @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) Optional<LocalDate> to,
            @RequestParam(defaultValue = "") String why) {
        return doing(page, "Nothing is planned on those days.", () -> {
            LocalDate last = to.orElse(from);
            if (last.isBefore(from)) {
                throw new BadInputException("to", "app.crew.the-last-day-is-before-the-first");
            }
            crew.keepOff(id, person, new DaysOff(from, last, why.strip()));
        });
    }

    @PostMapping("/off/back")
    String back(Page page, @RequestParam UUID off) {
        return doing(page, "Those days are planned with again.", () -> crew.takeBackOff(off));
    }

    @PostMapping("/nights")
    String nights(Page page, @RequestParam(defaultValue = "") List<StationKind> runs) {
        return doing(page, "Nights are planned like that from now on.", () -> crew.useNights(Set.copyOf(runs)));
    }

    @PostMapping("/changes")
    String changes(Page page, @RequestParam Map<String, String> given) {
        return doing(page, "Set-ups count like that from now on.", () -> {
            Map<StationKind, Integer> minutes = new EnumMap<>(StationKind.class);
            List<String> wrong = new ArrayList<>();
            for (StationKind kind : ShopCrew.USUAL_CHANGES.keySet()) {
                String keyed = given.getOrDefault(kind.name(), "").strip();
                if (keyed.matches("[0-9]{1,3}")) {
                    minutes.put(kind, Integer.parseInt(keyed));
                } else {
                    wrong.add(keyed);
                }
            }
            if (!wrong.isEmpty()) {
                throw new BadInputException("minutes", "app.crew.key-0-to-minutes", 600);
            }
            crew.useChanges(minutes);
        });
    }
}
