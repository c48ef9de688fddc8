package homalon.app.outcome.day;

import homalon.app.foundation.drawing.SteelRule;
import homalon.app.foundation.words.Words;
import homalon.app.shop.crew.CrewBook;
import homalon.core.bench.DayPlan.Told;
import homalon.core.bench.DayPlan.ToldPart;
import homalon.core.bench.PlanWords;
import homalon.core.bench.Posted;
import homalon.core.bench.RouteWorks;
import homalon.core.bench.ShopCrew;
import homalon.core.bench.Why;
import homalon.core.hours.OpenTime;
import homalon.core.hours.Stretch;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Lays a plan under the rule: stations or people as lanes, from a little before now on. */
@Component
@RequiredArgsConstructor
class DayRule {
    static final int WEEK = 7;
    /** Open minutes of a day at the bench, whenever it begins. */
    private static final int DAY_LONG = 9 * 60;

    private static final int BEFORE_NOW = 45;
    private static final int QUARTER = 15;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d", Locale.ENGLISH);
    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("H:mm", Locale.ENGLISH);

    private final CrewBook crews;

    /** @param work that is looked at: all of its casting stands out */
    String svg(Posted posted, Instant now, int days, boolean people, Optional<String> work) {
        ShopCrew crew = crews.crew();
        ZoneId zone = ZoneId.systemDefault();
        OpenTime time = time(crew, now, days, zone);
        Laid laid = new Laid(posted, time, zone, work.map(RouteWorks::casting), people, days, pinned(posted));
        List<SteelRule.Lane> lanes = new ArrayList<>();
        if (people) {
            crews.workers().stream()
                    .filter(CrewBook.Worker::atBench)
                    .forEach(w -> lanes.add(
                            laid.person(w.person().id().toString(), w.person().name())));
        } else {
            crew.stations().forEach(p -> lanes.add(laid.station(p)));
            laid.outside().ifPresent(lanes::add);
        }
        return SteelRule.svg(
                openings(time, zone),
                lanes,
                time.before(now),
                people ? "What everybody does, hour by hour" : "What is on every station, hour by hour");
    }

    /** From a quarter before now, so that what is being done is seen from its begin. */
    private static OpenTime time(ShopCrew crew, Instant now, int days, ZoneId zone) {
        ZonedDateTime before = now.atZone(zone).minusMinutes(BEFORE_NOW).truncatedTo(ChronoUnit.MINUTES);
        Instant from = before.minusMinutes(before.getMinute() % QUARTER).toInstant();
        return days == 1 ? crew.time(from, WEEK, zone).first(DAY_LONG) : crew.time(from, days, zone);
    }

    private static List<SteelRule.Opening> openings(OpenTime time, ZoneId zone) {
        List<SteelRule.Opening> all = new ArrayList<>();
        LocalDate before = LocalDate.MIN;
        for (Stretch s : time.stretches()) {
            LocalDateTime at = LocalDateTime.ofInstant(time.from().plusSeconds(60L * s.from()), zone);
            boolean first = !at.toLocalDate().equals(before);
            before = at.toLocalDate();
            all.add(new SteelRule.Opening(
                    at.getHour() * 60 + at.getMinute(), s.minutes(), first ? DAY.format(at) : ""));
        }
        return all;
    }

    private static Set<String> pinned(Posted posted) {
        return posted.lines().stream()
                .filter(l -> l.why().holds() == Why.Holds.PINNED)
                .map(l -> l.told().work())
                .collect(Collectors.toSet());
    }

