-- What a shop set for itself, added to only: a face that was handed over is judged by what stood on that day.
create table shop_setting (
    seq       bigint generated always as identity primary key,
    at        timestamptz not null,
    by_person uuid not null references person (id),
    name      text not null check (name ~ '^[A-Z_]{3,40}$'),
    -- null: the general value again
    nm        bigint check (nm > 0),
    -- where a figure is from, or what was chosen
    words     text not null default '' check (length(words) <= 120)
);
create trigger shop_setting_is_kept before update or delete on shop_setting for each row execute function refuse_change();
create trigger shop_setting_is_not_emptied before truncate on shop_setting for each statement execute function refuse_change();

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert on shop_setting to "${app_role}";
    end if;
end $$;
