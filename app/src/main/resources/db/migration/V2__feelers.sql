-- Straightedge and feelers, the shop's own blades, dowels in a face.

alter table part add column dowels integer not null default 0 check (dowels in (0, 2));

create table shop_blade (
    nm bigint primary key check (nm > 0)
);

create table feeler_survey (
    id         uuid primary key,
    job_id     uuid not null references job (id),
    kind       text not null check (kind in ('FACE', 'PROOF')),
    -- what the limit is asked of
    limit_kind text not null check (limit_kind in ('GAP', 'ZONE')),
    way        text not null check (way in ('FIND', 'LIMIT')),
    -- the set that was used, in nanometres: a shop may buy other blades later
    blades     text not null,
    started_by uuid not null references person (id),
    started_at timestamptz not null,
    revision   bigint not null default 0,
    unique (job_id, kind)
);

create table feeler_line (
    id        uuid primary key,
    survey_id uuid not null references feeler_survey (id),
    seq       integer not null,
    name      text not null,
    x0_nm     bigint not null,
    y0_nm     bigint not null,
    x1_nm     bigint not null,
    y1_nm     bigint not null
);

-- Where something is asked of a line: how the edge rests, single blades along it, equal blades under both ends.
create table feeler_place (
    id            uuid primary key,
    line_id       uuid not null references feeler_line (id),
    seq           integer not null,
    kind          text not null check (kind in ('REST', 'STATION', 'ENDS')),
    at_millionths integer check (at_millionths between 1 and 999999),
    check ((kind = 'STATION') = (at_millionths is not null))
);

create table feeler_try (
    seq        bigint generated always as identity primary key,
    id         uuid not null unique,
    place_id   uuid not null references feeler_place (id),
    said       text not null check (said in ('GOES', 'REFUSES', 'FOUND', 'ROCKS', 'SITS', 'SKIPPED', 'WITHDRAWN')),
    goes_nm    bigint check (goes_nm > 0),
    refuses_nm bigint check (refuses_nm > 0),
    typed      text not null check (length(typed) <= 60),
    unit       text not null check (unit in ('MM', 'THOU')),
    withdraws  uuid unique references feeler_try (id),
    by_person  uuid not null references person (id),
    at         timestamptz not null,
    check ((said = 'WITHDRAWN') = (withdraws is not null)),
    check (said <> 'GOES' or (goes_nm is not null and refuses_nm is null)),
    check (said <> 'REFUSES' or (refuses_nm is not null and goes_nm is null)),
    check (said <> 'FOUND' or goes_nm is not null or refuses_nm is not null)
);

create index feeler_line_by_survey on feeler_line (survey_id);
create index feeler_place_by_line on feeler_place (line_id);
create index feeler_try_by_place on feeler_try (place_id);

create trigger feeler_try_is_kept before update or delete on feeler_try
    for each row execute function refuse_change();
create trigger feeler_try_is_not_emptied before truncate on feeler_try
    for each statement execute function refuse_change();

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert, delete on shop_blade to "${app_role}";
        grant select, insert, update on feeler_survey to "${app_role}";
        grant select, insert on feeler_line, feeler_place, feeler_try to "${app_role}";
    end if;
end $$;
