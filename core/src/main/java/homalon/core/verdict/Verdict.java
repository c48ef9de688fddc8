package homalon.core.verdict;

/** Within and out are proven by what was measured; not proven is neither, and is never shown as good. */
public enum Verdict {
    WITHIN,
    OUT,
    NOT_PROVEN
}
