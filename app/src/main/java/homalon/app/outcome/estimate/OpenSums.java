package homalon.app.outcome.estimate;

import homalon.app.shop.prices.SumsInUse;
import jakarta.persistence.EntityManager;
import java.util.List;
import lombok.RequiredArgsConstructor;
import org.joda.money.CurrencyUnit;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Castings in the shop whose customers were shown money, or for which a price was said. */
@Component
@RequiredArgsConstructor
class OpenSums implements SumsInUse {
    private static final int NAMED = 5;

    private final EntityManager entities;

    @Override
    @Transactional(readOnly = true)
    public List<String> in(CurrencyUnit currency) {
        return entities.createQuery("""
                        select p.tag from Part p join Job j on j.partId = p.id
                        where j.releasedAt is null and j.voidedAt is null and
                          (exists (select 1 from EstimateShownRow s where s.visit = j.id)
                           or exists (select 1 from EstimateSaidRow s where s.visit = j.id and s.currency = :currency))
                        order by p.tag
                        """, String.class)
                .setParameter("currency", currency.getCode())
                .setMaxResults(NAMED)
                .getResultList();
    }
}
