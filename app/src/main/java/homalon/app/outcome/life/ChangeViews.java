package homalon.app.outcome.life;

import homalon.app.casting.part.Faces;
import homalon.app.check.face.FaceViews;
import homalon.app.check.face.FacesBeside;
import homalon.app.foundation.drawing.Bands;
import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.words.Words;
import homalon.core.face.FaceChange;
import homalon.core.face.FaceMap;
import homalon.core.part.Layout;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.LengthWriter;
import java.util.List;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Two faces of one casting beside each other, and a map of what changed. */
@Component
@RequiredArgsConstructor
class ChangeViews {
    private final Faces faces;

    /** The two asked for, where they were read; else the first and the last. */
    Optional<LifeView.Compared> of(List<ReadFace> read, String then, String now, BenchUnit unit) {
        List<ReadFace> drawn =
                read.stream().filter(r -> r.finding().map().isPresent()).toList();
        if (drawn.size() < 2) {
            return Optional.empty();
        }
        ReadFace earlier = chosen(drawn, then).orElse(drawn.get(0));
        ReadFace later = chosen(drawn, now).orElse(drawn.get(drawn.size() - 1));
        return Optional.of(compared(earlier, later, unit));
    }

    private static Optional<ReadFace> chosen(List<ReadFace> read, String id) {
        return read.stream().filter(r -> r.choice().id().equals(id)).findFirst();
    }

    private LifeView.Compared compared(ReadFace then, ReadFace now, BenchUnit unit) {
        LengthWriter writer = new LengthWriter(unit);
        Bands bands = FacesBeside.bands(List.of(then.finding(), now.finding()), unit);
        FaceMap earlier = then.finding().map().orElseThrow();
        FaceMap later = now.finding().map().orElseThrow();
        double told = then.finding().judgement().uncertainty()
                + now.finding().judgement().uncertainty();
        Optional<FaceChange> change = FaceChange.of(earlier, later, told);
        return new LifeView.Compared(
                then.choice(),
                now.choice(),
                List.of(beside(then, "then", bands, unit), beside(now, "now", bands, unit)),
                FaceViews.legend(bands, writer),
                change.map(c -> change(c, faces.layout(now.visit().numbers()), unit)));
    }

    private LifeView.Beside beside(ReadFace read, String id, Bands bands, BenchUnit unit) {
        Layout layout = faces.layout(read.visit().numbers());
        FaceViews.Figures figures = FaceViews.figures(read.finding(), layout, unit);
        String title = read.choice().name();
        FaceDrawing picture = FacesBeside.picture(read.finding(), layout, id, title, bands);
        return new LifeView.Beside(
                title, figures.headline().words(), figures.headline().style(), picture);
    }

    private static LifeView.Change change(FaceChange change, Layout layout, BenchUnit unit) {
        LengthWriter writer = new LengthWriter(unit);
        Bands bands = Bands.of(change.map().range(), 2 * change.told(), unit);
        String words = Words.of(change.words(), writer);
        FaceDrawing picture =
                FaceDrawing.of(layout, "change", "What changed: " + words).map(change.map(), bands);
        return new LifeView.Change(picture, FaceViews.legend(bands, writer), words);
    }
}
