package homalon.app.outcome.times;

import homalon.core.bench.SetUpsSeen;
import homalon.core.bench.ShopTimes;
import homalon.core.part.Material;
import homalon.core.route.Operation;
import jakarta.persistence.EntityManager;
import jakarta.persistence.Query;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What was written about visits, as far as it tells what somebody was at. */
@Component
@RequiredArgsConstructor
class SeenWork {
    private static final int VISITS = 200;
    /** Passes back in which every surfacer that is used was cut on. */
    private static final int CUTS = 50;

    private final EntityManager entities;

    /** Every line that tells what somebody was at; its visit stands beside. */
    private static final String SEEN = """
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
            """;

    private static final String WHAT = """
            select cast(j.id as text), p.cylinders, s.operation, cast(s.by_person as text), s.at
            from seen s join job j on j.id = s.job_id join part p on p.id = j.part_id
            """;

    /** About the last visits. */
    @Transactional(readOnly = true)
    public List<ShopTimes.Seen> last() {
        return seen(entities.createNativeQuery(
                        "with last as (select j.id from job j order by j.opened_at desc, j.id limit :visits), " + SEEN
                                + WHAT + "where s.by_person is not null and s.job_id in (select id from last)")
                .setParameter("visits", VISITS));
    }

    /** About one visit. */
    @Transactional(readOnly = true)
    public List<ShopTimes.Seen> of(UUID visit) {
        return seen(entities.createNativeQuery(
                        "with " + SEEN + WHAT + "where s.by_person is not null and s.job_id = :visit")
                .setParameter("visit", visit));
    }

    /** In that time, about whatever visit. */
    @Transactional(readOnly = true)
    public List<ShopTimes.Seen> between(Instant from, Instant to) {
        return seen(entities.createNativeQuery(
                        "with " + SEEN + WHAT + "where s.by_person is not null and s.at >= :from and s.at < :to")
                .setParameter("from", from)
                .setParameter("to", to));
    }

    /** Passes over faces in that time, without those that were taken back. */
    @Transactional(readOnly = true)
    @SuppressWarnings("unchecked") // as wide as what is selected
    public List<SetUpsSeen.Pass> passes(Instant from, Instant to) {
        List<Object[]> rows = entities.createNativeQuery("""
                        select l.machine, p.material, l.at from ledger_line l join part p on p.id = l.part_id
                        where l.kind = 'PASS' and l.at >= :from and l.at < :to
                          and not exists (select 1 from ledger_line r where r.reverses = l.id)
                        """)
                .setParameter("from", from)
                .setParameter("to", to)
                .getResultList();
        return passes(rows);
    }

    /** The last passes of all, the latest first. */
    @Transactional(readOnly = true)
    @SuppressWarnings("unchecked") // as wide as what is selected
    public List<SetUpsSeen.Pass> lastCuts() {
        List<Object[]> rows =
                entities.createNativeQuery("""
                        select l.machine, p.material, l.at from ledger_line l join part p on p.id = l.part_id
                        where l.kind = 'PASS' and not exists (select 1 from ledger_line r where r.reverses = l.id)
                        order by l.seq desc limit :last
                        """).setParameter("last", CUTS).getResultList();
        return passes(rows);
    }

    private static List<SetUpsSeen.Pass> passes(List<Object[]> rows) {
        return rows.stream()
                .map(r -> new SetUpsSeen.Pass((String) r[0], Material.valueOf((String) r[1]), (Instant) r[2]))
                .toList();
    }

    @SuppressWarnings("unchecked") // as wide as what is selected
    private static List<ShopTimes.Seen> seen(Query asked) {
        List<Object[]> rows = asked.getResultList();
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
