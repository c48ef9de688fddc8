package homalon.app.casting.part;

import homalon.core.visit.PartFile;
import homalon.core.visit.Wanted;
import homalon.core.visit.Wanted.Term;
import jakarta.persistence.EntityManager;
import jakarta.persistence.Query;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Finds castings by what was typed. As many conditions as things were typed: no query can be written down beforehand. */
@Service
@Transactional(readOnly = true)
@RequiredArgsConstructor
public class PartFinder {
    // Hibernate has no word for "spelt nearly so" (<%, trigrams), and the index for the youngest wants this order.
    private static final String YOUNGEST = " order by p.created_at desc, p.tag desc limit ";
    private static final int FUZZY = 3;

    /** So many lists are looked through for what may be meant in several ways. */
    private static final int MOST_LISTS = 8;

    /** A letter or two of six may be wrong. */
    private static final String NEAR = "0.45";

    private final Parts parts;
    private final PartRepository rows;
    private final EntityManager entities;
    private final Clock clock;

    /** Conditions, one way in a line, and what stands in them. */
    private record Where(String text, Map<String, Object> values) {
        Stream<String> lines() {
            return text.lines();
        }

        void into(Query query) {
            values.forEach(query::setParameter);
        }
    }

    /**
     * Some of the parts that fit.
     *
     * @param near whether nothing was spelt as typed, and these are spelt nearly so
     */
    public record Some(List<PartFile> parts, boolean more, boolean near) {}

    /**
     * The youngest first; where nothing is spelt as typed, what is spelt nearly so, the nearest first.
     *
     * @param from page, counted from 0
     */
    public Some search(Wanted wanted, int from, int size) {
        List<UUID> found = exact(wanted, from * size, size + 1);
        boolean nearly = found.isEmpty() && (from == 0 || exact(wanted, 0, 1).isEmpty()) && !spelt(wanted);
        if (nearly) {
            found = near(wanted, from * size, size + 1);
        }
        return some(found, size, nearly);
    }

    /** Its words stand on some casting as they were keyed: what was not found is a day, a size or a state. */
    private boolean spelt(Wanted wanted) {
        List<Term> words = wanted.terms().stream().filter(Term::plain).toList();
        return !words.isEmpty()
                && words.size() < wanted.terms().size()
                && !exact(new Wanted(words), 0, 1).isEmpty();
    }

    /** Some of all parts that fit, the youngest first, and how many there are. */
    public record Found(List<PartFile> parts, long total) {}

    public Found page(Wanted wanted, int page, int size) {
        return new Found(parts.byIds(exact(wanted, page * size, size)), count(wanted));
    }

    /** How many castings of a customer there are, and how many of them are in the shop. */
    public record OfCustomer(long castings, long here) {}

    public Map<UUID, OfCustomer> ofCustomers(List<UUID> customers) {
        if (customers.isEmpty()) {
            return Map.of();
        }
        Map<UUID, Long> here = rows.here(customers).stream()
                .collect(Collectors.toMap(PartRepository.OfCustomer::customer, PartRepository.OfCustomer::castings));
        return rows.all(customers).stream()
                .collect(Collectors.toMap(
                        PartRepository.OfCustomer::customer,
                        c -> new OfCustomer(c.castings(), here.getOrDefault(c.customer(), 0L))));
    }

    /** The youngest with that casting number, else of an engine so called; both however their capitals are keyed. */
    public Optional<PartFile> like(String castingNumber, String name) {
        String number = castingNumber.strip();
        String engine = name.strip();
        Optional<UUID> found = number.isEmpty()
                ? Optional.empty()
                : rows.withCastingNumber(number, Limit.of(1)).stream().findFirst();
        return found.or(() -> engine.isEmpty()
                        ? Optional.empty()
                        : rows.ofEngine(engine, Limit.of(1)).stream().findFirst())
                .flatMap(parts::byId);
    }

    /** Others of its kind with that casting number, else of an engine so called; the youngest first. */
    public List<PartFile> alike(PartFile part, int most) {
        List<UUID> found = part.castingNumber().isEmpty()
                ? List.of()
                : others(rows.withCastingNumber(part.castingNumber(), Limit.of(most + 1)), part);
        List<UUID> those = found.isEmpty() ? others(rows.ofEngine(part.name(), Limit.of(most + 1)), part) : found;
        return parts.byIds(those).stream().filter(p -> p.kind() == part.kind()).toList();
    }

    private static List<UUID> others(List<UUID> found, PartFile than) {
        return found.stream().filter(id -> !id.equals(than.id())).toList();
    }

    /**
     * Some castings of a customer, the youngest first.
     *
     * @param from page, counted from 0
     */
    public Some castings(UUID customer, int from, int size) {
        List<UUID> found = rows.ofCustomer(customer, from * size, size + 1);
        return some(found, size, false);
    }

    /** @param found one more than are wanted, where there are more */
    private Some some(List<UUID> found, int size, boolean near) {
        return new Some(parts.byIds(found.subList(0, Math.min(size, found.size()))), found.size() > size, near);
    }

