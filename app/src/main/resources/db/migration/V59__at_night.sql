-- What stations of a kind may do while the shop is closed for the night, where the shop has said so.

create table night_station (
    kind text primary key check (length(kind) <= 20),
    runs boolean not null
);

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert, update on night_station to "${app_role}";
    end if;
end $$;
