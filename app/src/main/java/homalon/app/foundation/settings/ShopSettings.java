package homalon.app.foundation.settings;

import homalon.app.foundation.memory.Memory;
import homalon.app.foundation.memory.Question;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.DayForm;
import homalon.core.quantity.Length;
import homalon.core.rulebook.BookDefaults;
import homalon.core.rulebook.FaceDefaults;
import homalon.core.rulebook.FaceDefaults.Item;
import homalon.core.rulebook.OwnLines;
import homalon.core.rulebook.ShopPaper;
import homalon.core.rulebook.ShopRules;
import homalon.core.rulebook.TagNumbers;
import jakarta.persistence.EntityManager;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.time.Instant;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.regex.Pattern;
import lombok.RequiredArgsConstructor;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** What the shop set, as it stands now and as it stood on a day. */
@Service
@Transactional
@RequiredArgsConstructor
public class ShopSettings {
    private static final String UNIT = "UNIT";
    private static final String TAGS = "FIRST_TAG";
    private static final String CLEANING = "LINES_CLEANING";
    private static final String LEAVING = "LINES_LEAVING";
    private static final String ADDRESS = "PAPER_ADDRESS";
    private static final String PHONE = "PAPER_PHONE";
    private static final String MAIL = "PAPER_MAIL";
    private static final String LABEL = "PAPER_LABEL";
    private static final String SHEET = "PAPER_SHEET";
    private static final String DAYS = "PAPER_DAYS";
    private static final Set<String> PAPER = Set.of(ADDRESS, PHONE, MAIL, LABEL, SHEET, DAYS);

    private static final Pattern OF_BOOKS = Pattern.compile("(VALVE|ENGINE|BENCH)_[A-Z_]+");
    private static final String OF_THE_ROUTE = "ROUTE.";
    private static final int DIGITS = 7;

    private final EntityManager entities;
    private final Clock clock;
    private final Memory memory;

    private record All() implements Question<History> {}

    /** All that was ever set, to be asked for a day. */
    public static final class History {
        private final List<ShopSetting> lines;

        private History(List<ShopSetting> lines) {
            this.lines = lines;
        }

        private long last() {
            return lines.isEmpty() ? 0 : lines.get(lines.size() - 1).seq;
        }

        /** As it stands now. */
        public ShopRules now() {
            return of(lines);
        }

        /** As it stood then. */
        public ShopRules at(Instant then) {
            return of(lines.stream().filter(l -> !l.at.isAfter(then)).toList());
        }

        private static ShopRules of(List<ShopSetting> lines) {
            BenchUnit unit = BenchUnit.MM;
            Map<Item, FaceDefaults.Own> own = new EnumMap<>(Item.class);
            TagNumbers tags = TagNumbers.USUAL;
            List<String> cleaning = List.of();
            List<String> leaving = List.of();
            Map<String, String> paper = new HashMap<>();
            Map<String, BookDefaults.Own> books = new HashMap<>();
            Map<String, String> letGo = new HashMap<>();
            for (ShopSetting line : lines) {
                if (line.name.equals(UNIT)) {
                    unit = BenchUnit.valueOf(line.words);
                    continue;
                }
                if (line.name.equals(TAGS)) {
                    tags = TagNumbers.read(line.words);
                }
                if (line.name.equals(CLEANING)) {
                    cleaning = line.words.lines().toList();
                }
                if (line.name.equals(LEAVING)) {
                    leaving = line.words.lines().toList();
                }
                if (OF_BOOKS.matcher(line.name).matches()) {
                    if (line.figure == null) {
                        books.remove(line.name);
                    } else {
                        books.put(line.name, new BookDefaults.Own(line.figure.doubleValue(), line.words));
                    }
                }
                if (line.name.startsWith(OF_THE_ROUTE)) {
                    if (line.words.isEmpty()) {
                        letGo.remove(line.name);
                    } else {
                        letGo.put(line.name, line.words);
                    }
                }
                if (PAPER.contains(line.name)) {
                    paper.put(line.name, line.words);
                }
                Optional<Item> item = Arrays.stream(Item.values())
                        .filter(i -> i.name().equals(line.name))
                        .findFirst();
                item.ifPresent(i -> {
                    if (line.nanometres == null) {
                        own.remove(i);
                    } else {
                        own.put(i, new FaceDefaults.Own(Length.ofNanometres(line.nanometres), line.words));
                    }
                });
            }
            return new ShopRules(
                    new FaceDefaults(unit, own),
                    new BookDefaults(unit, books),
                    new OwnLines(cleaning, leaving),
                    letGo,
                    paper(paper),
                    tags,
                    ShopRules.Before.NOTHING);
        }

        private static ShopPaper paper(Map<String, String> kept) {
            return new ShopPaper(
                    kept.getOrDefault(ADDRESS, "").lines().toList(),
                    kept.getOrDefault(PHONE, ""),
                    kept.getOrDefault(MAIL, ""),
                    ShopPaper.Label.byName(kept.getOrDefault(LABEL, "")).orElse(ShopPaper.Label.SHEET),
                    ShopPaper.Sheet.byName(kept.getOrDefault(SHEET, "")).orElse(ShopPaper.Sheet.A4),
                    DayForm.byName(kept.getOrDefault(DAYS, "")).orElse(DayForm.DAY_FIRST));
        }
    }