    /** Those that all of it fits letter by letter, the youngest first. */
    private List<UUID> exact(Wanted wanted, int from, int most) {
        Where where = lists(wanted);
        String each = where.lines()
                .map(l -> "(select p.id, p.created_at, p.tag from part p where " + l + YOUNGEST + ":last)")
                .collect(Collectors.joining(" union "));
        where.values.put("last", from + most);
        return ids("select p.id from (" + each + ") p" + YOUNGEST + ":most offset :from", where, from, most);
    }

    /**
     * One list for each way in which all that was typed may be meant, a year for instance as a day or as letters: a list of its own is
     * found by an index, and stops when it is long enough.
     */
    private Where lists(Wanted wanted) {
        Map<String, Object> values = new LinkedHashMap<>();
        List<String> lists = List.of("p.voided_tag is null");
        for (int i = 0; i < wanted.terms().size(); i++) {
            List<String> ways = ways(wanted.terms().get(i), i, values);
            List<String> one = lists.size() * ways.size() > MOST_LISTS ? List.of(either(ways)) : ways;
            lists = lists.stream()
                    .flatMap(l -> one.stream().map(w -> l + " and " + w))
                    .toList();
        }
        return new Where(String.join("\n", lists), values);
    }

    /** Those whose words are spelt nearly so, each by itself or all of them in a row; the nearest first. */
    private List<UUID> near(Wanted wanted, int from, int most) {
        List<String> words = wanted.terms().stream()
                .filter(PartFinder::fuzzy)
                .map(Term::word)
                .toList();
        if (words.isEmpty()) {
            return List.of();
        }
        entities.createNativeQuery("select set_config('pg_trgm.word_similarity_threshold', :least, true)")
                .setParameter("least", NEAR)
                .getSingleResult();
        Where where = nearly(wanted);
        where.values.put("all", String.join(" ", words));
        return ids(
                "select p.id from part p where " + where.text
                        + " order by word_similarity(:all, p.words) desc, p.created_at desc, p.tag desc limit :most offset :from",
                where,
                from,
                most);
    }

    private long count(Wanted wanted) {
        Where where = lists(wanted);
        String each =
                where.lines().map(l -> "select p.id from part p where " + l).collect(Collectors.joining(" union "));
        Query query = entities.createNativeQuery("select count(*) from (" + each + ") found", Long.class);
        where.into(query);
        return (Long) query.getSingleResult();
    }

    private List<UUID> ids(String text, Where where, int from, int most) {
        Query query = entities.createNativeQuery(text, UUID.class)
                .setParameter("most", most)
                .setParameter("from", from);
        where.into(query);
        @SuppressWarnings("unchecked")
        List<UUID> found = query.getResultList();
        return found;
    }

    private static boolean fuzzy(Term term) {
        return term.plain() && term.word().length() >= FUZZY;
    }

    private Where nearly(Wanted wanted) {
        Map<String, Object> values = new LinkedHashMap<>();
        List<String> all = new ArrayList<>(List.of("p.voided_tag is null"));
        for (int i = 0; i < wanted.terms().size(); i++) {
            Term term = wanted.terms().get(i);
            List<String> ways = new ArrayList<>(ways(term, i, values));
            if (fuzzy(term)) {
                values.put("near" + i, term.word());
                ways.add(":near" + i + " <% p.words");
                ways.add(":all <% p.words");
            }
            all.add(either(ways));
        }
        return new Where(String.join(" and ", all), values);
    }

    private static String either(List<String> ways) {
        return ways.stream().collect(Collectors.joining(" or ", "(", ")"));
    }

    /** Any of which suffices of one term. */
    private List<String> ways(Term term, int no, Map<String, Object> values) {
        List<String> any = new ArrayList<>();
        if (!term.word().isEmpty()) {
            values.put("like" + no, Parts.like(term.word()));
            any.add("p.words like :like" + no + " escape '!'");
        }
        term.bore().ifPresent(b -> {
            values.put("least" + no, b.from().nanometres());
            values.put("largest" + no, b.to().nanometres());
            any.add("p.bore_nm between :least" + no + " and :largest" + no);
        });
        term.days().ifPresent(d -> {
            values.put("since" + no, start(d.from()));
            values.put("until" + no, start(d.to().plusDays(1)));
            any.add(visit("(j.opened_at >= :since" + no + " and j.opened_at < :until" + no
                    + " or j.released_at >= :since" + no + " and j.released_at < :until" + no + ")"));
        });
        term.state().ifPresent(s -> any.add(state(s)));
        return any;
    }

    private Instant start(LocalDate day) {
        return day.atStartOfDay(ZoneId.systemDefault()).toInstant();
    }

    private static String visit(String condition) {
        return "exists (select from job j where j.part_id = p.id and j.voided_at is null and " + condition + ")";
    }

    private String state(Wanted.State state) {
        return switch (state) {
            case HERE -> visit("j.released_at is null");
            case WAITING -> visit("j.released_at is null and j.stuck_on is not null");
            // Today stands in the text: only then is it known beforehand that few are late, and those are looked at
            // first.
            // Said twice: once for what is known of the days, once for their index.
            case LATE -> {
                String today = " < date '" + LocalDate.now(clock) + "'";
                yield visit("j.released_at is null and j.due" + today + " and coalesce(j.due, 'infinity')" + today);
            }
            case GONE -> "not " + visit("j.released_at is null");
        };
    }
}
