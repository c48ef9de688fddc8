package homalon.app.foundation.people;

import homalon.app.foundation.settings.ShopSettings;
import homalon.core.input.BadInputException;
import homalon.core.input.Problems;
import homalon.core.quantity.BenchUnit;
import homalon.core.words.Message;
import jakarta.persistence.EntityManagerFactory;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.hibernate.SessionFactory;
import org.hibernate.StatelessSession;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The people of the shop: who they are, what they may do, how they sign in. */
@Service
@Transactional
@RequiredArgsConstructor
public class People {
    private final PersonRepository people;
    private final BenchDeviceRepository devices;
    private final EntityManagerFactory sessions;
    private final PasswordEncoder encoder;
    private final ShopSettings settings;
    private final Clock clock;

    /** How a person proves who they are; for the security package only. */
    public record Credentials(UUID id, String login, Role role, String passwordHash, boolean active) {}

    /** A bench PC on which PINs work. */
    public record Device(UUID id, String name, java.time.Instant enabledAt) {}

    @Transactional(readOnly = true)
    public boolean nobodyYet() {
        return people.count() == 0;
    }

    /** @throws BadInputException when a field cannot be used, naming all of them */
    public PersonInfo add(String login, String name, Role role, String password) {
        String tidyLogin = login == null ? "" : login.strip().toLowerCase(Locale.ROOT);
        String tidyName = name == null ? "" : name.strip();
        String given = password == null ? "" : password;
        Problems problems = new Problems();
        problems.require(
                tidyLogin.matches("[a-z0-9.-]{2,40}"), "login", "app.people.login-2-to-40-small-letters-digits-dots");
        problems.require(
                !tidyName.isEmpty() && tidyName.length() <= 80, "name", "app.people.name-key-what-the-shop-calls-this");
        problems.require(role != null, "role", "app.people.role-choose-what-this-person-may-do");
        Optional<String> wrong = Passwords.wrong(given, List.of(tidyLogin, tidyName));
        problems.require(wrong.isEmpty(), "password", wrong.map(Message::plain).orElse(Message.NONE));
        problems.require(
                people.findByLogin(tidyLogin).isEmpty(), "login", "app.people.that-login-is-taken-choose-another");
        problems.throwIfAny();
        return people.saveAndFlush(
                        new Person(tidyLogin, tidyName, role, encoder.encode(given), settings.unit(), clock.instant()))
                .seen();
    }

    /** @throws BadInputException when somebody has an account already */
    @Transactional(readOnly = true)
    public void requireNobody() {
        if (!nobodyYet()) {
            throw new BadInputException("login", "app.people.this-shop-has-its-owner-already-sign-in");
        }
    }

    /** The owner's account on a fresh installation; refused once anybody exists. Of several at once one is made. */
    public PersonInfo addFirstOwner(String login, String name, String password) {
        // Held until the end of the transaction: whoever comes at the same moment waits, and finds an owner.
        people.takeFirstOwnersTurn();
        requireNobody();
        return add(login, name, Role.OWNER, password);
    }

    @Transactional(readOnly = true)
    public Optional<Credentials> credentials(String login) {
        return people.findByLogin(login.strip().toLowerCase(Locale.ROOT)).map(People::credentials);
    }

    /** Asked at every request: one question by itself, beside any transaction; what is not committed yet is not seen. */
    @Transactional(propagation = Propagation.NOT_SUPPORTED)
    public Optional<PersonInfo> find(UUID id) {
        // Without a session's book-keeping, which costs as much again.
        try (StatelessSession session = sessions.unwrap(SessionFactory.class).openStatelessSession()) {
            return session.createSelectionQuery(
                            "select id, login, name, role, unit, fahrenheit, theme, pinHash is not null, active from Person where id = :id",
                            PersonInfo.class)
                    .setParameter("id", id)
                    .uniqueResultOptional();
        }
    }

    @Transactional(readOnly = true)
    public List<PersonInfo> all() {
        return people.findAllByOrderByName().stream().map(Person::seen).toList();
    }

    /** Names by id, for lists that say who did what. */
    @Transactional(readOnly = true)
    public Map<UUID, String> names() {
        return all().stream().collect(Collectors.toMap(PersonInfo::id, PersonInfo::name, (a, b) -> a));
    }

    public String nameOf(UUID id) {
        return people.findById(id).map(p -> p.seen().name()).orElse("Someone");
    }

    public void useUnit(UUID id, BenchUnit unit) {
        people.findById(id).ifPresent(p -> p.unit = unit);
    }

    public void useFahrenheit(UUID id, boolean fahrenheit) {
        people.findById(id).ifPresent(p -> p.fahrenheit = fahrenheit);
    }

    public void useTheme(UUID id, Theme theme) {
        people.findById(id).ifPresent(p -> p.theme = theme);
    }

