package homalon.app.foundation.web;

import homalon.app.foundation.load.Refusal;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.sql.SQLException;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Stands outside everything: when even sessions cannot be read, since the store is gone, a sentence is still answered, and
 * never a server's own page.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class LastResortFilter extends OncePerRequestFilter {
    private static final Logger LOG = LoggerFactory.getLogger(LastResortFilter.class);
    private static final String NO_STORE =
            "The store cannot be reached just now. What you keyed is not lost: it is sent again by itself.";
    private static final String NOT_MADE =
            "This page could not be made; the fault is noted in the shop's log. What was kept stays kept: go on from the bench.";
    private static final String NOT_READ = "That could not be read: go back, check what was keyed and send it again.";
    private static final String TOO_MUCH = "That is too much at once: send less.";

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (InvalidParameterException e) {
            boolean much = e.getErrorCode() == HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE;
            Refusal.answer(request, response, e.getErrorCode(), much ? TOO_MUCH : NOT_READ);
        } catch (RuntimeException | ServletException e) {
            boolean store = ofTheStore(e);
            if (store) {
                LOG.warn("not answered: {}", e.toString());
                LOG.debug("cause", e);
            } else {
                LOG.error("not answered", e);
            }
            if (response.isCommitted()) {
                throw e;
            }
            Refusal.answer(request, response, HttpServletResponse.SC_SERVICE_UNAVAILABLE, store ? NO_STORE : NOT_MADE);
        }
    }

    /** Whether the store is what failed, and not a page of ours: who is told to wait for it would wait in vain. */
    private static boolean ofTheStore(Throwable fault) {
        for (Throwable e = fault; e != null; e = e.getCause()) {
            if (e instanceof DataAccessException || e instanceof TransactionException || e instanceof SQLException) {
                return true;
            }
        }
        return false;
    }
}
