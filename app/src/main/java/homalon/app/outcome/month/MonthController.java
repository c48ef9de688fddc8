package homalon.app.outcome.month;

import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.web.Page;
import homalon.app.outcome.times.MonthTimes;
import homalon.core.input.BadInputException;
import homalon.core.visit.Promises;
import java.time.Clock;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.Locale;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** How a month went: hours, set-ups, waiting, and the promises whose day was in it. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class MonthController {
    private static final DateTimeFormatter NAME = DateTimeFormatter.ofPattern("MMMM yyyy", Locale.ENGLISH);

    private final MonthPromises promises;
    private final MonthTimes times;
    private final Clock clock;

    @GetMapping("/day/month")
    String page(Page page, @RequestParam(defaultValue = "") String of) {
        return page.read(() -> {
            LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
            YearMonth month = month(of, YearMonth.from(today));
            promises.show(page, month, today);
            page.show("times", times.of(month, ZoneId.systemDefault()));
            page.show("name", NAME.format(month));
            page.show("before", month.minusMonths(1).toString());
            page.show("after", month.plusMonths(1).toString());
            page.show("enough", Promises.ENOUGH);
            return "outcome/month/month";
        });
    }

    private static YearMonth month(String of, YearMonth now) {
        try {
            YearMonth month = of.isBlank() ? now : YearMonth.parse(of.strip());
            if (month.isBefore(now.minusYears(50)) || month.isAfter(now.plusYears(2))) {
                throw new BadInputException("of", "app.agreed.key-a-month", now.toString());
            }
            return month;
        } catch (DateTimeParseException e) {
            throw new BadInputException("of", "app.agreed.key-a-month", now.toString());
        }
    }
}
