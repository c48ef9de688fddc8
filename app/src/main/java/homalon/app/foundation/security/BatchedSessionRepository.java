package homalon.app.foundation.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.Set;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Sessions in the database, read once in a request and written only when something in them changed; when one was last used is
 * written once a minute. Without it every request would read its session twice and write it once.
 *
 * @param <S> as the store knows them
 */
final class BatchedSessionRepository<S extends Session> implements SessionRepository<BatchedSessionRepository.Kept<S>> {
    private static final Duration USED_EVERY = Duration.ofMinutes(1);

    private final SessionRepository<S> store;

    BatchedSessionRepository(SessionRepository<S> store) {
        this.store = store;
    }
    /** The session of the request in hand; no longer than that, since it may be ended by any other. */
    private final ThreadLocal<Turn<S>> turn = new ThreadLocal<>();

    private static final class Turn<S extends Session> {
        private Kept<S> session;
    }

    /** Stands around each request, outside of the filter that asks for the session. */
    final class Around extends OncePerRequestFilter {
        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                throws ServletException, IOException {
            turn.set(new Turn<>());
            try {
                chain.doFilter(request, response);
            } finally {
                turn.remove();
            }
        }
    }

    @Override
    public Kept<S> createSession() {
        return new Kept<>(store.createSession(), true);
    }

    @Override
    public Kept<S> findById(String id) {
        Turn<S> now = turn.get();
        if (now != null && now.session != null && now.session.getId().equals(id)) {
            return now.session;
        }
        S stored = store.findById(id);
        Kept<S> session = stored == null ? null : new Kept<>(stored, false);
        if (now != null) {
            now.session = session;
        }
        return session;
    }

    @Override
    public void save(Kept<S> session) {
        if (session.changed) {
            store.save(session.stored);
            session.changed = false;
        }
    }

    @Override
    public void deleteById(String id) {
        Turn<S> now = turn.get();
        if (now != null) {
            now.session = null;
        }
        store.deleteById(id);
    }

    /** A session that knows whether it must be written. */
    static final class Kept<S extends Session> implements Session {
        private final S stored;
        private boolean changed;

        private Kept(S stored, boolean changed) {
            this.stored = stored;
            this.changed = changed;
        }

        @Override
        public String getId() {
            return stored.getId();
        }

        @Override
        public String changeSessionId() {
            changed = true;
            return stored.changeSessionId();
        }

        @Override
        @SuppressWarnings("TypeParameterUnusedInFormals") // Spring Session's own
        public <T> T getAttribute(String name) {
            return stored.getAttribute(name);
        }

        @Override
        public Set<String> getAttributeNames() {
            return stored.getAttributeNames();
        }

        @Override
        public void setAttribute(String name, Object value) {
            changed = true;
            stored.setAttribute(name, value);
        }

        @Override
        public void removeAttribute(String name) {
            changed = true;
            stored.removeAttribute(name);
        }

        @Override
        public Instant getCreationTime() {
            return stored.getCreationTime();
        }

        @Override
        public void setLastAccessedTime(Instant used) {
            if (Duration.between(stored.getLastAccessedTime(), used).compareTo(USED_EVERY) > 0) {
                changed = true;
                stored.setLastAccessedTime(used);
            }
        }

        @Override
        public Instant getLastAccessedTime() {
            return stored.getLastAccessedTime();
        }

        @Override
        public void setMaxInactiveInterval(Duration most) {
            changed = true;
            stored.setMaxInactiveInterval(most);
        }

        @Override
        public Duration getMaxInactiveInterval() {
            return stored.getMaxInactiveInterval();
        }

        @Override
        public boolean isExpired() {
            return stored.isExpired();
        }
    }
}
