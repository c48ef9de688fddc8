package homalon.app.shop.stock;

import homalon.core.sim.SimulatedSupplier;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;

/** The supplier that ships with the application: simulated, and called so. */
@Component
class SuppliedBySimulation implements Supplier {
    private static final SimulatedSupplier SUPPLIER = new SimulatedSupplier(41);

    @Override
    public CompletableFuture<SimulatedSupplier.Answer> ask(String code) {
        SimulatedSupplier.Answer answer = SUPPLIER.answer(code);
        return CompletableFuture.supplyAsync(
                () -> answer, CompletableFuture.delayedExecutor(answer.afterMillis(), TimeUnit.MILLISECONDS));
    }

    @Override
    public String name() {
        return "simulated supplier";
    }
}
