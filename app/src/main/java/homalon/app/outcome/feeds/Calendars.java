package homalon.app.outcome.feeds;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.property.Uid;
import homalon.app.casting.part.InTheShop;
import homalon.app.foundation.words.Words;
import homalon.app.outcome.plan.DayPlans;
import homalon.core.bench.DayPlan;
import homalon.core.bench.PlanWords;
import homalon.core.bench.Posted;
import homalon.core.visit.PartFile;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Date;
import java.util.List;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.util.StringUtils;

/** What stands in a calendar: tags and what is done, nothing of customers, since an address may come into other hands. */
@Component
@RequiredArgsConstructor
class Calendars {
    private static final Duration AHEAD = Duration.ofDays(14);

    private final DayPlans plans;
    private final InTheShop shop;
    private final Clock clock;

    String of(FeedBook.Feed feed) {
        ICalendar calendar = new ICalendar();
        calendar.setProductId("-//Homalon//EN");
        if (feed.person().isPresent()) {
            day(calendar, feed.person().get());
        } else {
            due(calendar);
        }
        return Biweekly.write(calendar).go();
    }

    /** Pieces of work that need this person. */
    private void day(ICalendar calendar, UUID person) {
        Instant now = clock.instant();
        for (Posted.Turn turn : plans.now().posted().of(person.toString(), now)) {
            if (turn.from().isBefore(now.plus(AHEAD))) {
                String work = turn.line().told().work();
                VEvent event = new VEvent();
                event.setUid(new Uid(work + "/" + turn.piece() + "@homalon"));
                event.setSummary(StringUtils.capitalize(Words.of(PlanWords.work(work))));
                event.setDateStart(Date.from(turn.from().minus(Duration.ofMinutes(turn.setUp()))));
                event.setDateEnd(Date.from(turn.to()));
                calendar.addEvent(event);
            }
        }
    }

    /** The day that was promised, else the one that was asked for. */
    private void due(ICalendar calendar) {
        List<PartFile> here = shop.firstDue(DayPlan.CASTINGS);
        for (PartFile part : here) {
            part.visit().day().ifPresent(day -> {
                VEvent event = new VEvent();
                event.setUid(new Uid(part.visit().id() + "@homalon"));
                event.setSummary(part.tag() + (part.visit().promised().isPresent() ? " promised" : " wanted"));
                event.setDateStart(date(day), false);
                event.setDateEnd(date(day.plusDays(1)), false);
                calendar.addEvent(event);
            });
        }
    }

    private static Date date(LocalDate day) {
        return Date.from(day.atStartOfDay(ZoneId.systemDefault()).toInstant());
    }
}
