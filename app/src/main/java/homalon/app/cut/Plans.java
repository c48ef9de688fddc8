package homalon.app.cut;

import homalon.app.face.SurveyFile;
import homalon.app.part.PartFile;
import homalon.core.cut.PassPlan;
import homalon.core.cut.School;
import homalon.core.input.BadInputException;
import homalon.core.quantity.Length;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the plans of visits. */
@Service
@Transactional
public class Plans {
    private final PlanRepository plans;
    private final JdbcClient jdbc;
    private final Clock clock;

    Plans(PlanRepository plans, JdbcClient jdbc, Clock clock) {
        this.plans = plans;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public Optional<PlanFile> of(PartFile part) {
        return Optional.ofNullable(
                ofVisits(List.of(part.visit().id())).get(part.visit().id()));
    }

    /** The plan that stands, by id of the visit. */
    @Transactional(readOnly = true)
    public Map<UUID, PlanFile> ofVisits(Collection<UUID> visits) {
        Map<UUID, PlanRow> last = new HashMap<>();
        plans.findByJobIdInOrderBySeq(visits).forEach(p -> last.put(p.jobId, p));
        if (last.isEmpty()) {
            return Map.of();
        }
        Map<UUID, List<PassPlan.Pass>> passes = passes(last.values());
        Map<UUID, PlanFile> files = new HashMap<>();
        last.forEach((visit, p) -> files.put(visit, file(p, passes.getOrDefault(p.id, List.of()))));
        return files;
    }

    private Map<UUID, List<PassPlan.Pass>> passes(Collection<PlanRow> rows) {
        record Line(UUID plan, PassPlan.Kind kind, Length depth) {}
        List<Line> lines = jdbc.sql(
                        "select plan_id, kind, depth_nm from plan_pass where plan_id in (:plans) order by plan_id, seq")
                .param("plans", rows.stream().map(p -> p.id).toList())
                .query((rs, i) -> new Line(
                        rs.getObject(1, UUID.class),
                        PassPlan.Kind.valueOf(rs.getString(2)),
                        Length.ofNanometres(rs.getLong(3))))
                .list();
        Map<UUID, List<PassPlan.Pass>> passes = new HashMap<>();
        for (Line line : lines) {
            List<PassPlan.Pass> list = passes.computeIfAbsent(line.plan(), k -> new ArrayList<>());
            Length before =
                    list.isEmpty() ? Length.ZERO : list.get(list.size() - 1).total();
            list.add(new PassPlan.Pass(line.kind(), line.depth(), before.plus(line.depth())));
        }
        return passes;
    }

    /** Keeps a plan; an earlier one of the visit is superseded by it. */
    public void choose(
            PartFile part,
            UUID id,
            SurveyFile survey,
            School school,
            List<Length> shims,
            Length shimStep,
            Length toClean,
            PassPlan.Depths depths,
            PassPlan passes,
            UUID by) {
        if (plans.existsById(id)) {
            return;
        }
        if (part.visit().releasedAt().isPresent()) {
            throw new BadInputException("plan", "This part was handed over: book it in again to plan a cut.");
        }
        PlanRow row = new PlanRow();
        row.id = id;
        row.jobId = part.visit().id();
        row.surveyId = survey.id();
        row.readUpTo = survey.lastSeq();
        row.school = school;
        row.depth = toClean.nanometres();
        row.shimStep = shimStep.nanometres();
        row.shims = shims.stream().map(s -> Long.toString(s.nanometres())).collect(Collectors.joining(" "));
        row.skim = depths.skim().nanometres();
        row.deepest = depths.deepest().nanometres();
        row.finish = depths.finish().nanometres();
        row.madeBy = by;
        row.madeAt = clock.instant();
        plans.saveAndFlush(row);
        int seq = 0;
        for (PassPlan.Pass pass : passes.passes()) {
            jdbc.sql("insert into plan_pass (plan_id, seq, kind, depth_nm) values (?, ?, ?, ?)")
                    .params(id, ++seq, pass.kind().name(), pass.depth().nanometres())
                    .update();
        }
    }

    private static PlanFile file(PlanRow p, List<PassPlan.Pass> passes) {
        List<Length> shims = p.shims.isEmpty()
                ? List.of()
                : Arrays.stream(p.shims.split(" "))
                        .map(s -> Length.ofNanometres(Long.parseLong(s)))
                        .toList();
        return new PlanFile(
                p.id,
                p.jobId,
                p.readUpTo,
                p.school,
                Length.ofNanometres(p.depth),
                shims,
                new PassPlan.Depths(
                        Length.ofNanometres(p.skim), Length.ofNanometres(p.deepest), Length.ofNanometres(p.finish)),
                new PassPlan(passes),
                p.madeBy,
                p.madeAt);
    }
}
