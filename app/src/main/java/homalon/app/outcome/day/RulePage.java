package homalon.app.outcome.day;

import homalon.app.foundation.web.Page;
import homalon.app.foundation.words.Words;
import homalon.app.outcome.plan.DayPlans;
import homalon.app.shop.crew.CrewBook;
import homalon.core.bench.PlanWords;
import homalon.core.bench.Posted;
import homalon.core.bench.RouteWorks;
import homalon.core.input.RefusedInputException;
import homalon.core.route.Operation;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** The rule as a page, whatever was just said on it. */
@Component
@RequiredArgsConstructor
class RulePage {
    private final DayPlans plans;
    private final CrewBook crews;
    private final DayRule rule;
    private final DayHead head;
    private final DayWords words;
    private final ChosenWork chosen;
    private final Clock clock;

    /**
     * What of it is looked at.
     *
     * @param by people, or else stations
     * @param days 1 for the next hours, else a week
     * @param work that is looked at more closely
     */
    record Look(String by, int days, Optional<String> work) {
        static final Look USUAL = new Look("stations", 1, Optional.empty());

        Look {
            by = by.equals("people") ? by : "stations";
            days = days == 1 ? 1 : DayRule.WEEK;
        }

        boolean people() {
            return by.equals("people");
        }
    }

    /** One who may be looked at. */
    record Who(UUID id, String name) {}

    String show(Page page, Look look, DayPlans.Plan plan) {
        return page.read(() -> {
            Instant now = clock.instant();
            Posted posted = plan.posted();
            head.show(page, plan, now);
            page.show("by", look.by());
            page.show("days", look.days());
            Optional<Posted.Line> line = look.work().flatMap(posted::line);
            Optional<String> work = line.map(l -> l.told().work());
            page.show("drawing", rule.svg(posted, now, look.days(), look.people(), work));
            page.show("chosen", line.map(l -> chosen.of(l, posted, page)).orElse(null));
            page.show("stations", crews.posts());
            page.show(
                    "hands",
                    crews.workers().stream()
                            .filter(CrewBook.Worker::atBench)
                            .map(w -> new Who(w.person().id(), w.person().name()))
                            .toList());
            page.show("tags", tags(posted));
            page.show("moved", posted.moved().stream().map(c -> moved(c, page)).toList());
            page.show("rows", posted.inARow(Operation.CUT));
            page.show("down", crews.down().stream().map(d -> down(d, page)).toList());
            return "outcome/day/rule";
        });
    }

    /** Does what was said, plans anew at once, and tells what came of it. */
    String changed(Page page, Look look, String done, Runnable change) {
        Consumer<String> said = s -> page.show("said", s);
        try {
            change.run();
            said.accept(plans.follow() ? done : "That is kept. The plan follows in some seconds.");
        } catch (RefusedInputException e) {
            page.unprocessable();
            said.accept(Words.of(e.sentence()));
        }
        page.show("tried", false);
        return show(page, look, plans.now());
    }

    private static List<String> tags(Posted posted) {
        return posted.told().stream()
                .map(t -> RouteWorks.casting(t.work()))
                .distinct()
                .sorted()
                .toList();
    }

    private String moved(Posted.Move move, Page page) {
        String work = Words.of(PlanWords.work(move.work())) + ": ";
        if (move.begins().equals(move.was())) {
            return work + DayWords.moment(move.was(), page) + " as before, in other hands or on another station.";
        }
        return work + "from " + DayWords.moment(move.was(), page) + " to " + DayWords.moment(move.begins(), page) + "."
                + (move.begins().isAfter(move.was()) ? " " + Words.of(PlanWords.why(move.why(), words.names())) : "");
    }

    /** A station that is down. */
    record Down(UUID id, String name, String until, String why) {}

    private Down down(CrewBook.SaidDown said, Page page) {
        return new Down(
                said.id(),
                words.names().apply(said.station()),
                said.down().to().map(t -> "until " + DayWords.moment(t, page)).orElse("until it is said to be mended"),
                said.why());
    }
}
