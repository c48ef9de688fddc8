-- What was read at the machine before the cut: over the supports, and with the clamps off and on.

create table setup_check (
    seq       bigint generated always as identity primary key,
    id        uuid not null unique,
    job_id    uuid not null references job (id),
    kind      text not null check (kind in ('LEVEL', 'CLAMPS_OFF', 'CLAMPS_ON')),
    -- heights in nanometres with blanks between, supports A, B, C or the four corners and the middle
    heights   text not null check (heights ~ '^-?[0-9]+( -?[0-9]+)*$' and length(heights) <= 200),
    by_person uuid not null references person (id),
    at        timestamptz not null
);
create index setup_check_by_job on setup_check (job_id);
create trigger setup_check_is_kept before update or delete on setup_check for each row execute function refuse_change();
create trigger setup_check_is_not_emptied before truncate on setup_check for each statement execute function refuse_change();

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert on setup_check to "${app_role}";
    end if;
end $$;
