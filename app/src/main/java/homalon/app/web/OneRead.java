package homalon.app.web;

import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Reads all that one answer needs in one transaction. A page asks some ten services; each with a transaction of its own, their
 * beginnings and ends would cost as much as the verdict.
 */
@Component
public class OneRead {
    private final TransactionTemplate transaction;

    OneRead(PlatformTransactionManager transactions) {
        transaction = new TransactionTemplate(transactions);
        transaction.setReadOnly(true);
    }

    public <T> T of(Supplier<T> read) {
        return transaction.execute(turn -> read.get());
    }
}
