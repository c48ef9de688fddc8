package homalon.app.part;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import org.springframework.stereotype.Component;

/** Layouts drawn from their numbers, and their land rasters. A cache of pure values: any instance makes the same ones. */
@Component
public class Faces {
    private static final int CELLS = 84;

    private final Cache<LayoutNumbers, LandRaster> drawn =
            Caffeine.newBuilder().maximumSize(300).build();

    public LandRaster land(LayoutNumbers numbers) {
        return drawn.get(numbers, n -> LandRaster.of(Layout.of(n), CELLS));
    }

    public Layout layout(LayoutNumbers numbers) {
        return land(numbers).layout();
    }
}
