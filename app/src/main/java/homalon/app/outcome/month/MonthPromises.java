package homalon.app.outcome.month;

import homalon.app.casting.agreed.AgreedBook;
import homalon.app.casting.part.Parts;
import homalon.app.foundation.web.Page;
import homalon.app.foundation.words.Words;
import homalon.core.visit.PartFile;
import homalon.core.visit.Promises;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Promises whose day was in a month, and which of them were kept. */
@Component
@RequiredArgsConstructor
class MonthPromises {
    private final AgreedBook agreed;
    private final Parts parts;

    /** @param share of a hundred; empty where there are too few to say */
    record Kept(String kind, int kept, int all, String share) {}

    record Told(String tag, String name, String day, String fate) {}

    void show(Page page, YearMonth month, LocalDate today) {
        List<UUID> visits = agreed.visitsWith(month.atDay(1), month.atEndOfMonth());
        Map<UUID, List<AgreedBook.Promise>> promises = agreed.promises(visits);
        List<Promises.Counted> counted = new ArrayList<>();
        List<Told> told = new ArrayList<>();
        for (PartFile part : parts.asVisited(visits)) {
            List<AgreedBook.Promise> own = promises.getOrDefault(part.visit().id(), List.of());
            List<Promises.Fate> fates = Promises.of(
                    own.stream().map(p -> p.said().day()).toList(),
                    part.visit().releasedAt().map(at -> LocalDate.ofInstant(at, ZoneId.systemDefault())),
                    today);
            for (int i = 0; i < own.size(); i++) {
                LocalDate day = own.get(i).said().day();
                if (YearMonth.from(day).equals(month)) {
                    counted.add(new Promises.Counted(Words.of(part.kindWords()), fates.get(i)));
                    told.add(new Told(
                            part.tag(),
                            part.name(),
                            page.shell().days().briefWithWeekday(day),
                            Words.of(fates.get(i).words())));
                }
            }
        }
        page.show(
                "kept",
                Promises.count(counted).entrySet().stream()
                        .map(e -> new Kept(
                                e.getKey(),
                                e.getValue().kept(),
                                e.getValue().all(),
                                e.getValue().percent().isPresent()
                                        ? e.getValue().percent().getAsInt() + " of 100"
                                        : ""))
                        .toList());
        page.show("told", told);
    }
}
