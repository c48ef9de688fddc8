-- Under this a device writes what its person keyed and has not sent yet: handed out to that person, forgotten by the device at sign-out.
create table device_key (
    person_id uuid primary key references person (id),
    secret    bytea not null check (length(secret) = 32)
);

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert on device_key to "${app_role}";
    end if;
end $$;
