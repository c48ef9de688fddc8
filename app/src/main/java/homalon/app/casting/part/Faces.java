package homalon.app.casting.part;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.SealingBands;
import homalon.core.visit.PartFile;
import org.springframework.stereotype.Component;

/** Layouts drawn from their numbers, and their land rasters. A cache of pure values: any instance makes the same ones. */
@Component
public class Faces {
    private static final int CELLS = 84;

    private final Cache<LayoutNumbers, LandRaster> drawn =
            Caffeine.newBuilder().maximumSize(300).build();
    private final Cache<Under, LandRaster> under =
            Caffeine.newBuilder().maximumSize(100).build();

    /** Under the gasket that this visit's casting gets. */
    public LandRaster land(PartFile part) {
        LandRaster usual = land(part.numbers());
        SealingBands bands = part.bands();
        return bands.equals(usual.bands())
                ? usual
                : under.get(new Under(part.numbers(), bands), u -> usual.under(bands));
    }

    private record Under(LayoutNumbers numbers, SealingBands bands) {}

    public LandRaster land(LayoutNumbers numbers) {
        return drawn.get(numbers, n -> LandRaster.of(Layout.of(n), CELLS));
    }

    public Layout layout(LayoutNumbers numbers) {
        return land(numbers).layout();
    }
}
