-- Layouts that a shop has a name for, each drawn as a casting that it knows.
create table own_layout (
    name_key text primary key check (length(name_key) between 1 and 60),
    name     text not null check (length(name) between 1 and 60),
    part_id  uuid not null references part (id),
    kept_by  uuid not null references person (id),
    kept_at  timestamptz not null
);

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert, update on own_layout to "${app_role}";
    end if;
end
$$;
