package homalon.app.foundation.security;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotNull;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.spy;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;

import jakarta.servlet.FilterChain;
import java.time.Instant;
import java.util.concurrent.ConcurrentHashMap;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.session.MapSession;
import org.springframework.session.MapSessionRepository;

/** A session is read once in a request and written when something changed, and nobody is let in by one that was ended. */
class BatchedSessionRepositoryTest {
    private final MapSessionRepository store = spy(new MapSessionRepository(new ConcurrentHashMap<>()));
    private final BatchedSessionRepository<MapSession> sessions = new BatchedSessionRepository<>(store);
    private String id;

    @BeforeEach
    void signIn() {
        BatchedSessionRepository.Kept<MapSession> session = sessions.createSession();
        session.setAttribute("who", "ines");
        sessions.save(session);
        id = session.getId();
    }

    private void request(FilterChain work) throws Exception {
        sessions.new Around().doFilter(new MockHttpServletRequest(), new MockHttpServletResponse(), work);
    }

    /** As the library does it: found, stamped, saved, and looked for once more. */
    private void visit(Instant at) throws Exception {
        request((request, response) -> {
            BatchedSessionRepository.Kept<MapSession> session = sessions.findById(id);
            session.setLastAccessedTime(at);
            sessions.save(session);
            assertNotNull(sessions.findById(id));
        });
    }

    @Test
    void aVisitReadsItOnceAndWritesWhenItWasUsedOnceAMinute() throws Exception {
        Instant now = Instant.now();
        visit(now.plusSeconds(20));
        visit(now.plusSeconds(40));
        verify(store, times(2)).findById(id);
        verify(store, times(1)).save(any());
        visit(now.plusSeconds(90));
        verify(store, times(2)).save(any());
        assertEquals(now.plusSeconds(90), store.findById(id).getLastAccessedTime());
    }

    @Test
    void whatIsPutIntoItIsKeptForTheNextVisit() throws Exception {
        request((request, response) -> {
            BatchedSessionRepository.Kept<MapSession> session = sessions.findById(id);
            session.setAttribute("asked for", "/parts/T-0407");
            sessions.save(session);
        });
        assertEquals("/parts/T-0407", sessions.findById(id).<String>getAttribute("asked for"));
        request((request, response) -> {
            BatchedSessionRepository.Kept<MapSession> session = sessions.findById(id);
            String other = session.changeSessionId();
            sessions.save(session);
            assertNotNull(sessions.findById(other));
        });
        assertNull(sessions.findById(id));
    }

    @Test
    void aSessionThatSomebodyEndedIsGoneAtTheNextVisit() throws Exception {
        visit(Instant.now());
        store.deleteById(id);
        request((request, response) -> assertNull(sessions.findById(id)));
        signIn();
        request((request, response) -> {
            assertNotNull(sessions.findById(id));
            sessions.deleteById(id);
            assertNull(sessions.findById(id));
        });
    }
}
