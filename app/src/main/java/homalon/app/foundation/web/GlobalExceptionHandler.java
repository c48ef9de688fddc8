package homalon.app.foundation.web;

import homalon.app.foundation.load.BusyException;
import homalon.app.foundation.words.Words;
import homalon.core.input.RefusedInputException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import lombok.RequiredArgsConstructor;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.TypeMismatchException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.validation.BindException;
import org.springframework.validation.FieldError;
import org.springframework.web.ErrorResponse;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.context.request.async.AsyncRequestTimeoutException;

/**
 * Turns whatever goes wrong into a sentence: problem details for programs, text for the parts of a page that ask in the
 * background, a page of its own otherwise. Nothing of the inside is ever shown.
 */
@ControllerAdvice
@RequiredArgsConstructor
@Order(Ordered.HIGHEST_PRECEDENCE + 10)
class GlobalExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(GlobalExceptionHandler.class);
    private static final String NOT_READ = "That could not be read: go back, check what was keyed and send it again.";

    private final ErrorAnswer answer;

    @ExceptionHandler
    Object badInput(RefusedInputException e, HttpServletRequest request) {
        return answer.of(request, HttpStatus.UNPROCESSABLE_CONTENT, Words.of(e.sentence()));
    }

    @ExceptionHandler
    Object standsAgainst(StandsAgainstException e, HttpServletRequest request, HttpServletResponse response) {
        response.setHeader("X-Lead", e.lead());
        return answer.of(request, HttpStatus.UNPROCESSABLE_CONTENT, e.getMessage());
    }

    @ExceptionHandler
    Object odd(AskAgainException e, HttpServletRequest request, HttpServletResponse response) {
        if (e.seen() > 0) {
            response.setHeader("X-Seen", Long.toString(e.seen()));
        }
        return answer.of(request, HttpStatus.CONFLICT, e.getMessage());
    }

    @ExceptionHandler
    Object busy(BusyException e, HttpServletRequest request, HttpServletResponse response) {
        response.setHeader("Retry-After", Integer.toString(BusyException.LATER));
        return answer.of(request, HttpStatus.SERVICE_UNAVAILABLE, e.getMessage());
    }

    @ExceptionHandler
    Object notHere(NotHereException e, HttpServletRequest request) {
        return answer.of(request, HttpStatus.NOT_FOUND, e.getMessage());
    }

    @ExceptionHandler({TypeMismatchException.class, HttpMessageNotReadableException.class})
    Object notReadable(Exception e, HttpServletRequest request) {
        return answer.of(request, HttpStatus.BAD_REQUEST, NOT_READ);
    }

    /** A form that lacks something, or holds what cannot be read. */
    @ExceptionHandler
    Object notValid(BindException e, HttpServletRequest request) {
        FieldError first = e.getFieldError();
        boolean unread = first == null || first.isBindingFailure();
        return answer.of(
                request,
                unread ? HttpStatus.BAD_REQUEST : HttpStatus.UNPROCESSABLE_CONTENT,
                unread ? NOT_READ : first.getDefaultMessage());
    }

    /** Two wrote the same at once, or a character came that cannot be kept. */
    @ExceptionHandler
    Object notStored(DataIntegrityViolationException e, HttpServletRequest request) {
        LOG.warn("the store refused: {}", e.getMostSpecificCause().getMessage());
        return answer.of(
                request,
                HttpStatus.UNPROCESSABLE_CONTENT,
                "That was not kept: someone may have written the same meanwhile. Look at the page again, then key it anew.");
    }

    @ExceptionHandler({CannotCreateTransactionException.class, DataAccessException.class})
    Object noStore(Exception e, HttpServletRequest request) {
        LOG.warn("the store did not answer: {}", e.getClass().getSimpleName());
        LOG.debug("cause", e);
        return answer.of(
                request,
                HttpStatus.SERVICE_UNAVAILABLE,
                "The store cannot be reached just now. What you keyed is not lost: it is sent again by itself.");
    }

    /** A page that listened for live values was closed: there is nobody to tell. */
    @ExceptionHandler({AsyncRequestNotUsableException.class, AsyncRequestTimeoutException.class})
    void gone() {
        LOG.debug("a listening page has gone");
    }

    @ExceptionHandler(Exception.class)
    Object other(Exception e, HttpServletRequest request) {
        if (e instanceof ErrorResponse known && known.getStatusCode().is4xxClientError()) {
            HttpStatusCode status = known.getStatusCode();
            String sentence = status.value() == 404 ? "There is no such page: go back to the bench." : NOT_READ;
            return answer.of(request, status, sentence);
        }
        LOG.error("unexpected", e);
        return answer.of(
                request,
                HttpStatus.SERVICE_UNAVAILABLE,
                "Something went wrong here, not with you. What was kept is kept; try again.");
    }
}
