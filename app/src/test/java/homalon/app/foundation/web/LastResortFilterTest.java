package homalon.app.foundation.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import jakarta.servlet.ServletException;
import java.sql.SQLException;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.transaction.CannotCreateTransactionException;

/** Who is told that the store is away waits for it: a fault of a page is told as what it is. */
class LastResortFilterTest {
    private static String answer(Exception fault) throws Exception {
        MockHttpServletResponse response = new MockHttpServletResponse();
        new LastResortFilter().doFilter(new MockHttpServletRequest("GET", "/parts/T-0412/face"), response, (a, b) -> {
            if (fault instanceof RuntimeException run) {
                throw run;
            }
            throw (ServletException) fault;
        });
        assertEquals(503, response.getStatus());
        return response.getContentAsString();
    }

    static Stream<Arguments> faults() {
        return Stream.of(
                Arguments.of(new DataAccessResourceFailureException("gone"), "The store cannot be reached"),
                Arguments.of(new CannotCreateTransactionException("gone"), "The store cannot be reached"),
                Arguments.of(
                        new ServletException(new IllegalStateException(new SQLException("gone"))), "The store cannot"),
                Arguments.of(new IllegalStateException("a template"), "This page could not be made"),
                Arguments.of(
                        new ServletException(new IllegalArgumentException("a view")), "This page could not be made"));
    }

    @ParameterizedTest
    @MethodSource("faults")
    void saysWhatFailed(Exception fault, String words) throws Exception {
        assertTrue(answer(fault).contains(words), answer(fault));
    }

    @Test
    void nothingOfTheInsideIsShown() throws Exception {
        assertEquals(-1, answer(new IllegalStateException("jdbc:secret")).indexOf("secret"));
    }
}
