package homalon.app.shop.stock;

import homalon.core.sim.SimulatedSupplier;
import java.util.concurrent.CompletableFuture;

/** Somebody who sells: asked by code, answers when it answers. */
interface Supplier {
    CompletableFuture<SimulatedSupplier.Answer> ask(String code);

    /** Shown beside every answer, so that nobody takes a made-up price for a real one. */
    String name();
}
