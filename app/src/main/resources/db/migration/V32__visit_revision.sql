-- One number for a visit, new whenever a line is written about it: what was read under it stands while it is the same. It takes the
-- place of a view that counted the lines of eleven tables at every page. Numbers come from a sequence, so that one which was taken
-- back is never given again. Surveys of a face are left out: they change at every reading and count their own revisions.
create sequence visit_revision_number;
create table visit_revision (
    job_id   uuid primary key references job (id),
    revision bigint not null
);

create function count_visits(visits uuid[]) returns void
    language sql security definer set search_path = public, pg_temp as $$
    insert into visit_revision (job_id, revision)
    select v, nextval('visit_revision_number') from (select distinct unnest(visits) as v order by v) known
    on conflict (job_id) do update set revision = excluded.revision;
$$;
revoke all on function count_visits(uuid[]) from public;

-- tg_argv: how a line names its visits.
create function visit_is_written() returns trigger
    language plpgsql security definer set search_path = public, pg_temp as $$
declare
    visits uuid[];
begin
    case tg_argv[0]
        when 'visit' then select array_agg(a.job_id) into visits from added a;
        when 'casting' then select array_agg(j.id) into visits from added a join job j on j.part_id = a.part_id;
        when 'test' then select array_agg(t.job_id) into visits from added a join pressure_test t on t.id = a.test_id;
        when 'order' then select array_agg(o.job_id) into visits from added a join part_order o on o.id = a.order_id;
    end case;
    perform count_visits(visits);
    return null;
end $$;

do $$
declare
    t text[];
begin
    foreach t slice 1 in array array[
        ['cut_plan', 'visit'], ['work_entry', 'visit'], ['crack_mark', 'visit'], ['pressure_test', 'visit'], ['sheet_setup', 'visit'],
        ['figure', 'visit'], ['part_order', 'visit'], ['feeler_survey', 'visit'], ['ledger_line', 'casting'],
        ['pressure_reading', 'test'], ['part_order_event', 'order']] loop
        execute format('create trigger %I after insert on %I referencing new table as added for each statement execute function visit_is_written(%L)',
                       t[1] || '_is_counted', t[1], t[2]);
    end loop;
end $$;
-- A feeler survey counts its own revision up when something is tried.
create trigger feeler_survey_is_counted_again after update on feeler_survey
    referencing new table as added for each statement execute function visit_is_written('visit');

insert into visit_revision (job_id, revision) select j.id, nextval('visit_revision_number') from job j order by j.id;
drop view visit_stamp;

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select on visit_revision to "${app_role}";
    end if;
end $$;
