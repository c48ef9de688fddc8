-- What happened to the shop itself: who came in, who may, what was set, taken out, restored. Added to only.
create table journal (
    seq       bigint generated always as identity primary key,
    at        timestamptz not null default now(),
    by_person uuid references person (id),
    what      text not null check (what ~ '^[A-Z_]{3,40}$'),
    detail    text not null default '' check (length(detail) <= 300)
);
create index journal_by_time on journal (at);
create trigger journal_is_kept before update or delete on journal for each row execute function refuse_change();
create trigger journal_is_not_emptied before truncate on journal for each statement execute function refuse_change();

-- Backups that were written whole. The command writes it; the bench warns when the last one is old.
create table backup_made (
    seq     bigint generated always as identity primary key,
    made_at timestamptz not null,
    file    text not null check (length(file) between 1 and 120)
);

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert on journal to "${app_role}";
        grant select on backup_made to "${app_role}";
    end if;
end $$;
