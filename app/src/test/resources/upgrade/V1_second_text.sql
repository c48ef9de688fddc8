-- Lengths are whole nanometres. Tables that hold what was measured or cut are append-only: see refuse_change.

create table shop (
    id   smallint primary key check (id = 1),
    name text not null check (length(name) between 1 and 80),
    demo boolean not null default false
);

create table person (
    id            uuid primary key,
    login         text not null unique check (login ~ '^[a-z0-9.-]{2,40}$'),
    name          text not null check (length(name) between 1 and 80),
    role          text not null check (role in ('OWNER', 'MACHINIST', 'DESK')),
    password_hash text not null,
    pin_hash      text,
    unit          text not null default 'MM' check (unit in ('MM', 'THOU')),
    theme         text not null default 'LIGHT' check (theme in ('LIGHT', 'DIM')),
    active        boolean not null default true,
    created_at    timestamptz not null
);

-- A bench PC on which people may change by PIN; the cookie's token is kept as a hash only.
create table bench_device (
    id         uuid primary key,
    token_hash text not null unique,
    name       text not null check (length(name) between 1 and 80),
    enabled_by uuid not null references person (id),
    enabled_at timestamptz not null,
    revoked_at timestamptz
);

-- Wrong guesses of a password, PIN or token, counted per subject and per address.
create table guess (
    subject       text primary key,
    failures      integer not null,
    first_at      timestamptz not null,
    blocked_until timestamptz
);

create table api_token (
    id         uuid primary key,
    name       text not null check (length(name) between 1 and 80),
    token_hash text not null unique,
    issued_by  uuid references person (id),
    issued_at  timestamptz not null,
    revoked_at timestamptz
);

create table part (
    id             uuid primary key,
    tag            text not null unique check (tag ~ '^[A-Z]{1,3}-[0-9]{2,6}$'),
    kind           text not null check (kind in ('HEAD', 'DECK')),
    name           text not null check (length(name) between 1 and 120),
    customer       text not null check (length(customer) between 1 and 120),
    material       text not null check (material in ('CAST_IRON', 'ALUMINIUM')),
    casting_number text not null default '',
    cylinders      integer not null,
    first_number   integer not null,
    number_step    integer not null,
    bore_nm        bigint not null,
    spacing_nm     bigint not null,
    length_nm      bigint not null,
    width_nm       bigint not null,
    bolt_rows      text not null,
    bolt_hole_nm   bigint not null,
    water_holes    integer not null,
    chambers       text not null,
    intake_at_top  boolean not null,
    version        integer not null default 0,
    created_by     uuid not null references person (id),
    created_at     timestamptz not null
);

create table job (
    id          uuid primary key,
    part_id     uuid not null references part (id),
    no          integer not null,
    history     text not null default '' check (length(history) <= 2000),
    wishes      text not null default '' check (length(wishes) <= 2000),
    gasket      text not null default '' check (length(gasket) <= 120),
    due         date,
    stuck_on    text check (stuck_on in ('CUSTOMER', 'PARTS', 'CHECK')),
    stuck_why   text,
    stuck_since date,
    version     integer not null default 0,
    opened_by   uuid not null references person (id),
    opened_at   timestamptz not null,
    released_by uuid references person (id),
    released_at timestamptz,
    -- why it left although something was open
    released_note text not null default '' check (length(released_note) <= 500),
    unique (part_id, no)
);

create table flatness_limit (
    id           uuid primary key,
    part_id      uuid not null references part (id),
    scope        text not null check (scope in ('OVERALL', 'WINDOW', 'BORE')),
    most_nm      bigint not null check (most_nm > 0),
    window_nm    bigint,
    source       text not null check (source in ('MAKER', 'GASKET', 'SHOP')),
    entered_by   uuid not null references person (id),
    entered_at   timestamptz not null,
    withdrawn_at timestamptz
);

create table survey (
    id             uuid primary key,
    job_id         uuid not null references job (id),
    kind           text not null check (kind in ('FACE', 'THICKNESS', 'PROOF')),
    uncertainty_nm bigint not null check (uncertainty_nm >= 0),
    started_by     uuid not null references person (id),
    started_at     timestamptz not null,
    -- counts every change of places and readings
    revision       bigint not null default 0,
    unique (job_id, kind)
);

create table place (
    id        uuid primary key,
    survey_id uuid not null references survey (id),
    seq       integer not null,
    name      text not null,
    x_nm      bigint not null,
    y_nm      bigint not null,
    sealing   boolean not null default true,
    dropped   boolean not null default false
);