    /** @throws BadInputException when nobody would be left to own the shop */
    public void setActive(UUID id, boolean active) {
        Person person = one(id);
        if (!active) {
            requireAnotherOwner(person);
        }
        person.active = active;
    }

    /** @throws BadInputException when nobody would be left to own the shop */
    public void setRole(UUID id, Role role) {
        Person person = one(id);
        if (role == null) {
            throw new BadInputException("role", "app.people.role-choose-what-this-person-may-do");
        }
        if (role != Role.OWNER) {
            requireAnotherOwner(person);
        }
        person.role = role;
    }

    private Person one(UUID id) {
        return people.findById(id)
                .orElseThrow(() -> new BadInputException("id", "app.people.there-is-no-such-person-look-at-the"));
    }

    private void requireAnotherOwner(Person person) {
        boolean another = people.findAllByOrderByName().stream()
                .anyMatch(p -> p.role == Role.OWNER && p.active && !p.id.equals(person.id));
        if (person.role == Role.OWNER && !another) {
            throw new BadInputException("id", "app.people.is-the-only-owner-make-somebody-else-an", person.name);
        }
    }

    /** @throws BadInputException when the one of now is wrong, or the new one cannot be a password */
    public void changePassword(UUID id, String now, String next) {
        Person person = one(id);
        if (!encoder.matches(now == null ? "" : now, person.passwordHash)) {
            throw new BadInputException("now", "app.people.that-is-not-your-password-of-now-key-it");
        }
        resetPassword(id, next);
    }

    /** @throws BadInputException when it cannot be a password */
    public void resetPassword(UUID id, String next) {
        Person person = one(id);
        Passwords.wrong(next == null ? "" : next, List.of(person.login, person.name))
                .ifPresent(w -> {
                    throw new BadInputException("password", Message.plain(w));
                });
        person.passwordHash = encoder.encode(next);
    }

    /** Whether a password is this person's; a hash of an older kind is kept anew when it is. */
    public boolean knows(UUID id, String password) {
        Person person = one(id);
        boolean right = encoder.matches(password, person.passwordHash);
        if (right && encoder.upgradeEncoding(person.passwordHash)) {
            person.passwordHash = encoder.encode(password);
        }
        return right;
    }

    /** @throws BadInputException when the PIN is not four to eight digits, or one that anybody would try first */
    public void setPin(UUID id, String pin) {
        String digits = pin == null ? "" : pin.strip();
        boolean allSame = digits.chars().distinct().count() < 2;
        if (!digits.matches("\\d{4,8}") || allSame || "0123456789".contains(digits)) {
            throw new BadInputException("pin", "app.people.pin-four-to-eight-digits-not-all-the");
        }
        people.findById(id).ifPresent(p -> p.pinHash = encoder.encode(digits));
    }

    /** The person, when the PIN is theirs and the device is enabled. */
    @Transactional(readOnly = true)
    public Optional<Credentials> byPin(UUID id, String pin, String deviceToken) {
        if (device(deviceToken).isEmpty()) {
            return Optional.empty();
        }
        return people.findById(id)
                .filter(p -> p.active && p.pinHash != null && pin != null && encoder.matches(pin.strip(), p.pinHash))
                .map(People::credentials);
    }

    /** @return the token for the device's cookie; it is kept as a hash only */
    public String enableDevice(String name, UUID owner) {
        String tidy = name == null ? "" : name.strip();
        if (tidy.isEmpty() || tidy.length() > 80) {
            throw new BadInputException("name", "app.people.name-the-bench-pc-so-that-you-know-it");
        }
        String token = RandomTokens.newToken();
        devices.save(new BenchDevice(RandomTokens.hash(token), tidy, owner, clock.instant()));
        return token;
    }

    public void revokeDevice(UUID id) {
        devices.findById(id).ifPresent(d -> d.revokedAt = clock.instant());
    }

    @Transactional(readOnly = true)
    public Optional<Device> device(String token) {
        return token == null
                ? Optional.empty()
                : devices.findByTokenHashAndRevokedAtIsNull(RandomTokens.hash(token))
                        .map(People::device);
    }

    @Transactional(readOnly = true)
    public List<Device> devices() {
        return devices.findByRevokedAtIsNullOrderByEnabledAt().stream()
                .map(People::device)
                .toList();
    }

    /** Everyone by id. */
    @Transactional(readOnly = true)
    public Map<UUID, PersonInfo> byId() {
        return all().stream().collect(Collectors.toMap(PersonInfo::id, Function.identity()));
    }

    private static Device device(BenchDevice d) {
        return new Device(d.id, d.name, d.enabledAt);
    }

    private static Credentials credentials(Person p) {
        return new Credentials(p.id, p.login, p.role, p.passwordHash, p.active);
    }
}
