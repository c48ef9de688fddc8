package homalon.app.check.mating;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** Somebody said that a head goes on a deck. */
@Entity
@Table(name = "mate")
final class MateRow {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long seq;

    @Column(name = "head_id")
    UUID headId;

    @Column(name = "deck_id")
    UUID deckId;

    @Column(name = "by_person")
    UUID byPerson;

    Instant at;
}
