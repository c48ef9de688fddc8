-- A customer who asks to be forgotten. The seal has the name as a salted digest only: the salt goes, the name goes from papers and
-- castings, and what was measured stays. The sums of the papers stay, so that a signature and a print in somebody's hands can still
-- be looked at. The application may do it through this function alone, and each time is a line.
create table release_erased (
    job_id    uuid primary key references release (job_id),
    at        timestamptz not null,
    by_person uuid not null references person (id),
    sums      text not null
);
create trigger release_erased_is_kept before update or delete on release_erased for each row execute function refuse_change();
create trigger release_erased_is_not_emptied before truncate on release_erased for each statement execute function refuse_change();

-- The number of castings that had the name. shown: the name as an element of a page, blank: what takes its place there; instead: what
-- takes its place on the casting.
create function erase_customer(who text, shown text, blank text, instead text, by_whom uuid) returns integer
    language plpgsql security definer set search_path = public, pg_temp as $$
declare
    castings integer;
    visit    uuid;
begin
    perform 1 from part where customer = who for update;
    if exists (select from part p join job j on j.part_id = p.id
               where p.customer = who and (j.released_at is null or not exists (select from release r where r.job_id = j.id))) then
        raise exception 'A casting of this customer is in the shop' using errcode = 'integrity_constraint_violation';
    end if;
    for visit in select r.job_id from release r join part p on p.id = r.part_id
                 where p.customer = who and not exists (select from release_erased e where e.job_id = r.job_id) loop
        insert into release_erased
        select visit, clock_timestamp(), by_whom, coalesce(string_agg(w.name || ' ' || encode(sha256(w.content), 'hex'), E'\n' order by w.name), '')
        from release_paper w where w.job_id = visit;
        delete from release_paper w where w.job_id = visit and w.name like 'pdf-%';
        update release_paper w set content = convert_to(replace(convert_from(w.content, 'UTF8'), shown, blank), 'UTF8') where w.job_id = visit;
        delete from release_salt s where s.job_id = visit;
    end loop;
    update part set customer = instead, version = version + 1 where customer = who;
    get diagnostics castings = row_count;
    return castings;
end $$;
revoke all on function erase_customer(text, text, text, text, uuid) from public;

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select on release_erased to "${app_role}";
        grant execute on function erase_customer(text, text, text, text, uuid) to "${app_role}";
    end if;
end $$;
