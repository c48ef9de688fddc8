package homalon.app.foundation.people;

import homalon.core.quantity.BenchUnit;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** A row of the table of people. Other features see {@link PersonInfo}. */
@Entity
final class Person {
    @Id
    UUID id;

    String login;
    String name;

    @Enumerated(EnumType.STRING)
    Role role;

    @Column(name = "password_hash")
    String passwordHash;

    @Column(name = "pin_hash")
    String pinHash;

    @Enumerated(EnumType.STRING)
    BenchUnit unit;

    boolean fahrenheit;

    @Enumerated(EnumType.STRING)
    Theme theme;

    boolean active;

    @Column(name = "created_at")
    Instant createdAt;

    Person() {}

    Person(String login, String name, Role role, String passwordHash, BenchUnit unit, Instant createdAt) {
        this.id = UUID.randomUUID();
        this.login = login;
        this.name = name;
        this.role = role;
        this.passwordHash = passwordHash;
        this.unit = unit;
        this.theme = Theme.LIGHT;
        this.active = true;
        this.createdAt = createdAt;
    }

    PersonInfo seen() {
        return new PersonInfo(id, login, name, role, unit, fahrenheit, theme, pinHash != null, active);
    }
}
