-- Lines about a visit are only ever added, so that how many there are and the last of them tell whether anything was written
-- since: one question instead of eight. Surveys are left out, they count their own revisions.
create view visit_stamp as
select j.id as job_id,
       concat_ws(
           ' ',
           (select count(*) || ':' || coalesce(max(p.seq), 0) from cut_plan p where p.job_id = j.id),
           (select count(*) || ':' || coalesce(max(l.seq), 0) from ledger_line l where l.part_id = j.part_id),
           (select count(*) || ':' || coalesce(max(w.seq), 0) from work_entry w where w.job_id = j.id),
           (select count(*) || ':' || coalesce(max(c.seq), 0) from crack_mark c where c.job_id = j.id),
           (select count(*) || ':' || coalesce(max(t.seq), 0) from pressure_test t where t.job_id = j.id),
           (select count(*) || ':' || coalesce(max(r.seq), 0)
            from pressure_test t join pressure_reading r on r.test_id = t.id where t.job_id = j.id),
           (select count(*) || ':' || coalesce(max(s.seq), 0) from sheet_setup s where s.job_id = j.id),
           (select count(*) || ':' || coalesce(max(f.seq), 0) from figure f where f.job_id = j.id),
           (select count(*) || ':' || coalesce(max(o.seq), 0) from part_order o where o.job_id = j.id),
           (select count(*) || ':' || coalesce(max(e.seq), 0)
            from part_order o join part_order_event e on e.order_id = o.id where o.job_id = j.id)) as stamp
from job j;

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select on visit_stamp to "${app_role}";
    end if;
end $$;
