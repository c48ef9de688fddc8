package homalon.app.foundation.people;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface PersonRepository extends JpaRepository<Person, UUID> {
    Optional<Person> findByLogin(String login);

    List<Person> findAllByOrderByName();

    /** Until the end of the transaction. */
    @Query(nativeQuery = true, value = "select 1 from pg_advisory_xact_lock(hashtext('homalon first owner'))")
    int takeFirstOwnersTurn();
}
