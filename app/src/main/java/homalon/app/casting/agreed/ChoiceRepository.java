package homalon.app.casting.agreed;

import homalon.core.money.Choice;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface ChoiceRepository extends Repository<ChoiceMadeRow, Long> {
    @Query("""
            select distinct a.visit from ChoiceAskedRow a join Job j on j.id = a.visit
            where j.releasedAt is null and j.voidedAt is null
              and not exists (select 1 from ChoiceMadeRow m where m.visit = a.visit and m.at >= a.at)
            """)
    List<UUID> visitsAsked();

    @Query("""
            select distinct m.visit from ChoiceMadeRow m join Job j on j.id = m.visit
            where m.means = :means and j.releasedAt is null and j.voidedAt is null
            """)
    List<UUID> visitsChosen(Choice.By means);

    @Query(nativeQuery = true, value = """
            select exists (select from choice_made m join job j on j.id = m.job_id join part p on p.id = j.part_id
                           where p.tag = :tag and j.released_at is null and j.voided_at is null)
                or coalesce((select asks <> '' from price_list order by seq desc limit 1), false)
            """)
    boolean concerns(String tag);

    @Modifying
    @Query("""
            update ChoiceMadeRow set who = '', words = '' where visit in
              (select j.id from Job j join Part p on p.id = j.partId where p.customerId = :customer)
            """)
    void forget(UUID customer);
}
