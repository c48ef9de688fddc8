package homalon.app.shop.stock;

import homalon.app.foundation.store.EvidenceLine;
import homalon.core.catalogue.Item;
import homalon.core.catalogue.Metal;
import homalon.core.quantity.Length;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** A line of the shop's list; the last one of a code counts. */
@Entity
@Immutable
@Table(name = "catalogue_line")
@SuppressWarnings("unused") // some fields are read by queries alone
final class CatalogueLine extends EvidenceLine {
    private String code;

    @Enumerated(EnumType.STRING)
    private Item.Kind kind;

    private String words;

    @Column(name = "outer_nm")
    private Length outer;

    @Column(name = "inner_nm")
    private Length inner;

    @Column(name = "height_nm")
    private Length height;

    @Enumerated(EnumType.STRING)
    private Metal metal;

    @Column(name = "counterbore_nm")
    private Length counterbore;

    private int shelf;
    private boolean gone;

    CatalogueLine() {}

    CatalogueLine(Catalogue.Row row, boolean gone, UUID by) {
        super(UUID.randomUUID(), by);
        Item i = row.item();
        this.code = i.code();
        this.kind = i.kind();
        this.words = i.words();
        this.outer = Length.roundedFromMm(i.outer());
        this.inner = Length.roundedFromMm(i.inner());
        this.height = Length.roundedFromMm(i.height());
        this.metal = i.metal().orElse(null);
        this.counterbore = i.counterbore().isPresent()
                ? Length.roundedFromMm(i.counterbore().getAsDouble())
                : null;
        this.shelf = row.shelf();
        this.gone = gone;
    }

    Catalogue.Row row() {
        return new Catalogue.Row(
                new Item(
                        code,
                        kind,
                        words,
                        outer.mm(),
                        inner.mm(),
                        height.mm(),
                        Optional.ofNullable(metal),
                        counterbore == null ? OptionalDouble.empty() : OptionalDouble.of(counterbore.mm())),
                shelf);
    }
}
