package homalon.app.casting.customer;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface CustomerRepository extends JpaRepository<CustomerRow, UUID> {
    Optional<CustomerRow> findByName(String name);

    List<CustomerRow> findByNameIn(Collection<String> names);

    /** The oldest where several are spelt alike. */
    Optional<CustomerRow> findFirstByKeyOrderByCreatedAtAscIdAsc(String key);

    // What contains it first, then what is spelt nearly so.
    @Query(value = """
            select * from customer
            where name_key like :like escape '!' or :key <% name_key
            order by name_key like :like escape '!' desc, word_similarity(:key, name_key) desc, name, id
            limit :most offset :from
            """, nativeQuery = true)
    List<CustomerRow> find(String like, String key, int from, int most);

    @Query(value = "select * from customer order by name_key, id limit :most offset :from", nativeQuery = true)
    List<CustomerRow> all(int from, int most);
}
