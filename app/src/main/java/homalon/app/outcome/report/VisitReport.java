package homalon.app.outcome.report;

import homalon.app.foundation.people.People;
import homalon.app.foundation.settings.ShopLogos;
import homalon.app.foundation.time.WrittenDay;
import homalon.app.foundation.web.Shop;
import homalon.app.foundation.words.Words;
import homalon.core.quantity.DayForm;
import homalon.core.visit.PartFile;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** The head of a report: whose casting it is, when it came and why. */
@Component
@RequiredArgsConstructor
class VisitReport {
    private final People people;
    private final Shop shop;
    private final Clock clock;
    private final ShopLogos logos;

    String shop() {
        return shop.name();
    }

    /** That of the day on which it was handed over; while it is here, that of now. */
    Optional<String> logo(PartFile part) {
        return logos.at(part.visit().releasedAt().orElseGet(clock::instant));
    }

    String today(DayForm days) {
        return WrittenDay.of(clock.instant(), days);
    }

    List<ReportView.Fact> facts(PartFile part, DayForm days) {
        PartFile.Visit visit = part.visit();
        List<ReportView.Fact> facts = new ArrayList<>();
        fact(
                facts,
                "Casting",
                Words.of(part.kindWords()) + (part.castingNumber().isEmpty() ? "" : ", " + part.castingNumber()));
        fact(facts, "For", part.customer());
        fact(
                facts,
                "Came in",
                WrittenDay.of(visit.openedAt(), days) + (part.visits() > 1 ? ", visit " + visit.no() : ""));
        fact(facts, "What happened", visit.history());
        fact(facts, "Wanted", visit.wishes());
        fact(
                facts,
                "Gasket",
                Stream.concat(visit.gasketKind().map(it -> Words.of(it.words())).stream(), Stream.of(visit.gasket()))
                        .filter(w -> !w.isEmpty())
                        .collect(Collectors.joining(", ")));
        visit.releasedAt()
                .ifPresent(at -> fact(
                        facts,
                        "Handed over",
                        WrittenDay.of(at, days) + " by "
                                + visit.releasedBy()
                                        .map(p -> people.names().getOrDefault(p, "someone"))
                                        .orElse("someone")));
        return facts;
    }

    private static void fact(List<ReportView.Fact> facts, String name, String value) {
        if (!value.isEmpty()) {
            facts.add(new ReportView.Fact(name, value));
        }
    }
}
