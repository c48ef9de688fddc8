package homalon.app.shop.instruments;

import homalon.core.verdict.Verdict;
import homalon.core.visit.PartFile;
import java.util.Optional;

/** Says of a step of a visit what its verdict is, and what it would be had an instrument been as far off as was found. */
public interface RestedVerdict {
    /** The two. */
    record Change(Verdict said, Verdict wouldBe) {}

    /**
     * @param code of the instrument
     * @param error that was found in it
     * @return empty for a step that this one does not judge, or that has no verdict
     */
    Optional<Change> of(PartFile part, String step, String code, double error);
}
