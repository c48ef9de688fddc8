-- Tables that a shop brings along, as they came: looked at first, taken in once, all of it or nothing.
create table brought_table (
    id         uuid primary key,
    kind       text not null check (kind in ('CUSTOMERS', 'CASTINGS', 'REMOVALS', 'READINGS')),
    sum        text not null check (sum ~ '^[0-9a-f]{64}$'),
    unit       text not null check (unit in ('MM', 'THOU')),
    body       bytea not null check (length(body) <= 1000000),
    brought_by uuid not null references person (id),
    brought_at timestamptz not null,
    -- null while it was looked at only
    taken_by   uuid references person (id),
    taken_at   timestamptz,
    check ((taken_by is null) = (taken_at is null)),
    unique (kind, sum)
);
create index brought_table_person on brought_table (brought_by);

create function keep_taken_table() returns trigger language plpgsql as $$
begin
    if old.taken_at is not null then
        raise exception 'a table that was taken in is kept as it came';
    end if;
    return case when tg_op = 'DELETE' then old else new end;
end $$;
create trigger brought_table_is_kept before update or delete on brought_table for each row execute function keep_taken_table();
create trigger brought_table_is_not_emptied before truncate on brought_table for each statement execute function refuse_change();

-- A token may write for one person, who answers for it; without one it reads only.
alter table api_token add column writes_for uuid references person (id);

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert, update, delete on brought_table to "${app_role}";
    end if;
end $$;
