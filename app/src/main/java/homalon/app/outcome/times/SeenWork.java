package homalon.app.outcome.times;

import homalon.core.bench.ShopTimes;
import homalon.core.route.Operation;
import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.List;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What was written about the last visits, as far as it tells what somebody was at. */
@Component
@RequiredArgsConstructor
class SeenWork {
    private static final int VISITS = 200;

    private final EntityManager entities;

    @Transactional(readOnly = true)
    @SuppressWarnings("unchecked") // as wide as what is selected
    public List<ShopTimes.Seen> last() {
        List<Object[]> rows =
                entities.createNativeQuery("""
                with last as (
                  select j.id, p.cylinders from job j join part p on p.id = j.part_id
                  order by j.opened_at desc, j.id limit :visits),
                seen as (
                  select s.job_id, case s.kind when 'PROOF' then 'PROOF' else 'FACE_CHECK' end as operation,
                         r.by_person, r.at
                    from reading r join place p on p.id = r.place_id join survey s on s.id = p.survey_id
                    where s.kind in ('FACE', 'PROOF')
                  union all
                  select s.job_id, case s.kind when 'PROOF' then 'PROOF' else 'FACE_CHECK' end, t.by_person, t.at
                    from feeler_try t join feeler_place p on p.id = t.place_id join feeler_line l on l.id = p.line_id
                    join feeler_survey s on s.id = l.survey_id
                  union all select job_id, 'CUT', by_person, at from ledger_line where kind = 'PASS'
                  union all select job_id, 'CUT', by_person, at from touched
                  union all select job_id, 'CRACK_CHECK', by_person, at from crack_mark
                  union all
                  select t.job_id, 'PRESSURE_TEST', r.by_person, r.at
                    from pressure_reading r join pressure_test t on t.id = r.test_id
                  union all
                  select job_id, case sheet when 'VALVES' then 'VALVE_CHECK' when 'CHAMBERS' then 'CHAMBER_FILL'
                           when 'LINE' then 'LINE_CHECK' when 'INDEX' then 'DECK_INDEX' else 'LINER_CHECK' end,
                         by_person, at
                    from figure)
                select cast(l.id as text), l.cylinders, s.operation, cast(s.by_person as text), s.at
                from seen s join last l on l.id = s.job_id where s.by_person is not null
                """).setParameter("visits", VISITS).getResultList();
        return rows.stream()
                .map(r -> new ShopTimes.Seen(
                        (String) r[0],
                        ((Number) r[1]).intValue(),
                        Operation.valueOf((String) r[2]),
                        (String) r[3],
                        (Instant) r[4]))
                .toList();
    }
}
