package homalon.app.shop.stock;

import homalon.core.sim.SimulatedSupplier.Answer;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Asks the supplier for several codes at once and waits a moment, not longer. */
@Component
@RequiredArgsConstructor
class Quotes {
    private static final long PATIENCE_MILLIS = 1_500;

    private final Supplier supplier;

    /**
     * One answer, or none.
     *
     * @param why there is none; empty when there is one
     */
    record Quote(String code, Optional<Answer> answer, String why) {}

    List<Quote> ask(List<String> codes) {
        Map<String, CompletableFuture<Quote>> asked = new LinkedHashMap<>();
        for (String code : codes) {
            asked.put(code, one(code));
        }
        return asked.values().stream().map(CompletableFuture::join).toList();
    }

    private CompletableFuture<Quote> one(String code) {
        CompletableFuture<Answer> answer;
        try {
            answer = supplier.ask(code);
        } catch (RuntimeException e) {
            answer = CompletableFuture.failedFuture(e);
        }
        return answer.thenApply(a -> new Quote(code, Optional.of(a), ""))
                .completeOnTimeout(
                        new Quote(code, Optional.empty(), "no answer yet: ask again"),
                        PATIENCE_MILLIS,
                        TimeUnit.MILLISECONDS)
                .exceptionally(
                        e -> new Quote(code, Optional.empty(), "cannot be reached: ask again later, or by telephone"));
    }

    String supplier() {
        return supplier.name();
    }
}
