package homalon.core.integrity;

import homalon.core.part.Material;
import java.util.Optional;

/** How cracks are looked for. */
public enum CrackMethod {
    EYES("eyes", "Good light, a lens, a clean surface.", ""),
    MAGNETIC_PARTICLE(
            "magnetic particle",
            "Two field directions, 90 degrees apart; it shows only the side that is seen. Demagnetise afterwards.",
            "Strong current: people with implants stay away."),
    DYE(
            "dye penetrant",
            "Clean and dry, dye on, wait, wipe, developer on, wait: the timers run here.",
            "Ventilation and gloves; no flame near it."),
    PRESSURE(
            "pressure",
            "Finds what reaches water, on the hidden side too.",
            "Compressed air stores energy: plates bolted, relief valve, stand aside, water behind air where it can be.");

    private final String words;
    private final String how;
    private final String caution;

    CrackMethod(String words, String how, String caution) {
        this.words = words;
        this.how = how;
        this.caution = caution;
    }

    public String words() {
        return words;
    }

    public String how() {
        return how;
    }

    /** Empty where nothing is special. */
    public String caution() {
        return caution;
    }

    /** Why it cannot show a crack in that metal; empty when it can. */
    public Optional<String> refusal(Material material) {
        return this == MAGNETIC_PARTICLE && material != Material.CAST_IRON
                ? Optional.of("Magnetic particle needs iron or steel: on " + material.words() + " use dye penetrant.")
                : Optional.empty();
    }
}
