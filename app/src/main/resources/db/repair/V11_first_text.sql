-- Photos were not kept yet.
create table photo (
    seq       bigint generated always as identity primary key,
    id        uuid not null unique,
    job_id    uuid not null references job (id),
    note      text not null check (length(note) <= 120),
    width     integer not null check (width > 0),
    height    integer not null check (height > 0),
    jpeg      bytea not null check (length(jpeg) <= 8000000),
    by_person uuid not null references person (id),
    at        timestamptz not null
);
create index photo_by_job on photo (job_id);
create trigger photo_is_kept before update or delete on photo for each row execute function refuse_change();
create trigger photo_is_not_emptied before truncate on photo for each statement execute function refuse_change();
do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert on photo to "${app_role}";
    end if;
end $$;
