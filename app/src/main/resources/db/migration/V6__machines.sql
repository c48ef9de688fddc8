-- The shop's machines and cutters; what a plan was made for.

create table machine (
    id         uuid primary key,
    name       text not null check (length(name) between 1 and 80),
    min_rpm    double precision not null,
    max_rpm    double precision not null,
    power_kw   double precision not null,
    min_feed   double precision not null,
    max_feed   double precision not null,
    retired_at timestamptz
);
create unique index machine_in_use on machine (lower(name)) where retired_at is null;
create table cutter (
    id          uuid primary key,
    name        text not null check (length(name) between 1 and 80),
    insert_kind text not null check (insert_kind in ('CBN', 'PCD', 'CARBIDE')),
    diameter    double precision not null,
    nose_radius double precision not null,
    edges       integer not null,
    retired_at  timestamptz
);
create unique index cutter_in_use on cutter (lower(name)) where retired_at is null;

alter table cut_plan
    add column machine       text not null default '' check (length(machine) <= 80),
    add column cutter        text not null default '' check (length(cutter) <= 80),
    add column steel_in_face boolean not null default false;

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert, update on machine, cutter to "${app_role}";
    end if;
end $$;
