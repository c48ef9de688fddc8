package homalon.app.outcome.day;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.foundation.people.People;
import homalon.app.foundation.security.PinSignIn;
import homalon.app.shop.crew.CrewBook;
import homalon.app.testing.AroundTheClock;
import homalon.app.testing.HandsOfTests;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import homalon.core.bench.Posted;
import homalon.core.bench.RouteWorks;
import homalon.core.bench.ShopCrew;
import homalon.core.bench.StationKind;
import homalon.core.hours.DaysOff;
import homalon.core.visit.PartFile;
import java.net.http.HttpResponse;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** The day elsewhere than on its own page: on the wall, on paper, in a calendar, and as what the bench shows. */
class DayElsewhereTest {
    private static AroundTheClock open;
    private static RunningShop.Shop shop;
    private static Visitor ines;
    private static Visitor marit;
    private static HandsOfTests hands;

    @BeforeAll
    static void opens() {
        open = AroundTheClock.open();
        shop = open.shop();
        ines = open.ines();
        marit = open.marit();
        hands = open.hands();
    }

    @AfterAll
    static void close() {
        shop.close();
    }

    private static Posted plan() {
        return open.plan();
    }

    /** Read without signing in, so nothing of customers stands there; and only where an owner enabled the device. */
    @Test
    void theWallIsReadOnAnEnabledDeviceAloneAndNamesNoCustomer() {
        PartFile head = hands.bookFor("Reedmouth Dredging");
        ines.key("/parts/" + head.tag() + "/clean", "id", AroundTheClock.id(), "method", "SOLVENT", "what", "SOLVENT");
        plan();
        Visitor nobody = new Visitor(shop.port());
        assertEquals(302, nobody.get("/wall").statusCode());
        Visitor device = new Visitor(shop.port());
        String token = shop.bean(People.class).enableDevice("wall", hands.ines());
        device.through("Cookie", PinSignIn.COOKIE + "=" + token);
        HttpResponse<String> wall = device.get("/wall");
        assertEquals(200, wall.statusCode());
        assertTrue(wall.body().contains(head.tag()), "Ines is at it");
        assertFalse(wall.body().contains("Reedmouth"), wall.body());
        assertFalse(wall.body().contains("Ferries"), wall.body());
        assertEquals(302, device.get("/day").statusCode(), "and nothing else");
    }

    /** Somebody who is away today looks for the next day; a sheet can be had of any. */
    @Test
    void whereNothingIsLeftTodayTheNextDayIsShown() {
        CrewBook crew = shop.bean(CrewBook.class);
        UUID away = hands.ines();
        LocalDate today = LocalDate.now(ZoneId.systemDefault());
        crew.keepOff(UUID.randomUUID(), Optional.of(away), new DaysOff(today, today, ""));
        try {
            Posted plan = plan();
            LocalDate next = LocalDate.ofInstant(
                    plan.of(away.toString(), Instant.now()).get(0).from(), ZoneId.systemDefault());
            assertTrue(next.isAfter(today));
            String mine = ines.get("/day").body();
            assertTrue(mine.contains("Nothing more today: this is the next day with work."), mine);
            assertTrue(mine.contains("day-row"), mine);
            String sheet = ines.get("/day/sheet").body();
            assertTrue(sheet.contains("Nothing planned for the rest of today."), "the others have work today");
            assertTrue(sheet.contains("/day/sheet?day=" + today.plusDays(1)), sheet);
            String later = ines.get("/day/sheet?day=" + next).body();
            String first = RouteWorks.casting(
                    plan.of(away.toString(), Instant.now()).get(0).line().told().work());
            assertTrue(later.contains(first), later);
            assertEquals(200, ines.get("/day/sheet?day=1999-01-01").statusCode());
        } finally {
            crew.off().forEach(o -> crew.takeBackOff(o.id()));
        }
    }

