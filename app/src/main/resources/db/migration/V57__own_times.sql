-- How long work takes, where somebody said so: lines that are only added, the last one of a kind and size holds.
create table own_time (
    id        uuid primary key,
    operation text not null check (length(operation) <= 40),
    cylinders integer not null check (cylinders between 1 and 16),
    -- In hands; 0 takes back what was said.
    minutes   integer not null check (minutes between 0 and 2000),
    by_person uuid not null references person (id),
    at        timestamptz not null
);

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert on own_time to "${app_role}";
    end if;
end $$;
