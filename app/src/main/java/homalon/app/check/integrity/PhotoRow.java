package homalon.app.check.integrity;

import homalon.app.foundation.load.Picture;
import homalon.app.foundation.store.VisitLine;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** A photo of a casting, as it was decoded and encoded anew here. */
@Entity
@Immutable
@Table(name = "photo")
@SuppressWarnings("unused") // some fields are read by queries alone
final class PhotoRow extends VisitLine {
    private String note;
    private int width;
    private int height;
    private byte[] jpeg;

    PhotoRow() {}

    PhotoRow(UUID id, UUID visit, Picture picture, String note, UUID by) {
        super(id, visit, by);
        this.note = note;
        this.width = picture.width();
        this.height = picture.height();
        this.jpeg = picture.jpeg();
    }
}
