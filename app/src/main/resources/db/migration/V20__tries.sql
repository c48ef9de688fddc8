-- Tries at passwords, PINs, codes and tokens, one bucket for each that is guessed at and each address. What was counted before in
-- its own way is over within a quarter of an hour.
drop table guess;
create table try_bucket (
    subject    text primary key check (length(subject) between 1 and 200),
    state      bytea,
    expires_at bigint
);
create index try_bucket_by_end on try_bucket (expires_at);
do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert, update, delete on try_bucket to "${app_role}";
    end if;
end $$;
