package homalon.app.people;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PersonRepository extends JpaRepository<Person, UUID> {
    Optional<Person> findByLogin(String login);

    List<Person> findAllByOrderByName();
}
