-- What stands at the head of a shop's papers, added to only: a report that was handed over keeps that of its day.
create table shop_logo (
    seq       bigint generated always as identity primary key,
    at        timestamptz not null,
    by_person uuid not null references person (id),
    -- null: none from then on
    jpeg      bytea check (length(jpeg) <= 2000000)
);
create trigger shop_logo_is_kept before update or delete on shop_logo for each row execute function refuse_change();
create trigger shop_logo_is_not_emptied before truncate on shop_logo for each statement execute function refuse_change();

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert on shop_logo to "${app_role}";
    end if;
end $$;