    @Test
    void theDaySheetHasEverybodysDayOnPaper() {
        Posted plan = plan();
        String sheet = ines.get("/day/sheet").body();
        for (ShopCrew.Hand hand : shop.bean(CrewBook.class).crew().hands()) {
            String own = ines.get("/day/sheet?who=" + hand.id()).body();
            boolean today = plan.of(hand.id(), Instant.now()).stream()
                    .anyMatch(t -> LocalDate.ofInstant(t.from(), ZoneId.systemDefault())
                            .equals(LocalDate.now(ZoneId.systemDefault())));
            assertEquals(today, own.contains("☐"), own);
            assertEquals(1, own.split("<section class=\"mb-6", -1).length - 1);
        }
        assertEquals(
                shop.bean(CrewBook.class).crew().hands().size(), sheet.split("<section class=\"mb-6", -1).length - 1);
    }

    @Test
    void theBenchShowsOnlyWhatIsChosen() {
        PartFile head = hands.bookFor("Reedmouth Dredging");
        Posted plan = plan();
        String who = AroundTheClock.line(plan, head.tag() + "/CLEAN")
                .told()
                .parts()
                .get(0)
                .person();
        String own = ines.get("/?customer=reedmouth&step=CLEAN&person=" + who).body();
        assertTrue(own.contains("/parts/" + head.tag() + "/clean"), own);
        assertFalse(own.contains("class=\"tag\">T-0412<"), "that is the ferry's");
        assertFalse(ines.get("/?customer=reedmouth&step=CUT").body().contains("class=\"tag\">" + head.tag()));
        String surfacer = shop.bean(CrewBook.class).posts().stream()
                .filter(p -> p.kind() == StationKind.SURFACER)
                .findFirst()
                .orElseThrow()
                .id();
        String there = ines.get("/?station=" + surfacer).body();
        for (String tag : plan.lines().stream()
                .map(l -> RouteWorks.casting(l.told().work()))
                .distinct()
                .toList()) {
            boolean planned =
                    plan.of(tag).stream().anyMatch(l -> l.told().station().equals(surfacer));
            assertEquals(planned, there.contains("class=\"tag\">" + tag + "<"), tag);
        }
        assertTrue(ines.get("/?step=NONE").body().contains("None of the first castings due is like that."));
    }

    /** Under an address that nobody can guess, until it is taken back. */
    @Test
    void aCalendarReadsTheDayUnderAnAddressThatCanBeTakenBack() {
        PartFile head = hands.bookFor("Reedmouth Dredging");
        ines.key("/parts/" + head.tag() + "/clean", "id", AroundTheClock.id(), "method", "SOLVENT", "what", "SOLVENT");
        plan();
        ines.get("/day/feeds");
        String made = ines.post("/day/feeds", "of", "day").body();
        String path = made.replaceAll("(?s).*value=\"[^\"]*(/feeds/[A-Za-z0-9_-]{43}\\.ics)\".*", "$1");
        Visitor phone = new Visitor(shop.port());
        HttpResponse<String> calendar = phone.get(path);
        assertEquals(200, calendar.statusCode());
        assertTrue(calendar.headers().firstValue("content-type").orElse("").startsWith("text/calendar"));
        String text = calendar.body();
        assertTrue(text.startsWith("BEGIN:VCALENDAR"), text);
        assertTrue(text.contains("SUMMARY:" + head.tag() + "\\, crack check"), text);
        assertFalse(text.contains("Reedmouth"), text);
        assertFalse(ines.get("/day/feeds").body().contains(path), "it is shown once");
        marit.get("/day/feeds");
        String feed = ines.get("/day/feeds").body().replaceAll("(?s).*name=\"feed\" value=\"([^\"]+)\".*", "$1");
        marit.post("/day/feeds/back", "feed", feed);
        assertEquals(200, phone.get(path).statusCode(), "another's stays");
        ines.post("/day/feeds/back", "feed", feed);
        assertEquals(404, phone.get(path).statusCode());
        String due = ines.post("/day/feeds", "of", "due").body();
        String days = due.replaceAll("(?s).*value=\"[^\"]*(/feeds/[A-Za-z0-9_-]{43}\\.ics)\".*", "$1");
        assertTrue(phone.get(days).body().contains(" wanted"), "days that were asked for");
        assertEquals(404, phone.get("/feeds/nothing.ics").statusCode());
    }
}
