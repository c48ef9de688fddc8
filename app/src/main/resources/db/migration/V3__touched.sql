-- What the cutter was seen to touch, painted in cells after a pass; the last painting after the last pass counts.

create table touched (
    seq       bigint generated always as identity primary key,
    id        uuid not null unique,
    job_id    uuid not null references job (id),
    -- the last standing line of the ledger when it was painted
    after_line bigint not null,
    -- cells as a bit string in hexadecimal, lowest cell first
    cells     text not null check (cells ~ '^[0-9a-f]*$' and length(cells) <= 200),
    by_person uuid not null references person (id),
    at        timestamptz not null
);
create index touched_by_job on touched (job_id);
create trigger touched_is_kept before update or delete on touched for each row execute function refuse_change();
create trigger touched_is_not_emptied before truncate on touched for each statement execute function refuse_change();

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert on touched to "${app_role}";
    end if;
end $$;
