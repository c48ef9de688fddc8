-- Other castings that could take the place of one that is here; the last that was said of one holds.

create table other_casting (
    seq        bigint generated always as identity primary key,
    id         uuid not null unique,
    job_id     uuid not null references job (id),
    -- Which of them.
    other      uuid not null,
    -- It is not thought of any more.
    gone       boolean not null,
    kind       text not null check (length(kind) <= 20),
    words      text not null check (length(words) between 1 and 120),
    currency   text not null check (currency ~ '^[A-Z]{3}$'),
    price      numeric(14, 3) not null check (price >= 0),
    freight    numeric(14, 3) not null check (freight >= 0),
    -- What comes back for the old one.
    core       numeric(14, 3) not null check (core >= 0),
    days       integer not null check (days between 0 and 730),
    -- Of work that it is known to need.
    minutes    integer not null check (minutes between 0 and 12000),
    -- What may still be cut off it.
    left_nm    bigint check (left_nm >= 0),
    months     integer check (months between 0 and 120),
    -- What nobody can vouch for.
    unvouched  text not null check (length(unvouched) <= 120),
    by_person  uuid not null references person (id),
    at         timestamptz not null
);
create index other_casting_by_job on other_casting (job_id);

create trigger other_casting_is_kept before update or delete on other_casting for each row execute function refuse_change();
create trigger other_casting_is_not_emptied before truncate on other_casting for each statement execute function refuse_change();
create trigger other_casting_is_here before insert on other_casting for each row execute function refuse_after_release('job');

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert on other_casting to "${app_role}";
    end if;
end $$;
