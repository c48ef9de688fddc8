-- What a shop has for its bench days. Where it has said nothing, general values hold and are shown as such.

-- Hours of a week, a day a column, as they are keyed; empty for a day without.
create table shop_hours (
    id      integer primary key check (id = 1),
    mon     text not null check (length(mon) <= 80),
    tue     text not null check (length(tue) <= 80),
    wed     text not null check (length(wed) <= 80),
    thu     text not null check (length(thu) <= 80),
    fri     text not null check (length(fri) <= 80),
    sat     text not null check (length(sat) <= 80),
    sun     text not null check (length(sun) <= 80)
);

create table station (
    id         uuid primary key,
    name       text not null check (length(name) between 1 and 60),
    kind       text not null check (length(kind) <= 20),
    holds      integer not null check (holds between 1 and 20),
    retired_at timestamptz
);
create unique index station_in_use on station (lower(name)) where retired_at is null;

-- A station that could not be used: kept, so that it is known later why work stood.
create table station_down (
    id         uuid primary key,
    station_id uuid not null references station (id),
    from_at    timestamptz not null,
    to_at      timestamptz,
    why        text not null check (length(why) <= 120),
    by_person  uuid not null references person (id),
    ended_at   timestamptz,
    check (to_at is null or to_at > from_at)
);
create index station_down_by_station on station_down (station_id);

-- Who works at the bench, at which stations; hours of their own where the first is not null.
create table bench_hand (
    person_id uuid primary key references person (id),
    at_bench  boolean not null,
    skills    text not null check (length(skills) <= 300),
    mon       text check (length(mon) <= 80),
    tue       text check (length(tue) <= 80),
    wed       text check (length(wed) <= 80),
    thu       text check (length(thu) <= 80),
    fri       text check (length(fri) <= 80),
    sat       text check (length(sat) <= 80),
    sun       text check (length(sun) <= 80)
);

-- Days on which the shop is closed, or one person is not there.
create table days_off (
    id        uuid primary key,
    person_id uuid references person (id),
    from_day  date not null,
    to_day    date not null check (to_day >= from_day),
    why       text not null check (length(why) <= 120),
    gone_at   timestamptz
);

-- Minutes to set a station of a kind up for another metal, where the shop has its own.
create table set_up_change (
    kind    text primary key check (length(kind) <= 20),
    minutes integer not null check (minutes between 0 and 600)
);

-- Plans that people were told. What it was made from is kept with each, so that it is made anew only when that changes.
create table posted_plan (
    seq       bigint generated always as identity primary key,
    made_at   timestamptz not null,
    made_from text not null check (length(made_from) <= 100),
    plan      text not null
);

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert, update on shop_hours, station, station_down, bench_hand, days_off, set_up_change to "${app_role}";
        grant select, insert, delete on posted_plan to "${app_role}";
    end if;
end $$;
