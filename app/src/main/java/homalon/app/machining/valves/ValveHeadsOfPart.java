package homalon.app.machining.valves;

import homalon.app.machining.cut.CutToCome;
import homalon.core.visit.HeadsInChambers;
import homalon.core.visit.PartFile;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** The heads of a casting's valves as its chambers know them. */
@Component
@RequiredArgsConstructor
public class ValveHeadsOfPart {
    private final ValveFiles files;
    private final CutToCome toCome;

    public HeadsInChambers of(PartFile part) {
        return files.of(part).map(f -> HeadsInChambers.of(f, toCome.of(part))).orElse(HeadsInChambers.UNKNOWN);
    }
}
