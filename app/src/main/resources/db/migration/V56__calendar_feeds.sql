-- Addresses under which a calendar outside reads days of the shop. The address itself is not kept, only its hash.
create table calendar_feed (
    id         uuid primary key,
    -- Whose day it has; null for the days on which castings are due.
    person_id  uuid references person (id),
    token_hash text not null unique check (length(token_hash) = 64),
    made_by    uuid not null references person (id),
    made_at    timestamptz not null,
    revoked_at timestamptz
);
create index calendar_feed_by_maker on calendar_feed (made_by) where revoked_at is null;

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert, update on calendar_feed to "${app_role}";
    end if;
end $$;
