-- What was done to a casting beside measuring and cutting its face: one log of work, cracks, pressure tests, timers, and
-- figures keyed at named places (bores of a line, liners, deck heights). All append-only but the end of a timer.

create table work_entry (
    seq       bigint generated always as identity primary key,
    id        uuid not null unique,
    job_id    uuid not null references job (id),
    kind      text not null check (kind in ('DID', 'ADDED', 'WAIVED', 'TICKED', 'WITHDRAWN')),
    what      text not null check (length(what) between 1 and 60),
    note      text not null default '' check (length(note) <= 300),
    withdraws uuid unique references work_entry (id),
    by_person uuid not null references person (id),
    at        timestamptz not null,
    check ((kind = 'WITHDRAWN') = (withdraws is not null))
);
create index work_entry_by_job on work_entry (job_id);

create table timer (
    id         uuid primary key,
    job_id     uuid not null references job (id),
    what       text not null check (length(what) between 1 and 60),
    seconds    integer not null check (seconds between 1 and 172800),
    started_by uuid not null references person (id),
    started_at timestamptz not null,
    ended_at   timestamptz
);
create index timer_running on timer (job_id) where ended_at is null;

-- The last line of a crack stands; one that says it is gone takes it off the drawing, not out of the record.
create table crack_mark (
    seq       bigint generated always as identity primary key,
    id        uuid not null unique,
    job_id    uuid not null references job (id),
    crack     uuid not null,
    no        integer not null,
    place     text not null,
    bore      integer not null,
    length_nm bigint not null check (length_nm >= 0),
    reaches   text not null,
    method    text not null,
    suspect   boolean not null,
    x1_nm     bigint not null,
    y1_nm     bigint not null,
    x2_nm     bigint not null,
    y2_nm     bigint not null,
    remedy    text not null,
    why       text not null check (length(why) <= 300),
    pin_nm    bigint not null check (pin_nm >= 0),
    gone      boolean not null,
    by_person uuid not null references person (id),
    at        timestamptz not null
);
create index crack_mark_by_job on crack_mark (job_id);

create table pressure_test (
    seq          bigint generated always as identity primary key,
    id           uuid not null unique,
    job_id       uuid not null references job (id),
    medium       text not null,
    wet          boolean not null,
    hold_seconds integer not null check (hold_seconds > 0),
    most_mbar    integer not null check (most_mbar > 0),
    by_person    uuid not null references person (id),
    at           timestamptz not null
);
create index pressure_test_by_job on pressure_test (job_id);
create table pressure_reading (
    seq         bigint generated always as identity primary key,
    id          uuid not null unique,
    test_id     uuid not null references pressure_test (id),
    kind        text not null check (kind in ('READING', 'BUBBLES', 'NO_BUBBLES', 'WITHDRAWN')),
    second      integer not null,
    mbar        integer not null,
    decicelsius integer,
    note        text not null check (length(note) <= 120),
    x_nm        bigint not null,
    y_nm        bigint not null,
    withdraws   uuid unique references pressure_reading (id),
    by_person   uuid not null references person (id),
    at          timestamptz not null
);
create index pressure_reading_by_test on pressure_reading (test_id);

-- A figure keyed at a named place of a sheet; the last one at a place stands.
create table figure (
    seq       bigint generated always as identity primary key,
    id        uuid not null unique,
    job_id    uuid not null references job (id),
    sheet     text not null check (sheet in ('LINE', 'LINERS', 'INDEX')),
    place     text not null check (length(place) <= 40),
    kind      text not null check (kind in ('KEYED', 'SKIPPED', 'WITHDRAWN')),
    nm        bigint,
    typed     text not null check (length(typed) <= 60),
    unit      text not null check (unit in ('MM', 'THOU')),
    withdraws uuid unique references figure (id),
    by_person uuid not null references person (id),
    at        timestamptz not null
);
create index figure_by_job on figure (job_id);
-- How a sheet is set up; the last one stands.
create table sheet_setup (
    seq       bigint generated always as identity primary key,
    id        uuid not null unique,
    job_id    uuid not null references job (id),
    sheet     text not null check (sheet in ('LINE', 'LINERS', 'INDEX')),
    setup     jsonb not null,
    by_person uuid not null references person (id),
    at        timestamptz not null
);
create index sheet_setup_by_job on sheet_setup (job_id);

do $$
declare
    t text;
begin
    foreach t in array array['work_entry', 'crack_mark', 'pressure_test', 'pressure_reading', 'figure', 'sheet_setup'] loop
        execute format('create trigger %I before update or delete on %I for each row execute function refuse_change()', t || '_is_kept', t);
        execute format('create trigger %I before truncate on %I for each statement execute function refuse_change()', t || '_is_not_emptied', t);
    end loop;
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert on work_entry, crack_mark, pressure_test, pressure_reading, figure, sheet_setup, timer to "${app_role}";
        grant update (ended_at) on timer to "${app_role}";
    end if;
end $$;
