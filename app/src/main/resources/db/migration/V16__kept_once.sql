-- Ids of what browsers sent and was kept: the same id at the same moment waits for the first, and is answered as that was.
create table kept_once (
    id uuid primary key,
    at timestamptz not null default now()
);

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert on kept_once to "${app_role}";
    end if;
end $$;
