package homalon.app.casting.part;

import homalon.app.casting.customer.Customer;
import homalon.app.casting.customer.Customers;
import homalon.app.foundation.web.NotHereException;
import homalon.app.foundation.words.Words;
import homalon.core.input.BadInputException;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.visit.Booking;
import homalon.core.visit.PartFile;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Castings and their visits. */
@Service
@Transactional
@RequiredArgsConstructor
public class Parts {
    private final PartRepository parts;
    private final JobRepository jobs;
    private final LimitRepository limits;
    private final Changes changes;
    private final Customers customers;
    private final PartFiles files;
    private final Clock clock;

    @Transactional(readOnly = true)
    public PartFile byTag(String tag) {
        return find(tag).orElseThrow(() -> noSuchPart(tidy(tag)));
    }

    /** By its tag, or by the address that is printed on its tag, as a scanner types it. */
    @Transactional(readOnly = true)
    public Optional<PartFile> find(String tag) {
        String scanned = tag == null ? "" : tag.strip().replaceFirst("^https?://[^/]+/parts/([^/?#]+).*$", "$1");
        String tidy = tidy(scanned);
        if (!TransactionSynchronizationManager.isCurrentTransactionReadOnly()) {
            parts.flush();
        }
        return files.ofTag(tidy, () -> parts.findByTag(tidy));
    }

    @Transactional(readOnly = true)
    public Optional<PartFile> byId(UUID id) {
        return parts.findById(id).flatMap(p -> files.of(List.of(p)).stream().findFirst());
    }

    /** The part once for each of its visits, the first visit first. */
    @Transactional(readOnly = true)
    public List<PartFile> everyVisit(PartFile part) {
        return files.everyVisit(parts.findById(part.id()).orElseThrow());
    }

    /** What is typed as a pattern for the words of a part, with ! before what would stand for any letter. */
    public static String like(String words) {
        String tidy = words.strip()
                .toLowerCase(Locale.ROOT)
                .replace("!", "!!")
                .replace("%", "!%")
                .replace("_", "!_");
        return "%" + tidy + "%";
    }

    /** The castings of these visits, in their order. */
    @Transactional(readOnly = true)
    public List<PartFile> ofVisits(List<UUID> visits) {
        Map<UUID, UUID> castings =
                jobs.findAllById(visits).stream().collect(Collectors.toMap(j -> j.id, j -> j.partId));
        return byIds(visits.stream().map(castings::get).toList());
    }

    /** Visits that are over. */
    @Transactional(readOnly = true)
    public List<UUID> visitsHandedOver() {
        return jobs.handedOver();
    }

    /** Visits that are over, the last first. */
    @Transactional(readOnly = true)
    public List<UUID> lastHandedOver(int most) {
        return jobs.lastHandedOver(Limit.of(most));
    }

    /** Visits that were over in that time. */
    @Transactional(readOnly = true)
    public List<UUID> visitsHandedOver(Instant from, Instant to) {
        return jobs.handedOver(from, to);
    }

    /** Visits that are over of castings like one: the same metal, head or deck, and as many cylinders; the latest first. */
    @Transactional(readOnly = true)
    public List<UUID> handedOverLike(PartFile part, int most) {
        return jobs.ofLike(part.kind(), part.material(), part.numbers().cylinders(), Limit.of(most));
    }

    /** The castings of these visits, each as it was on that visit. */
    @Transactional(readOnly = true)
    public List<PartFile> asVisited(List<UUID> visits) {
        List<UUID> castings =
                jobs.findAllById(visits).stream().map(j -> j.partId).distinct().toList();
        return parts.findAllById(castings).stream()
                .flatMap(p -> files.everyVisit(p).stream())
                .filter(p -> visits.contains(p.visit().id()))
                .toList();
    }

    /** When the shop's first part was booked in. */
    @Transactional(readOnly = true)
    public Optional<Instant> firstOpened() {
        return jobs.firstOpened();
    }

    /** Tags by visit, of those visits that are not over. */
    @Transactional(readOnly = true)
    public Map<UUID, String> tagsInTheShop(Collection<UUID> visits) {
        return visits.isEmpty()
                ? Map.of()
                : parts.inTheShop(visits).stream()
                        .collect(Collectors.toMap(PartRepository.TagOfVisit::visit, PartRepository.TagOfVisit::tag));
    }

    /** In the order given; one that is not there is left out. */
    @Transactional(readOnly = true)
    public List<PartFile> byIds(List<UUID> ids) {
        if (ids.isEmpty()) {
            return List.of();
        }
        Map<UUID, PartFile> found =
                files.of(parts.findAllById(ids)).stream().collect(Collectors.toMap(PartFile::id, Function.identity()));
        return ids.stream().map(found::get).filter(Objects::nonNull).toList();
    }

    /** @throws BadInputException when the tag is taken or cannot be one */
    public PartFile book(Booking booking, UUID by) {
        return book(booking, clock.instant(), by);
    }

    /**
     * The same for a casting that came before it was written down here.
     *
     * @param came the beginning of its first visit
     */
    public PartFile book(Booking booking, Instant came, UUID by) {
        return book(UUID.randomUUID(), booking, came, by);
    }

    /**
     * The same under an id that somebody else made, so that a repeat books in once.
     *
     * @return the casting that was booked in, now or before
     */
    public PartFile bookOnce(UUID id, Booking booking, UUID by) {
        return byId(id).orElseGet(() -> book(id, booking, clock.instant(), by));
    }

