package homalon.app.foundation.security;

import homalon.app.foundation.people.Someone;
import jakarta.servlet.http.HttpServletRequest;

/** Who is here, as it was looked up for this request. */
public final class Present {
    private Present() {}

    /** Null for a visitor who has not signed in. */
    public static Someone person(HttpServletRequest request) {
        return request.getAttribute(StillBelongs.PERSON) instanceof Someone s ? s : null;
    }
}
