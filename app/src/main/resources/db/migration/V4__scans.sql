-- Scans of a face: what came in is kept as it came, compressed; nothing of it is changed.

create table scan (
    seq            bigint generated always as identity primary key,
    id             uuid not null unique,
    job_id         uuid not null references job (id),
    kind           text not null check (kind in ('FACE', 'PROOF')),
    name           text not null check (length(name) between 1 and 200),
    uncertainty_nm bigint not null check (uncertainty_nm >= 0),
    -- how the text is to be read
    separator      text not null,
    decimal_comma  boolean not null,
    skip_lines     integer not null,
    columns        integer not null,
    x_column       integer not null,
    y_column       integer not null,
    z_column       integer not null,
    places_unit    text not null,
    heights_unit   text not null,
    high_is_minus  boolean not null,
    points         integer not null,
    notes          text not null,
    by_person      uuid not null references person (id),
    at             timestamptz not null
);
create table scan_text (
    scan_id uuid primary key references scan (id),
    gzip    bytea not null
);
create index scan_by_job on scan (job_id);
create trigger scan_is_kept before update or delete on scan for each row execute function refuse_change();
create trigger scan_text_is_kept before update or delete on scan_text for each row execute function refuse_change();

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert on scan, scan_text to "${app_role}";
    end if;
end $$;
