-- Customers are records, and a booking that was a mistake is voided.

create table customer (
    id         uuid primary key,
    name       text not null check (length(name) between 1 and 120 and name = btrim(name)),
    -- by which a name is known however it is keyed: its letters and digits alone, in small letters
    name_key   text not null,
    phone      text not null default '' check (length(phone) <= 60),
    mail       text not null default '' check (length(mail) <= 120),
    unit       text check (unit in ('MM', 'THOU')),
    notes      text not null default '' check (length(notes) <= 2000),
    version    integer not null default 0,
    created_by uuid references person (id),
    created_at timestamptz not null
);
create unique index customer_by_name on customer (name);
create index customer_by_key on customer (name_key);
create index customer_by_words on customer using gin (name_key gin_trgm_ops);

-- What a customer was called before: papers that were handed over still say so, and it goes from them with the customer.
create table customer_name (
    id          uuid primary key,
    customer_id uuid not null references customer (id),
    name        text not null check (length(name) between 1 and 120),
    by_person   uuid not null references person (id),
    at          timestamptz not null
);
create index customer_name_of on customer_name (customer_id);

insert into customer (id, name, name_key, created_at)
select gen_random_uuid(), c.name, btrim(regexp_replace(lower(c.name), '[^[:alnum:]]+', ' ', 'g')), c.since
from (select btrim(customer) as name, min(created_at) as since from part where customer <> 'erased' group by btrim(customer)) c;

-- None for a casting whose customer was erased.
alter table part add column customer_id uuid references customer (id);
update part p set customer_id = c.id from customer c where c.name = btrim(p.customer);
create index part_of_customer on part (customer_id);

-- A booking that was a mistake is kept, without its tag and out of every list.
alter table job
    add column voided_at timestamptz,
    add column voided_why text check (length(voided_why) between 1 and 500),
    add check ((voided_at is null) = (voided_why is null)),
    add check (voided_at is null or voided_at = released_at);
alter table part
    add column voided_tag text,
    drop constraint part_tag_check,
    add constraint part_tag_check check (tag ~ '^[A-Z]{1,3}-[0-9]{2,6}$' and voided_tag is null or tag = 'void ' || id and voided_tag is not null);
-- What is stamped on it is looked for too, and what was voided is not found.
alter table part
    drop column words,
    add column stamps text not null default '' check (length(stamps) <= 60);
alter table part
    add column words text not null
        generated always as (lower(tag || E'\n' || name || E'\n' || customer || E'\n' || casting_number || E'\n' || stamps)) stored;
create index part_by_words on part using gin (words gin_trgm_ops);
create index part_by_age on part (created_at desc, tag desc) include (id, words) where voided_tag is null;
create index part_by_casting_number on part (lower(casting_number), created_at desc) where casting_number <> '';
drop index job_gone;
create index job_gone on job (released_at desc) where released_at is not null and voided_at is null;

-- By its record, under every name it had.
drop function erase_customer(text, text, text, text, uuid);
create function erase_customer(who uuid, shown text[], blank text, instead text, by_whom uuid) returns integer
    language plpgsql security definer set search_path = public, pg_temp as $$
declare
    castings integer;
    visit    uuid;
    called   text;
begin
    perform 1 from part where customer_id = who for update;
    if exists (select from part p join job j on j.part_id = p.id
               where p.customer_id = who and j.voided_at is null
                 and (j.released_at is null or not exists (select from release r where r.job_id = j.id))) then
        raise exception 'A casting of this customer is in the shop' using errcode = 'integrity_constraint_violation';
    end if;
    for visit in select r.job_id from release r join part p on p.id = r.part_id
                 where p.customer_id = who and not exists (select from release_erased e where e.job_id = r.job_id) loop
        insert into release_erased
        select visit, clock_timestamp(), by_whom, coalesce(string_agg(w.name || ' ' || encode(sha256(w.content), 'hex'), E'\n' order by w.name), '')
        from release_paper w where w.job_id = visit;
        delete from release_paper w where w.job_id = visit and w.name like 'pdf-%';
        foreach called in array shown loop
            update release_paper w set content = convert_to(replace(convert_from(w.content, 'UTF8'), called, blank), 'UTF8') where w.job_id = visit;
        end loop;
        delete from release_salt s where s.job_id = visit;
    end loop;
    update part set customer = instead, customer_id = null, version = version + 1 where customer_id = who;
    get diagnostics castings = row_count;
    delete from customer_name where customer_id = who;
    delete from customer where id = who;
    return castings;
end $$;
revoke all on function erase_customer(uuid, text[], text, text, uuid) from public;

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert, update, delete on customer to "${app_role}";
        grant select, insert, update on customer_name to "${app_role}";
        grant execute on function erase_customer(uuid, text[], text, text, uuid) to "${app_role}";
    end if;
end $$;
