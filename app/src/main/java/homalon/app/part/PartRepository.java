package homalon.app.part;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface PartRepository extends JpaRepository<Part, UUID> {
    Optional<Part> findByTag(String tag);

    @Query("""
            select p from Part p
            where lower(p.tag) like :like escape '!' or lower(p.name) like :like escape '!'
               or lower(p.customer) like :like escape '!' or lower(p.castingNumber) like :like escape '!'
            order by p.createdAt desc limit 20
            """)
    List<Part> search(String like);

    @Query("""
            select p from Part p
            where lower(p.tag) like :like escape '!' or lower(p.name) like :like escape '!'
               or lower(p.customer) like :like escape '!' or lower(p.castingNumber) like :like escape '!'
            order by p.createdAt desc, p.tag desc
            """)
    Page<Part> page(String like, Pageable wanted);

    @Query(
            value = "select coalesce(max(cast(substring(tag from 3) as integer)), 0) from part where tag like 'T-%'",
            nativeQuery = true)
    int highestNumber();
}
