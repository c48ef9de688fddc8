package homalon.app.shop.tools;

import homalon.app.foundation.web.Blanks;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.Quantity;

/** Figures of tools as they are typed. */
final class ToolNumbers {
    private ToolNumbers() {}

    /** mm; 0 where nothing is keyed, which no tool has. */
    static double size(String typed, BenchUnit unit) {
        return Blanks.of(typed).isBlank() ? 0 : Length.parseSize(typed, unit).mm();
    }

    /** In its metric unit; 0 for what is none, which no tool has. */
    static double quantity(Quantity kind, String typed, BenchUnit unit) {
        return kind.read(typed, unit).orElse(0);
    }

    /** 0 for what is no number, which no tool has. */
    static double number(String typed) {
        try {
            double value = Double.parseDouble(Blanks.of(typed).strip().replace(',', '.'));
            return Double.isFinite(value) ? value : 0;
        } catch (NumberFormatException e) {
            return 0;
        }
    }
}
