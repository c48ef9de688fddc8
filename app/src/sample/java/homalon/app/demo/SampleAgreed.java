package homalon.app.demo;

import homalon.app.casting.agreed.AgreedBook;
import homalon.app.casting.part.Parts;
import homalon.app.foundation.time.ShopClock;
import homalon.core.visit.Owed;
import homalon.core.visit.PartFile;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;

/** What was agreed with customers of the sample shop: days that they were told, what they owe, calls. */
@OfTheDemo
@RequiredArgsConstructor
class SampleAgreed {
    private final AgreedBook agreed;
    private final Parts parts;
    private final ShopClock clock;

    void all(UUID desk) {
        promised("T-0412", 2, 3, "the second engineer", desk);
        promised("T-0409", 4, 5, "", desk);
        promised("T-0401", 9, -1, "the museum's keeper", desk);
        promised("T-0402", 9, 6, "the museum's keeper", desk);
        promised("T-0415", 3, 1, "", desk);
        promised("T-0415", 1, 4, "the skipper", desk);
        owed("T-0406", 4, Owed.ANSWER, "repair or replace? asked with the price", Optional.empty(), desk);
        called("T-0406", 2, "no answer; again in the morning", Optional.of(0), desk);
        owed("T-0412", 1, Owed.DOWELS, "both, lost with the old gasket", Optional.of(2), desk);
        owed("T-0419", 0, Owed.GASKET, "thickness of the new one", Optional.of(1), desk);
        owed("T-0415", 2, Owed.SHAFTS, "inlet cam", Optional.of(5), desk);
        called("T-0415", 1, "the cam is at the grinder's, back next week", Optional.of(4), desk);
    }

    private static LocalDate day(int in) {
        return LocalDate.now(ZoneId.systemDefault()).plusDays(in);
    }

    private void promised(String tag, int daysAgo, int in, String to, UUID by) {
        PartFile part = parts.byTag(tag);
        clock.ago(
                Duration.ofDays(daysAgo),
                () -> agreed.promise(part, UUID.randomUUID(), new AgreedBook.Day(day(in), to, Optional.empty()), by));
    }

    private void owed(String tag, int daysAgo, Owed what, String words, Optional<Integer> in, UUID by) {
        PartFile part = parts.byTag(tag);
        clock.ago(
                Duration.ofDays(daysAgo),
                () -> agreed.owes(
                        part, UUID.randomUUID(), new AgreedBook.Wanting(what, words, in.map(SampleAgreed::day)), by));
    }

    private void called(String tag, int daysAgo, String said, Optional<Integer> again, UUID by) {
        PartFile part = parts.byTag(tag);
        clock.ago(
                Duration.ofDays(daysAgo),
                () -> agreed.called(part, UUID.randomUUID(), said, again.map(SampleAgreed::day), by));
    }
}
