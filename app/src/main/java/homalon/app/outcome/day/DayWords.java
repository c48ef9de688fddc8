package homalon.app.outcome.day;

import homalon.app.casting.part.StepPages;
import homalon.app.foundation.web.Page;
import homalon.app.foundation.words.Words;
import homalon.app.shop.crew.CrewBook;
import homalon.core.bench.PlanWords;
import homalon.core.bench.Posted;
import homalon.core.bench.ShopCrew;
import homalon.core.route.Operation;
import homalon.core.route.StepKind;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.util.StringUtils;

/** What a plan tells, in the words and at the clock of the shop. */
@Component
@RequiredArgsConstructor
public class DayWords {
    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("H:mm", Locale.ENGLISH);

    private final CrewBook crews;

    static ZoneId zone() {
        return ZoneId.systemDefault();
    }

    static String clock(Instant at) {
        return CLOCK.format(at.atZone(zone()));
    }

    public static String moment(Instant at, Page page) {
        return page.shell().days().moment(LocalDateTime.ofInstant(at, zone()));
    }

    /** Names of stations and people, by what a plan calls them. */
    UnaryOperator<String> names() {
        Map<String, String> all =
                crews.posts().stream().collect(Collectors.toMap(ShopCrew.Post::id, ShopCrew.Post::name));
        crews.workers()
                .forEach(w -> all.put(w.person().id().toString(), w.person().name()));
        return id -> all.getOrDefault(id, id);
    }

    /** Why a work is not earlier, link by link; what is said of another work begins with its name. */
    public List<String> chain(Posted posted, String work) {
        UnaryOperator<String> names = names();
        return posted.chain(work).stream()
                .map(l ->
                        (l.work().equals(work) ? "" : StringUtils.capitalize(Words.of(PlanWords.work(l.work()))) + ": ")
                                + Words.of(PlanWords.why(l, names)))
                .toList();
    }

    /** The page on which an operation is keyed. */
    static String path(String tag, Operation operation) {
        return "/parts/" + tag + "/"
                + Arrays.stream(StepKind.values())
                        .filter(k -> k.operation().equals(Optional.of(operation)))
                        .findFirst()
                        .map(StepPages::path)
                        .orElse("route");
    }
}
