package homalon.app.foundation.web;

import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Finds and changes in one transaction what a request is about, so that the finding needs no beginning and end of its own. */
@Component
public class WriteTransaction {
    private final TransactionTemplate transaction;

    WriteTransaction(PlatformTransactionManager transactions) {
        transaction = new TransactionTemplate(transactions);
    }

    /** Kept once this returns; nothing is kept when it throws. */
    public <T> T of(Supplier<T> change) {
        return transaction.execute(turn -> change.get());
    }
}
