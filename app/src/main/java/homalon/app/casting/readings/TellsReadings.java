package homalon.app.casting.readings;

import homalon.core.visit.PartFile;
import java.util.List;

/** Tells what was ever read of some kinds. */
public interface TellsReadings {
    /** Every line of these visits, taken back or not; those of one walk in the order in which they were kept. */
    List<KeyedLine> history(List<PartFile> visits);
}