    private PartFile book(UUID id, Booking booking, Instant came, UUID by) {
        Instant now = clock.instant();
        String tag = tidy(booking.tag());
        if (!tag.matches("[A-Z]{1,3}-[0-9]{2,6}")) {
            throw new BadInputException("tag", "app.part.tag-key-letters-a-dash-and-digits-such");
        }
        if (parts.findByTag(tag).isPresent()) {
            throw new BadInputException("tag", "app.part.hangs-on-another-part-already-take-the", tag);
        }
        Part part = new Part(id, tag, by, now);
        fill(part, booking, by);
        parts.save(part);
        Job job = new Job(part.id, 1, by, came);
        fill(job, booking);
        jobs.save(job);
        booking.limits().forEach(l -> limits.save(new LimitRow(part.id, l, by, now)));
        return byTag(tag);
    }

    /**
     * Changes what was keyed at the door; limits are withdrawn and entered anew where they differ.
     *
     * @param version of the part that was on the screen
     */
    public PartFile amend(Booking booking, int version, boolean layoutMayChange, UUID by) {
        Part part = parts.findByTag(tidy(booking.tag())).orElseThrow(() -> noSuchPart(booking.tag()));
        Job job = jobs.present(part.id);
        mayChange(part, job, booking, version, layoutMayChange);
        List<String> turned = turning(part, booking);
        Optional<String> came = booking.came()
                .filter(c -> !c.happenedKept().equals(job.happened)
                        || !c.shaftsKept().equals(job.shafts))
                .map(it -> Words.of(it.words()));
        fill(part, booking, by);
        fill(job, booking);
        List<String> limited = limit(part, booking, by);
        turned.forEach(t -> changes.write(job.id, ChangeLine.What.LAYOUT, t, by));
        limited.forEach(t -> changes.write(job.id, ChangeLine.What.LIMIT, t, by));
        came.ifPresent(c -> changes.write(job.id, ChangeLine.What.CAME_WITH, c, by));
        parts.flush();
        return byTag(booking.tag());
    }

    private static void mayChange(Part part, Job job, Booking booking, int version, boolean layoutMayChange) {
        if (part.version != version) {
            throw new BadInputException("tag", "app.part.someone-else-changed-this-part");
        }
        if (!layoutMayChange && !part.numbers().equals(booking.numbers())) {
            throw new BadInputException("cylinders", "app.part.the-face-has-readings-which-belong-to");
        }
        if (job.releasedAt != null) {
            throw new BadInputException("tag", "app.part.this-visit-was-handed-over-and-what-was");
        }
    }

    /** Withdraws the limits that a booking no longer has and enters its new ones; answers what that was, in words. */
    private List<String> limit(Part part, Booking booking, UUID by) {
        Instant now = clock.instant();
        List<String> turned = new ArrayList<>();
        List<LimitRow> rows = limits.ofParts(List.of(part.id));
        for (LimitRow row : rows) {
            if (!booking.limits().contains(row.limit())) {
                row.withdrawnAt = now;
                turned.add("limit withdrawn: " + words(row.limit()));
            }
        }
        for (FlatnessLimit limit : booking.limits()) {
            if (rows.stream().noneMatch(r -> r.limit().equals(limit))) {
                limits.save(new LimitRow(part.id, limit, by, now));
                turned.add("limit: " + words(limit));
            }
        }
        return turned;
    }

    /** What of a booking can turn a verdict, in words. */
    private static List<String> turning(Part part, Booking b) {
        List<String> turned = new ArrayList<>();
        if (!part.numbers().equals(b.numbers())) {
            turned.add("face drawn anew: " + b.numbers());
        }
        if (part.material != b.material()) {
            turned.add("metal: " + Words.of(b.material().words()));
        }
        return turned;
    }

    private static String words(FlatnessLimit l) {
        return l.scope().name().toLowerCase(Locale.ROOT) + " " + l.most().mm() + " mm"
                + l.window().map(w -> " in any " + w.mm() + " mm").orElse("") + ", "
                + Words.of(l.source().words());
    }

    private static NotHereException noSuchPart(String tag) {
        return new NotHereException("There is no part with the tag " + tag + ": check the tag, or book the part in.");
    }

    private void fill(Part part, Booking b, UUID by) {
        part.kind = b.kind();
        part.name = PartFields.required(
                "name", b.name(), 120, "Engine: say what it is from, such as Ferry auxiliary, four in line.");
        String whose = PartFields.required("customer", b.customer(), 120, "Customer: say whose it is.");
        if (part.customer == null || !whose.equals(part.customer)) {
            Customer customer = customers.named(whose, by);
            part.customer = customer.name();
            part.customerId = customer.id();
        }
        part.material = b.material();
        part.castingNumber = PartFields.limited("castingNumber", b.castingNumber(), 60);
        part.stamps = PartFields.limited("stamps", b.stamps(), 60);
        part.draw(b.numbers());
    }

    private static void fill(Job job, Booking b) {
        job.history = PartFields.limited("history", b.history(), 2000);
        b.came().ifPresent(c -> {
            job.happened = c.happenedKept();
            job.shafts = c.shaftsKept();
        });
        job.wishes = PartFields.limited("wishes", b.wishes(), 2000);
        job.gasket = PartFields.limited("gasket", b.gasket(), 120);
        job.gasketKind = b.gasketKind().orElse(null);
        job.due = b.due().orElse(null);
    }

    private static String tidy(String tag) {
        return tag == null ? "" : tag.strip().toUpperCase(Locale.ROOT);
    }
}
