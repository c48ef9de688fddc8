package homalon.app.foundation.security;

import lombok.RequiredArgsConstructor;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionExecution;
import org.springframework.transaction.TransactionExecutionListener;

/**
 * Tells the database who is signed in whenever something may be written: its own triggers note who stored a line, and when,
 * beside what the device says of who measured it.
 */
@Component
@RequiredArgsConstructor
class AuditUserSetting implements TransactionExecutionListener {
    private final JdbcClient jdbc;

    @Override
    public void afterBegin(TransactionExecution transaction, Throwable failure) {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        if (failure == null
                && !transaction.isReadOnly()
                && who != null
                && who.getPrincipal() instanceof CurrentUser signed) {
            jdbc.sql("select set_config('homalon.person', ?, true)")
                    .param((who.getDetails() instanceof KeyedOnBehalf.Accepted by ? by.owner() : signed.id())
                            .toString())
                    .query(String.class)
                    .single();
        }
    }
}