create table reading (
    seq       bigint generated always as identity primary key,
    id        uuid not null unique,
    place_id  uuid not null references place (id),
    kind      text not null check (kind in ('KEYED', 'SKIPPED', 'WITHDRAWN')),
    typed     text not null check (length(typed) <= 60),
    unit      text not null check (unit in ('MM', 'THOU')),
    value_nm  bigint,
    withdraws uuid unique references reading (id),
    by_person uuid not null references person (id),
    at        timestamptz not null,
    check ((kind = 'KEYED') = (value_nm is not null)),
    check ((kind = 'WITHDRAWN') = (withdraws is not null))
);

create table cut_plan (
    seq        bigint generated always as identity primary key,
    id         uuid not null unique,
    job_id     uuid not null references job (id),
    survey_id  uuid not null references survey (id),
    survey_revision bigint not null,
    school     text not null,
    depth_nm   bigint not null check (depth_nm >= 0),
    shim_step_nm bigint not null,
    shims      text not null,
    skim_nm    bigint not null,
    deepest_nm bigint not null,
    finish_nm  bigint not null,
    made_by    uuid not null references person (id),
    made_at    timestamptz not null
);

create table plan_pass (
    plan_id  uuid not null references cut_plan (id),
    seq      integer not null,
    kind     text not null check (kind in ('SKIM', 'PASS', 'FINISH')),
    depth_nm bigint not null check (depth_nm > 0),
    primary key (plan_id, seq)
);

create table ledger_line (
    seq       bigint generated always as identity primary key,
    id        uuid not null unique,
    part_id   uuid not null references part (id),
    job_id    uuid not null references job (id),
    kind      text not null check (kind in
              ('OPENING_KNOWN', 'OPENING_ESTIMATED', 'OPENING_UNKNOWN', 'PASS', 'REVERSAL')),
    depth_nm  bigint not null check (depth_nm between 0 and 20000000),
    reverses  uuid unique references ledger_line (id),
    machine   text not null default '' check (length(machine) <= 80),
    cutter    text not null default '' check (length(cutter) <= 80),
    edge      text not null default '' check (length(edge) <= 20),
    note      text not null default '' check (length(note) <= 500),
    typed     text not null default '' check (length(typed) <= 60),
    by_person uuid not null references person (id),
    at        timestamptz not null,
    check ((kind = 'REVERSAL') = (reverses is not null)),
    check (kind <> 'PASS' or depth_nm > 0)
);

create index job_by_part on job (part_id);
create index limit_by_part on flatness_limit (part_id);
create index place_by_survey on place (survey_id);
create index reading_by_place on reading (place_id);
create index plan_by_job on cut_plan (job_id);
create index ledger_by_part on ledger_line (part_id);

create function refuse_change() returns trigger language plpgsql as $$
begin
    raise exception 'Lines of % are never changed or removed: write a new line that takes the old one back', tg_table_name
        using errcode = 'integrity_constraint_violation';
end $$;

create trigger reading_is_kept before update or delete on reading
    for each row execute function refuse_change();
create trigger reading_is_not_emptied before truncate on reading
    for each statement execute function refuse_change();
create trigger plan_is_kept before update or delete on cut_plan
    for each row execute function refuse_change();
create trigger plan_pass_is_kept before update or delete on plan_pass
    for each row execute function refuse_change();
create trigger ledger_is_kept before update or delete on ledger_line
    for each row execute function refuse_change();
create trigger ledger_is_not_emptied before truncate on ledger_line
    for each statement execute function refuse_change();

-- Sessions, in the shape that the session library reads.
create table spring_session (
    primary_id            char(36) not null primary key,
    session_id            char(36) not null unique,
    creation_time         bigint not null,
    last_access_time      bigint not null,
    max_inactive_interval int not null,
    expiry_time           bigint not null,
    principal_name        varchar(100)
);
create index spring_session_expiry on spring_session (expiry_time);
create index spring_session_principal on spring_session (principal_name);
create table spring_session_attributes (
    session_primary_id char(36) not null references spring_session (primary_id) on delete cascade,
    attribute_name     varchar(200) not null,
    attribute_bytes    bytea not null,
    primary key (session_primary_id, attribute_name)
);

-- The application's own role may do no more than it needs; the owner of the tables runs the migrations only.
do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant usage on schema public to "${app_role}";
        grant select, insert, update, delete on shop, person, bench_device, guess, api_token, part, job,
            flatness_limit, survey, place, spring_session, spring_session_attributes to "${app_role}";
        grant select, insert on reading, cut_plan, plan_pass, ledger_line to "${app_role}";
    end if;
end $$;
