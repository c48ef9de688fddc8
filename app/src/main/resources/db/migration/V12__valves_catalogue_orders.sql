-- Valves are keyed on a sheet like lines and liners; what is said at a place may be longer than a figure.
alter table figure drop constraint figure_sheet_check;
alter table figure add constraint figure_sheet_check check (sheet in ('LINE', 'LINERS', 'INDEX', 'VALVES'));
alter table figure drop constraint figure_typed_check;
alter table figure add constraint figure_typed_check check (length(typed) <= 200);
alter table sheet_setup drop constraint sheet_setup_sheet_check;
alter table sheet_setup add constraint sheet_setup_sheet_check check (sheet in ('LINE', 'LINERS', 'INDEX', 'VALVES'));

-- The shop's list of what it buys by size. The last line of a code stands; one that says it is gone takes it off the list.
create table catalogue_line (
    seq            bigint generated always as identity primary key,
    id             uuid not null unique,
    code           text not null check (length(code) between 1 and 20),
    kind           text not null check (kind in ('INSERT', 'GUIDE', 'LINER', 'SHIM')),
    words          text not null check (length(words) <= 80),
    outer_nm       bigint not null check (outer_nm > 0),
    inner_nm       bigint not null check (inner_nm > 0),
    height_nm      bigint not null check (height_nm > 0),
    metal          text,
    counterbore_nm bigint check (counterbore_nm > 0),
    shelf          integer not null check (shelf between 0 and 10000),
    gone           boolean not null,
    by_person      uuid not null references person (id),
    at             timestamptz not null
);
create index catalogue_line_by_code on catalogue_line (code, seq desc);

-- What is ordered for a visit, and what became of it.
create table part_order (
    seq       bigint generated always as identity primary key,
    id        uuid not null unique,
    job_id    uuid not null references job (id),
    code      text not null check (length(code) between 1 and 20),
    words     text not null check (length(words) <= 120),
    quantity  integer not null check (quantity between 1 and 200),
    operation text not null check (length(operation) <= 40),
    promised  date,
    by_person uuid not null references person (id),
    at        timestamptz not null
);
create index part_order_by_job on part_order (job_id);
create table part_order_event (
    seq       bigint generated always as identity primary key,
    id        uuid not null unique,
    order_id  uuid not null references part_order (id),
    kind      text not null check (kind in ('ARRIVED', 'CANCELLED')),
    quantity  integer not null check (quantity between 0 and 200),
    note      text not null check (length(note) <= 200),
    by_person uuid not null references person (id),
    at        timestamptz not null
);
create index part_order_event_by_order on part_order_event (order_id);

do $$
declare
    t text;
begin
    foreach t in array array['catalogue_line', 'part_order', 'part_order_event'] loop
        execute format('create trigger %I before update or delete on %I for each row execute function refuse_change()', t || '_is_kept', t);
        execute format('create trigger %I before truncate on %I for each statement execute function refuse_change()', t || '_is_not_emptied', t);
    end loop;
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert on catalogue_line, part_order, part_order_event to "${app_role}";
    end if;
end $$;