    /** The plan on one stretch of time. */
    private record Laid(
            Posted posted,
            OpenTime time,
            ZoneId zone,
            Optional<String> casting,
            boolean people,
            int days,
            Set<String> pinned) {
        SteelRule.Lane station(ShopCrew.Post post) {
            List<Told> here = posted.told().stream()
                    .filter(t -> t.station().equals(post.id()))
                    .filter(this::shown)
                    .sorted(Comparator.comparing(Told::from))
                    .toList();
            return lane(post.name(), here, down(post));
        }

        private List<SteelRule.Block> down(ShopCrew.Post post) {
            return post.down().stream()
                    .map(d -> new Stretch(at(d.from()), d.to().map(this::at).orElse(time.length())))
                    .filter(s -> s.minutes() > 0)
                    .map(s -> new SteelRule.Block(
                            SteelRule.Kind.AWAY,
                            s.from(),
                            s.to(),
                            0,
                            "",
                            "",
                            post.name() + " cannot be used",
                            "",
                            false,
                            false))
                    .toList();
        }

        Optional<SteelRule.Lane> outside() {
            List<Told> here = posted.told().stream()
                    .filter(t -> t.station().isEmpty() && shown(t))
                    .toList();
            return here.isEmpty() ? Optional.empty() : Optional.of(lane("Outside the shop", here, List.of()));
        }

        private boolean shown(Told told) {
            return at(told.from()) < time.length() && told.to().isAfter(time.from());
        }

        /** Works that overlap stand one below the other. */
        private SteelRule.Lane lane(String name, List<Told> here, List<SteelRule.Block> away) {
            List<Integer> ends = new ArrayList<>();
            List<SteelRule.Block> blocks = new ArrayList<>(away);
            for (Told told : here) {
                int from = at(told.from()) - told.setUp();
                int row = 0;
                while (row < ends.size() && ends.get(row) > from) {
                    row++;
                }
                int to = Math.max(from + 1, at(told.to()));
                if (row == ends.size()) {
                    ends.add(to);
                } else {
                    ends.set(row, to);
                }
                blocks.addAll(blocks(told, row));
            }
            return new SteelRule.Lane(name, Math.max(1, ends.size()), blocks);
        }

        private List<SteelRule.Block> blocks(Told told, int row) {
            List<SteelRule.Block> all = new ArrayList<>();
            setUp(told, row).ifPresent(all::add);
            int held = at(told.from());
            for (ToldPart part : told.parts()) {
                if (at(part.from()) > held) {
                    all.add(block(SteelRule.Kind.HELD, told, held, at(part.from()), row, "stays there"));
                }
                held = at(part.to());
                all.add(piece(told, part, row));
            }
            return all;
        }

        private Optional<SteelRule.Block> setUp(Told told, int row) {
            int from = at(told.from());
            return told.setUp() > 0
                    ? Optional.of(block(
                            SteelRule.Kind.SET_UP,
                            told,
                            Math.max(0, from - told.setUp()),
                            from,
                            row,
                            "set up for it, " + told.setUp() + " min"))
                    : Optional.empty();
        }

        private SteelRule.Block piece(Told told, ToldPart part, int row) {
            boolean alone = part.person().isEmpty();
            return block(
                    alone ? SteelRule.Kind.ALONE : SteelRule.Kind.HANDS,
                    told,
                    at(part.from()),
                    Math.max(at(part.from()) + 1, at(part.to())),
                    row,
                    clock(part.from()) + " to " + clock(part.to()) + (alone ? ", by itself" : ""));
        }

        private SteelRule.Block block(SteelRule.Kind kind, Told told, int from, int to, int row, String more) {
            String words =
                    Words.of(PlanWords.work(told.work())) + (pinned.contains(told.work()) ? ", in hand or pinned" : "");
            String tag = RouteWorks.casting(told.work());
            return new SteelRule.Block(
                    kind,
                    from,
                    Math.min(time.length(), to),
                    row,
                    kind == SteelRule.Kind.SET_UP ? "" : tag,
                    kind == SteelRule.Kind.SET_UP
                            ? ""
                            : Words.of(RouteWorks.operation(told.work()).words()),
                    words + ": " + more,
                    kind == SteelRule.Kind.HELD
                            ? ""
                            : "/day/rule?by=" + (people ? "people" : "stations") + "&days=" + days + "&work="
                                    + URLEncoder.encode(told.work(), StandardCharsets.UTF_8) + "#chosen",
                    casting.filter(tag::equals).isPresent(),
                    pinned.contains(told.work()));
        }

        SteelRule.Lane person(String id, String name) {
            List<SteelRule.Block> blocks = new ArrayList<>();
            for (Told told : posted.told()) {
                for (int i = 0; i < told.parts().size(); i++) {
                    ToldPart part = told.parts().get(i);
                    if (part.person().equals(id) && shown(told) && at(part.to()) > 0) {
                        if (i == 0) {
                            setUp(told, 0).ifPresent(blocks::add);
                        }
                        blocks.add(piece(told, part, 0));
                    }
                }
            }
            return new SteelRule.Lane(name, 1, blocks);
        }

        private int at(Instant moment) {
            return time.before(moment);
        }

        private String clock(Instant at) {
            return CLOCK.format(LocalDateTime.ofInstant(at, zone));
        }
    }
}
