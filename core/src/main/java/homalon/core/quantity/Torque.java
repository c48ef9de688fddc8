package homalon.core.quantity;

import homalon.core.input.BadInputException;
import java.math.BigDecimal;
import java.math.RoundingMode;

/** A turning torque, in newton metres. */
public record Torque(double newtonMetres) {
    private static final double MOST = 1000;

    /**
     * @param field that it was keyed in
     * @param bench whose unit a bare number has: Nm, or inch pounds at a thou bench
     * @throws BadInputException for what is no torque above zero
     */
    public static Torque parse(String field, String typed, BenchUnit bench) {
        double value = Quantity.TORQUE.read(typed, bench).orElse(0);
        if (value <= 0 || value > MOST) {
            throw new BadInputException(field, "quantity.key-the-torque-above-zero-in-nm-such-as");
        }
        return new Torque(value);
    }

    /** {@code 2.49 Nm}, {@code 22 in-lb}. */
    public String words(BenchUnit bench) {
        return new BigDecimal(Quantity.TORQUE.number(newtonMetres, bench))
                        .setScale(2, RoundingMode.HALF_UP)
                        .stripTrailingZeros()
                        .toPlainString()
                + " " + Quantity.TORQUE.unit(bench);
    }
}
