-- What was agreed with a customer about a visit: days that they were told, what they owe, and when somebody rang.

create table day_promised (
    id        uuid primary key,
    job_id    uuid not null references job (id),
    day       date not null,
    told      text not null check (length(told) <= 120),
    -- The day by which it was ready in 80 of 100 draws as it was said; null where no plan told one.
    usual_day date,
    by_person uuid not null references person (id),
    at        timestamptz not null
);
create index day_promised_by_job on day_promised (job_id);
create index day_promised_by_day on day_promised (day);

create table customer_owes (
    id        uuid primary key,
    job_id    uuid not null references job (id),
    what      text not null check (length(what) <= 20),
    words     text not null check (length(words) <= 200),
    since     date not null,
    expected  date,
    by_person uuid not null references person (id),
    come_at   timestamptz,
    come_by   uuid references person (id),
    check ((come_at is null) = (come_by is null))
);
create index customer_owes_by_job on customer_owes (job_id);
create index customer_owes_open on customer_owes (since) where come_at is null;

create table call_made (
    id        uuid primary key,
    job_id    uuid not null references job (id),
    said      text not null check (length(said) <= 200),
    again     date,
    by_person uuid not null references person (id),
    at        timestamptz not null
);
create index call_made_by_job on call_made (job_id);

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert on day_promised, customer_owes, call_made to "${app_role}";
        grant update (told) on day_promised to "${app_role}";
        grant update (words, come_at, come_by) on customer_owes to "${app_role}";
        grant update (said) on call_made to "${app_role}";
    end if;
end $$;
