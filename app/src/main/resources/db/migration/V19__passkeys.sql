-- Passkeys of owners; none unless the shop sets them on.
create table passkey (
    id                 text primary key check (length(id) between 1 and 1400 and id ~ '^[A-Za-z0-9_-]+$'),
    person             uuid not null references person (id),
    label              text not null check (length(label) between 1 and 80),
    public_key         bytea not null,
    signature_count    bigint not null,
    uv_initialized     boolean not null,
    transports         text not null,
    backup_eligible    boolean not null,
    backup_state       boolean not null,
    attestation_object bytea not null,
    client_data        bytea not null,
    created_at         timestamptz not null,
    last_used          timestamptz not null
);
create index passkey_by_person on passkey (person);
do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert, update, delete on passkey to "${app_role}";
    end if;
end $$;
