-- What was said of a work of the bench day: pinned to a minute, held, sent to a station or a person. The last line of a work holds.

create table work_pin (
    id         uuid primary key,
    job_id     uuid not null references job (id),
    -- What the work is called within its casting: its operation, and which of them where there are several.
    work       text not null check (length(work) between 1 and 40),
    at         timestamptz,
    not_before timestamptz,
    station    text check (length(station) <= 60),
    person_id  uuid references person (id),
    by_person  uuid not null references person (id),
    said_at    timestamptz not null,
    check (at is null or not_before is null)
);
create index work_pin_by_job on work_pin (job_id);

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert on work_pin to "${app_role}";
    end if;
end $$;
