package homalon.app.casting.part;

import homalon.app.foundation.memory.Memory;
import homalon.app.foundation.memory.Question;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.SealingBands;
import homalon.core.visit.PartFile;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Layouts drawn from their numbers, and their land rasters. A cache of pure values: any instance makes the same ones. */
@Component
@RequiredArgsConstructor
public class Faces {
    private static final int CELLS = 84;

    private final Memory memory;

    private record Drawn(LayoutNumbers numbers) implements Question<LandRaster> {
        @Override
        public int kilobytes() {
            return 128;
        }
    }

    private record Under(LayoutNumbers numbers, SealingBands bands) implements Question<LandRaster> {
        @Override
        public int kilobytes() {
            return 128;
        }
    }

    /** Under the gasket that this visit's casting gets. */
    public LandRaster land(PartFile part) {
        LandRaster usual = land(part.numbers());
        SealingBands bands = part.bands();
        return bands.equals(usual.bands())
                ? usual
                : memory.answer(new Under(part.numbers(), bands), () -> usual.under(bands));
    }

    public LandRaster land(LayoutNumbers numbers) {
        return memory.answer(new Drawn(numbers), () -> LandRaster.of(Layout.of(numbers), CELLS));
    }

    public Layout layout(LayoutNumbers numbers) {
        return land(numbers).layout();
    }
}
