package homalon.app.stock;

import homalon.core.catalogue.Item;
import homalon.core.catalogue.Metal;
import homalon.core.quantity.Length;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The shop's list. Lines are superseded, never changed. */
@Service
@Transactional
public class Catalogue {
    private final JdbcClient jdbc;
    private final Clock clock;

    Catalogue(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** @param shelf how many lie on the shop's own shelf */
    public record Row(Item item, int shelf) {}

    @Transactional(readOnly = true)
    public List<Row> rows() {
        return jdbc.sql("""
                        select code, kind, words, outer_nm, inner_nm, height_nm, metal, counterbore_nm, shelf
                        from (select distinct on (code) * from catalogue_line order by code, seq desc) last
                        where not gone order by kind, outer_nm, code
                        """)
                .query((r, n) -> new Row(
                        new Item(
                                r.getString(1),
                                Item.Kind.valueOf(r.getString(2)),
                                r.getString(3),
                                mm(r.getLong(4)),
                                mm(r.getLong(5)),
                                mm(r.getLong(6)),
                                Optional.ofNullable(r.getString(7)).map(Metal::valueOf),
                                r.getObject(8) == null ? OptionalDouble.empty() : OptionalDouble.of(mm(r.getLong(8)))),
                        r.getInt(9)))
                .list();
    }

    private static double mm(long nm) {
        return Length.ofNanometres(nm).mm();
    }

    @Transactional(readOnly = true)
    public List<Item> items(Item.Kind kind) {
        return rows().stream().map(Row::item).filter(i -> i.kind() == kind).toList();
    }

    @Transactional(readOnly = true)
    public Optional<Row> byCode(String code) {
        return rows().stream()
                .filter(r -> r.item().code().equals(code.toUpperCase(Locale.ROOT)))
                .findFirst();
    }

    /** New lines for these codes; what stood before stays in the history. */
    public void keep(List<Row> rows, UUID by) {
        rows.forEach(r -> insert(r, false, by));
    }

    /** Off the list. */
    public void drop(String code, UUID by) {
        byCode(code).ifPresent(r -> insert(r, true, by));
    }

    private void insert(Row row, boolean gone, UUID by) {
        Item i = row.item();
        jdbc.sql("""
                        insert into catalogue_line (id, code, kind, words, outer_nm, inner_nm, height_nm, metal,
                            counterbore_nm, shelf, gone, by_person, at)
                        values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
                        """)
                .params(
                        UUID.randomUUID(),
                        i.code(),
                        i.kind().name(),
                        i.words(),
                        nm(i.outer()),
                        nm(i.inner()),
                        nm(i.height()),
                        i.metal().map(Metal::name).orElse(null),
                        i.counterbore().isPresent() ? nm(i.counterbore().getAsDouble()) : null,
                        row.shelf(),
                        gone,
                        by,
                        Timestamp.from(clock.instant()))
                .update();
    }

    private static long nm(double mm) {
        return Length.roundedFromMm(mm).nanometres();
    }
}
