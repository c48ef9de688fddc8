package homalon.app.shop.tools;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface ShimRepository extends JpaRepository<ShimRow, Long> {
    @Query("select nm from ShimRow")
    List<Long> thicknesses();
}