    /** Lists ask for it with every answer. Another instance goes by what is new within ten seconds. */
    @Transactional(readOnly = true)
    public History history() {
        // What this transaction set itself counts for it at once, and for the others once it is through.
        return TransactionSynchronizationManager.isCurrentTransactionReadOnly()
                ? memory.at(new All(), clock.instant().getEpochSecond() / 10, this::read)
                : read();
    }

    /** @param last number of the last line that the caller knows to be there */
    @Transactional(readOnly = true)
    public History history(long last) {
        if (history().last() < last) {
            memory.forget(new All());
        }
        return history();
    }

    private History read() {
        return new History(entities.createQuery("from ShopSetting order by seq", ShopSetting.class)
                .getResultList());
    }

    private void set(String name, @Nullable Long nanometres, String words, UUID by) {
        entities.persist(new ShopSetting(name, nanometres, words, by, clock.instant()));
        memory.changes(new All());
    }

    @Transactional(readOnly = true)
    public FaceDefaults now() {
        return history().now().faces();
    }

    /** The shop's unit: in it general values are round, and a person who is new thinks. */
    @Transactional(readOnly = true)
    public BenchUnit unit() {
        return now().unit();
    }

    @Transactional(readOnly = true)
    public OwnLines lines() {
        return history().now().lines();
    }

    /** @return whether that is anything new */
    public boolean use(OwnLines wanted, UUID by) {
        OwnLines before = lines();
        if (!wanted.cleaning().equals(before.cleaning())) {
            set(CLEANING, null, String.join("\n", wanted.cleaning()), by);
        }
        if (!wanted.leaving().equals(before.leaving())) {
            set(LEAVING, null, String.join("\n", wanted.leaving()), by);
        }
        return !wanted.equals(before);
    }

    @Transactional(readOnly = true)
    public ShopPaper paper() {
        return history().now().paper();
    }

    /** @return whether that is anything new */
    public boolean use(ShopPaper wanted, UUID by) {
        ShopPaper before = paper();
        Map<String, String> now = words(wanted);
        words(before).forEach((name, was) -> {
            if (!now.get(name).equals(was)) {
                set(name, null, now.get(name), by);
            }
        });
        return !wanted.equals(before);
    }

    private static Map<String, String> words(ShopPaper paper) {
        return Map.of(
                ADDRESS, String.join("\n", paper.address()),
                PHONE, paper.phone(),
                MAIL, paper.mail(),
                LABEL, paper.label().name(),
                SHEET, paper.sheet().name(),
                DAYS, paper.days().name());
    }

    /** @return whether that is anything new */
    public boolean use(TagNumbers wanted, UUID by) {
        boolean changed = !wanted.equals(history().now().tags());
        if (changed) {
            set(TAGS, null, wanted.first(), by);
        }
        return changed;
    }

    public void useUnit(BenchUnit unit, UUID by) {
        if (unit != unit()) {
            set(UNIT, null, unit.name(), by);
        }
    }

    /**
     * Sets the shop's own figures; what is the same is left.
     *
     * @param own all that shall stand; what is missing is the general value again
     * @return how many changed
     */
    public int use(Map<Item, FaceDefaults.Own> own, UUID by) {
        Map<Item, FaceDefaults.Own> before = now().own();
        int changed = 0;
        for (Item item : Item.values()) {
            Optional<FaceDefaults.Own> wanted = Optional.ofNullable(own.get(item));
            if (!wanted.equals(Optional.ofNullable(before.get(item)))) {
                set(
                        item.name(),
                        wanted.map(o -> o.value().nanometres()).orElse(null),
                        wanted.map(FaceDefaults.Own::from).orElse(""),
                        by);
                changed++;
            }
        }
        return changed;
    }

    /**
     * Sets the shop's own figures of its books; what is the same is left.
     *
     * @param wanted all that shall stand; what is missing is the general value again
     * @return how many changed
     */
    public int use(BookDefaults wanted, UUID by) {
        Map<String, BookDefaults.Own> before = history().now().books().own();
        Set<String> names = new TreeSet<>(before.keySet());
        names.addAll(wanted.own().keySet());
        int changed = 0;
        for (String name : names) {
            Optional<BookDefaults.Own> now = Optional.ofNullable(wanted.own().get(name));
            if (!now.map(ShopSettings::kept)
                    .equals(Optional.ofNullable(before.get(name)).map(ShopSettings::kept))) {
                BigDecimal figure = now.map(o -> kept(o).figure()).orElse(null);
                String from = now.map(BookDefaults.Own::from).orElse("");
                entities.persist(new ShopSetting(name, null, from, by, clock.instant()).withFigure(figure));
                changed++;
            }
        }
        memory.changes(new All());
        return changed;
    }

    /**
     * Lets a rule of the route go.
     *
     * @param why the shop does without it; empty: it holds again
     * @return whether that is anything new
     */
    public boolean letGo(String rule, String why, UUID by) {
        boolean changed = !history().now().letGo().getOrDefault(rule, "").equals(why);
        if (changed) {
            set(rule, null, why, by);
        }
        return changed;
    }

    /** To the digits that are kept. */
    private record Kept(BigDecimal figure, String from) {}

    private static Kept kept(BookDefaults.Own own) {
        return new Kept(BigDecimal.valueOf(own.value()).setScale(DIGITS, RoundingMode.HALF_UP), own.from());
    }
}
