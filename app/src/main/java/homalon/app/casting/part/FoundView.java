package homalon.app.casting.part;

import homalon.app.foundation.time.WrittenDay;
import homalon.app.foundation.web.Page;
import homalon.app.foundation.words.Words;
import homalon.core.quantity.DayForm;
import homalon.core.visit.PartFile;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A casting in a list of those that were found.
 *
 * @param what kind, bore, casting number and stamps
 * @param where whether it is in the shop, what it waits for, or when it left
 * @param visits how often it was here; empty for once
 */
public record FoundView(String tag, String name, String customer, String what, String where, String visits) {
    public static List<FoundView> of(List<PartFile> parts, Page page) {
        return parts.stream()
                .map(p -> new FoundView(
                        p.tag(),
                        p.name(),
                        p.customer(),
                        Stream.of(
                                        Words.of(p.kindWords()),
                                        "bore " + page.writer().size(p.numbers().bore()),
                                        p.castingNumber(),
                                        p.stamps())
                                .filter(s -> !s.isBlank())
                                .collect(Collectors.joining(" · ")),
                        where(p.visit(), page.shell().days()),
                        p.visits() == 1 ? "" : "visit " + p.visits()))
                .toList();
    }

    private static String where(PartFile.Visit visit, DayForm days) {
        String came = "came " + WrittenDay.of(visit.openedAt(), days);
        return visit.releasedAt()
                .map(at -> "handed over " + WrittenDay.of(at, days))
                .or(() -> visit.stuck().map(s -> came + ", waits " + Words.of(s.on().within()) + ": " + s.why()))
                .orElseGet(() -> "in the shop, " + came
                        + visit.due().map(d -> ", due " + days.day(d)).orElse(""));
    }
}
