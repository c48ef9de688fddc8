package homalon.app.foundation.opened;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.authority.AuthorityUtils;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.method.HandlerMethod;

class AccessInterceptorTest {
    private final AccessInterceptor closed = new AccessInterceptor();

    @AfterEach
    void nobody() {
        SecurityContextHolder.clearContext();
    }

    /** Opens all to everybody who is signed in, and one to the owner. */
    @ToEverybody
    static final class Some {
        void asTheOthers() {}

        @ToOwners
        void owners() {}

        @ToVisitors
        void visitors() {}

        @ToMachinists
        void machinists() {}

        @ToPrograms
        void programs() {}
    }

    /** Nobody said who may call it. */
    static final class Forgotten {
        void anything() {}
    }

    @ParameterizedTest
    @CsvSource({
        "asTheOthers, ANONYMOUS, 403",
        "asTheOthers, DESK, 200",
        "asTheOthers, MACHINIST, 200",
        "asTheOthers, OWNER, 200",
        "machinists, ANONYMOUS, 403",
        "machinists, DESK, 403",
        "machinists, MACHINIST, 200",
        "machinists, OWNER, 200",
        "machinists, PROGRAM, 403",
        "owners, DESK, 403",
        "owners, MACHINIST, 403",
        "owners, OWNER, 200",
        "owners, ANONYMOUS, 403",
        "visitors, ANONYMOUS, 200",
        "visitors, DESK, 200",
        "programs, OWNER, 403",
        "programs, PROGRAM, 200",
        "anything, OWNER, 403",
        "anything, ANONYMOUS, 403"
    })
    void aHandlerOpensToWhomItSays(String name, String role, int status) throws IOException, NoSuchMethodException {
        SecurityContextHolder.getContext().setAuthentication(as(role));
        Object bean = name.equals("anything") ? new Forgotten() : new Some();
        MockHttpServletResponse response = new MockHttpServletResponse();
        boolean goesOn = closed.preHandle(
                new MockHttpServletRequest(),
                response,
                new HandlerMethod(bean, bean.getClass().getDeclaredMethod(name)));
        assertEquals(status, response.getStatus());
        assertEquals(status == 200, goesOn);
    }

    private static Authentication as(String role) {
        List<org.springframework.security.core.GrantedAuthority> roles =
                AuthorityUtils.createAuthorityList("ROLE_" + role);
        return role.equals("ANONYMOUS")
                ? new AnonymousAuthenticationToken("a", "nobody", roles)
                : UsernamePasswordAuthenticationToken.authenticated("someone", null, roles);
    }
}
