package homalon.app.web;

import homalon.core.input.BadInputException;
import homalon.core.quantity.NotALengthException;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.web.ErrorResponse;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.servlet.ModelAndView;

/**
 * Turns what goes wrong on a page into a sentence: as text for the parts of a page that ask in the background, as a page
 * of its own otherwise. Nothing of the inside is ever shown.
 */
@ControllerAdvice(
        basePackages = {
            "homalon.app.web",
            "homalon.app.part",
            "homalon.app.face",
            "homalon.app.cut",
            "homalon.app.ledger",
            "homalon.app.bench",
            "homalon.app.report",
            "homalon.app.people",
            "homalon.app.door"
        })
class Sentences {
    private static final Logger LOG = LoggerFactory.getLogger(Sentences.class);

    @ExceptionHandler({BadInputException.class, NotALengthException.class})
    Object badInput(IllegalArgumentException e, HttpServletRequest request) {
        return answer(request, HttpStatus.UNPROCESSABLE_CONTENT, e.getMessage());
    }

    @ExceptionHandler(homalon.app.part.Parts.NoSuchPartException.class)
    Object noSuchPart(RuntimeException e, HttpServletRequest request) {
        return answer(request, HttpStatus.NOT_FOUND, e.getMessage());
    }

    @ExceptionHandler({CannotCreateTransactionException.class, DataAccessException.class})
    Object noStore(Exception e, HttpServletRequest request) {
        LOG.warn("the store did not answer: {}", e.getClass().getSimpleName());
        LOG.debug("cause", e);
        return answer(
                request,
                HttpStatus.SERVICE_UNAVAILABLE,
                "The store cannot be reached just now. What you keyed is not lost: it is sent again by itself.");
    }

    @ExceptionHandler(Exception.class)
    Object other(Exception e, HttpServletRequest request) {
        if (e instanceof ErrorResponse known && known.getStatusCode().is4xxClientError()) {
            HttpStatusCode status = known.getStatusCode();
            String sentence = status.value() == 404
                    ? "There is no such page: go back to the bench."
                    : "That could not be read: go back, check what was keyed and send it again.";
            return answer(request, status, sentence);
        }
        LOG.error("unexpected", e);
        return answer(
                request,
                HttpStatus.SERVICE_UNAVAILABLE,
                "Something went wrong here, not with you. What was kept is kept; try again.");
    }

    private static Object answer(HttpServletRequest request, HttpStatusCode status, String sentence) {
        if (request.getHeader("HX-Request") != null || request.getHeader("X-Keying") != null) {
            return ResponseEntity.status(status)
                    .contentType(new MediaType(MediaType.TEXT_PLAIN, java.nio.charset.StandardCharsets.UTF_8))
                    .body(sentence);
        }
        ModelAndView page = new ModelAndView("web/problem", Map.of("sentence", sentence));
        page.setStatus(status);
        return page;
    }
}
