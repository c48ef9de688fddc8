-- The application looks which version its tables have before it serves, and may not change that.
do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select on flyway_schema_history to "${app_role}";
    end if;
end $$;
