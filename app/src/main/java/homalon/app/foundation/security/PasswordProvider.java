package homalon.app.foundation.security;

import homalon.app.foundation.people.Journal;
import homalon.app.foundation.people.Passwords;
import homalon.app.foundation.people.People;
import homalon.app.foundation.people.People.Credentials;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.security.authentication.AuthenticationProvider;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.authentication.WebAuthenticationDetails;
import org.springframework.stereotype.Component;

/** Checks a login and password, with the same work for a login that does not exist. */
@Component
class PasswordProvider implements AuthenticationProvider {
    private final People people;
    private final LoginThrottle throttle;
    private final PasswordEncoder encoder;
    private final Journal journal;
    private final Clock clock;
    private final ObjectProvider<SecondFactor> secondFactor;
    /** Made beside the start: it takes as long as a password is meant to. */
    private final CompletableFuture<String> decoy;

    PasswordProvider(
            People people,
            LoginThrottle throttle,
            PasswordEncoder encoder,
            Journal journal,
            Clock clock,
            ObjectProvider<SecondFactor> secondFactor) {
        this.secondFactor = secondFactor;
        this.journal = journal;
        this.clock = clock;
        this.people = people;
        this.throttle = throttle;
        this.encoder = encoder;
        this.decoy = CompletableFuture.supplyAsync(() -> encoder.encode("a password that nobody has"));
    }

    @Override
    public Authentication authenticate(Authentication given) {
        String login = String.valueOf(given.getName()).strip().toLowerCase(java.util.Locale.ROOT);
        List<LoginThrottle.Subject> subjects = List.of(
                LoginThrottle.Subject.secret("login:" + shortened(login)),
                LoginThrottle.Subject.address("from:" + address(given)));
        int wait = throttle.take(subjects);
        if (wait > 0) {
            throw new MustWait(wait);
        }
        Optional<Credentials> found = people.credentials(login);
        String password = String.valueOf(given.getCredentials());
        boolean matches = encoder.matches(
                password.length() > Passwords.LONGEST ? "" : password,
                found.map(Credentials::passwordHash).orElseGet(decoy::join));
        if (!matches || found.isEmpty() || !found.get().active()) {
            journal.write(Journal.What.NOT_LET_IN, null, "login " + shortened(login) + " from " + address(given));
            throw new BadCredentialsException("wrong");
        }
        throttle.right(subjects);
        people.knows(found.get().id(), password);
        UUID person = found.get().id();
        if (secondFactor.stream().anyMatch(f -> f.askedOf(person))) {
            journal.write(Journal.What.NOT_LET_IN, person, "a password without the passkey, from " + address(given));
            throw new PasskeyAsked();
        }
        journal.write(Journal.What.SIGNED_IN, found.get().id(), "from " + address(given));
        return signedIn(found.get(), false, clock.instant());
    }

    /** Too many wrong tries went before. */
    static final class MustWait extends LockedException {
        private static final long serialVersionUID = 1;

        final int minutes;

        MustWait(int minutes) {
            super(LoginThrottle.told(minutes));
            this.minutes = minutes;
        }
    }

    /** The password was right, and is not enough. */
    static final class PasskeyAsked extends BadCredentialsException {
        private static final long serialVersionUID = 1;

        PasskeyAsked() {
            super("the passkey is asked for");
        }
    }

    static Authentication signedIn(Credentials who, boolean byPin, Instant now) {
        return UsernamePasswordAuthenticationToken.authenticated(
                new CurrentUser(who.id(), who.login(), who.role(), byPin, now),
                null,
                List.of(new SimpleGrantedAuthority("ROLE_" + who.role().name())));
    }

    private static String address(Authentication given) {
        return given.getDetails() instanceof WebAuthenticationDetails details
                ? String.valueOf(details.getRemoteAddress())
                : "unknown";
    }

    private static String shortened(String login) {
        return login.length() <= 80 ? login : login.substring(0, 80);
    }

    @Override
    public boolean supports(Class<?> type) {
        return UsernamePasswordAuthenticationToken.class.isAssignableFrom(type);
    }
}
