package homalon.app.foundation.security;

import homalon.app.foundation.people.PersonInfo;
import jakarta.servlet.http.HttpServletRequest;

/** Who is here, as it was looked up for this request. */
public final class RequestUser {
    private RequestUser() {}

    /** Null for a visitor who has not signed in. */
    public static PersonInfo person(HttpServletRequest request) {
        return request.getAttribute(SessionValidityFilter.PERSON) instanceof PersonInfo s ? s : null;
    }
}
