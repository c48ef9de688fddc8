package homalon.core.integrity;

/** How a casting is cleaned. */
public enum CleaningMethod {
    HOT_TANK("hot tank", "Hot caustic: face shield, gloves, lid on before the heat is up, ventilation."),
    SOLVENT("solvent", "Fumes: ventilation, gloves, no flame and no hot casting near it."),
    BAKE(
            "bake",
            "Fumes and a hot casting: ventilation, hoist, nothing alive in the oven. Let it cool before it is touched."),
    BLAST(
            "blast",
            "Dust: closed cabinet, extraction, mask. Old paint and gaskets may hold lead or asbestos: keep them wet."),
    TUMBLE("tumble", "Spinning drum: lid locked, hearing protection."),
    HAND_SCRAPE("scrape by hand", "Sharp edges. Old gaskets may hold asbestos: keep them wet, no dry sanding.");

    private final String words;
    private final String caution;

    CleaningMethod(String words, String caution) {
        this.words = words;
        this.caution = caution;
    }

    public String words() {
        return words;
    }

    /** Whether grit or shot stays in the passages until they are brushed through. */
    public boolean leavesGrit() {
        return this == BLAST || this == TUMBLE;
    }

    /** The same of a method as it was written down. */
    public static boolean leavesGrit(String words) {
        return BLAST.words.equals(words) || TUMBLE.words.equals(words);
    }

    /** What can hurt at this step. */
    public String caution() {
        return caution;
    }
}
