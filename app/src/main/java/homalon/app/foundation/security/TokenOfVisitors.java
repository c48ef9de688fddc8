package homalon.app.foundation.security;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.security.web.csrf.HttpSessionCsrfTokenRepository;

/**
 * Whoever has a session has the token against forged requests in it; a visitor who signed nothing in has it in a cookie, so that
 * no visit alone makes a row in the table of sessions.
 */
final class TokenOfVisitors implements CsrfTokenRepository {
    private final CsrfTokenRepository sessions = new HttpSessionCsrfTokenRepository();
    private final CookieCsrfTokenRepository cookies;

    TokenOfVisitors(String cookie, boolean secure) {
        cookies = new CookieCsrfTokenRepository();
        cookies.setCookieName(cookie);
        cookies.setHeaderName("X-CSRF-TOKEN");
        cookies.setCookiePath("/");
        cookies.setCookieCustomizer(c -> c.secure(secure).sameSite("Strict").httpOnly(true));
    }

    private CsrfTokenRepository of(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        return session == null ? cookies : sessions;
    }

    @Override
    public CsrfToken generateToken(HttpServletRequest request) {
        return of(request).generateToken(request);
    }

    @Override
    public void saveToken(CsrfToken token, HttpServletRequest request, HttpServletResponse response) {
        of(request).saveToken(token, request, response);
    }

    @Override
    public CsrfToken loadToken(HttpServletRequest request) {
        return of(request).loadToken(request);
    }
}
