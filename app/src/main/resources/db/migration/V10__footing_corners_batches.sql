-- What castings stand on, metal off at each corner, thickness after the cut, what may stay uncut, castings cut together.

create table shop_shim (
    nm bigint primary key check (nm > 0)
);

-- Supports as x,y in nanometres with blanks between; leaves of the shim stock, empty for steps of shim_step_nm.
alter table cut_plan
    add column supports text not null default '' check (supports ~ '^([0-9]+,[0-9]+( [0-9]+,[0-9]+)*)?$'),
    add column shim_leaves text not null default '' check (shim_leaves ~ '^([0-9]+( [0-9]+)*)?$');

-- Plans kept so far stood on the three supports that were proposed for every casting.
alter table cut_plan disable trigger user;
update cut_plan c set supports = (
    select round(i.nm)::bigint || ',' || round(i.nm)::bigint
        || ' ' || round(p.length_nm - i.nm)::bigint || ',' || round(i.nm)::bigint
        || ' ' || round(p.length_nm / 2.0)::bigint || ',' || round(p.width_nm - i.nm)::bigint
    from job j join part p on p.id = j.part_id, lateral (select least(25000000, p.width_nm * 0.18) as nm) i
    where j.id = c.job_id);
alter table cut_plan enable trigger user;
alter table cut_plan alter column supports drop default;

-- Metal off at the upper front, upper back, lower front and lower back corner, where it was foretold.
alter table ledger_line
    add column corners text not null default '' check (corners ~ '^([0-9]+ [0-9]+ [0-9]+ [0-9]+)?$'),
    add column batch_id uuid;

alter table survey drop constraint survey_kind_check;
alter table survey add constraint survey_kind_check check (kind in ('FACE', 'THICKNESS', 'THICKNESS_AFTER', 'PROOF'));

alter table job add column gasket_kind text
    check (gasket_kind in ('COMPOSITE', 'LAYERED_STEEL', 'COPPER', 'RACE'));

-- A low spot off the sealing bands that stays, and who answers for it.
create table left_uncut (
    seq         bigint generated always as identity primary key,
    id          uuid not null unique,
    job_id      uuid not null references job (id),
    painting_id uuid not null references touched (id),
    why         text not null check (length(why) between 1 and 300),
    by_person   uuid not null references person (id),
    at          timestamptz not null
);
create index left_uncut_by_job on left_uncut (job_id);
create trigger left_uncut_is_kept before update or delete on left_uncut for each row execute function refuse_change();
create trigger left_uncut_is_not_emptied before truncate on left_uncut for each statement execute function refuse_change();

create table batch (
    id      uuid primary key,
    made_by uuid not null references person (id),
    made_at timestamptz not null
);
create table batch_member (
    batch_id uuid not null references batch (id),
    seq      integer not null,
    job_id   uuid not null references job (id),
    primary key (batch_id, seq),
    unique (batch_id, job_id)
);
create index batch_member_by_job on batch_member (job_id);
alter table ledger_line add constraint ledger_line_batch foreign key (batch_id) references batch (id);

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert, delete on shop_shim to "${app_role}";
        grant select, insert on left_uncut, batch, batch_member to "${app_role}";
    end if;
end $$;
