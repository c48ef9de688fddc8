package homalon.app.outcome.feeds;

import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToVisitors;
import homalon.app.foundation.web.NotHereException;
import homalon.app.foundation.web.Page;
import homalon.app.foundation.web.ReadTransaction;
import homalon.app.foundation.words.Words;
import homalon.core.input.RefusedInputException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** Addresses for a calendar outside, and what stands under them. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class FeedController {
    private static final MediaType CALENDAR = MediaType.parseMediaType("text/calendar;charset=UTF-8");

    private final FeedBook feeds;
    private final Calendars calendars;
    private final ReadTransaction reading;

    record Shown(UUID id, String what, String made) {}

    @GetMapping("/day/feeds")
    String page(Page page) {
        return page(page, null, null);
    }

    private String page(Page page, @Nullable String address, @Nullable String said) {
        return page.read(() -> {
            page.show(
                    "feeds",
                    feeds.of(page.me()).stream()
                            .map(f -> new Shown(
                                    f.id(),
                                    f.person().isPresent() ? "My day" : "Days on which castings are due",
                                    page.shell().days().brief(LocalDate.ofInstant(f.madeAt(), ZoneId.systemDefault()))))
                            .toList());
            page.show("address", address);
            page.show("said", said);
            return "outcome/feeds/feeds";
        });
    }

    /** @param of {@code day} for one's own, else the days on which castings are due */
    @PostMapping("/day/feeds")
    String make(Page page, @RequestParam(defaultValue = "day") String of) {
        try {
            Optional<UUID> person = of.equals("day") ? Optional.of(page.me()) : Optional.empty();
            String address = ServletUriComponentsBuilder.fromCurrentContextPath()
                    .path("/feeds/{token}.ics")
                    .buildAndExpand(feeds.make(person, page.me()))
                    .toUriString();
            return page(page, address, null);
        } catch (RefusedInputException e) {
            page.unprocessable();
            return page(page, null, Words.of(e.sentence()));
        }
    }

    @PostMapping("/day/feeds/back")
    String takeBack(Page page, @RequestParam UUID feed) {
        feeds.takeBack(feed, page.me());
        return page(page, null, "Nothing stands under that address any more.");
    }

    @ToVisitors
    @GetMapping("/feeds/{token}.ics")
    ResponseEntity<String> calendar(@PathVariable String token) {
        FeedBook.Feed feed = feeds.at(token)
                .orElseThrow(() -> new NotHereException("Nothing stands under this address: make one under My day."));
        return ResponseEntity.ok()
                .contentType(CALENDAR)
                .cacheControl(CacheControl.noStore())
                .body(reading.of(() -> calendars.of(feed)));
    }
}
