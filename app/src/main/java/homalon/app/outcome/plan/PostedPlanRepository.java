package homalon.app.outcome.plan;

import java.util.Optional;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface PostedPlanRepository extends Repository<PostedPlanRow, Long> {
    Optional<PostedPlanRow> findFirstByOrderBySeqDesc();

    PostedPlanRow save(PostedPlanRow row);

    @Modifying
    @Query("delete from PostedPlanRow where seq <= :seq")
    void forgetUpTo(long seq);
}
