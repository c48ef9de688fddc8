-- Which head goes on which deck, as somebody said it; the last word counts.

create table mate (
    seq       bigint generated always as identity primary key,
    head_id   uuid not null references part (id),
    deck_id   uuid not null references part (id),
    by_person uuid not null references person (id),
    at        timestamptz not null
);
create index mate_by_head on mate (head_id);
create index mate_by_deck on mate (deck_id);

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert on mate to "${app_role}";
    end if;
end $$;
