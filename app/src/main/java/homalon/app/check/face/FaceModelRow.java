package homalon.app.check.face;

import homalon.app.foundation.store.VisitLine;
import homalon.core.surface.SurfacePrior;
import homalon.core.visit.FaceModel;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.List;
import java.util.UUID;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import org.hibernate.annotations.Immutable;

/** How far faces like that of a visit bend and how uneven they are, as it stood when the face was begun to be read. */
@Entity
@Immutable
@Table(name = "face_model")
final class FaceModelRow extends VisitLine {
    /** Of the proof after the cut, not of the face as it came. */
    private boolean proof;

    @Column(name = "length_mm")
    private double length;

    /** One a level, as in the three below. */
    private double[] local;

    private double[] bent;

    private double[] twisted;

    private double[] share;

    private int faces;

    FaceModelRow() {}

    FaceModelRow(UUID visit, boolean proof, FaceModel.Habit habit, UUID by) {
        super(UUID.randomUUID(), visit, by);
        this.proof = proof;
        this.length = habit.lengthMm();
        this.local = each(habit.levels(), SurfacePrior.Level::local);
        this.bent = each(habit.levels(), SurfacePrior.Level::bent);
        this.twisted = each(habit.levels(), SurfacePrior.Level::twisted);
        this.share = each(habit.levels(), SurfacePrior.Level::share);
        this.faces = habit.faces();
    }

    private static double[] each(List<SurfacePrior.Level> levels, ToDoubleFunction<SurfacePrior.Level> of) {
        return levels.stream().mapToDouble(of).toArray();
    }

    boolean proof() {
        return proof;
    }

    FaceModel.Habit habit() {
        return new FaceModel.Habit(
                length,
                IntStream.range(0, share.length)
                        .mapToObj(k -> new SurfacePrior.Level(local[k], bent[k], twisted[k], share[k]))
                        .toList(),
                faces);
    }
}
