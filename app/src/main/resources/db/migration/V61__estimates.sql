-- Estimates as they were shown, what was said of their lines by hand, when a customer was to be asked, and what was chosen.

-- What is said of a line; the last of a key holds.
create table estimate_said (
    seq       bigint generated always as identity primary key,
    id        uuid not null unique,
    job_id    uuid not null references job (id),
    key       text not null check (length(key) between 1 and 60),
    stand     text not null check (length(stand) <= 20),
    -- A price for this job; null where the list's own holds.
    amount    numeric(14, 3) check (amount >= 0),
    currency  text check (currency ~ '^[A-Z]{3}$'),
    by_person uuid not null references person (id),
    at        timestamptz not null,
    check ((amount is null) = (currency is null))
);
create index estimate_said_by_job on estimate_said (job_id);

-- In the words and figures of that day.
create table estimate_shown (
    seq       bigint generated always as identity primary key,
    id        uuid not null unique,
    job_id    uuid not null references job (id),
    shown     text not null check (length(shown) <= 200000),
    by_person uuid not null references person (id),
    at        timestamptz not null
);
create index estimate_shown_by_job on estimate_shown (job_id);

-- From here on no more work is done before the customer has said how it goes on.
create table choice_asked (
    seq       bigint generated always as identity primary key,
    id        uuid not null unique,
    job_id    uuid not null references job (id),
    why       text not null check (why in ('CHOICE_ASKED', 'SUM_PASSED')),
    by_person uuid not null references person (id),
    at        timestamptz not null
);
create index choice_asked_by_job on choice_asked (job_id);

create table choice_made (
    seq       bigint generated always as identity primary key,
    id        uuid not null unique,
    job_id    uuid not null references job (id),
    shown_id  uuid not null references estimate_shown (id),
    choice    text not null check (length(choice) <= 20),
    means     text not null check (length(means) <= 20),
    -- So far it may go on without asking.
    up_to     numeric(14, 3) check (up_to >= 0),
    who       text not null check (length(who) <= 120),
    words     text not null check (length(words) <= 300),
    by_person uuid not null references person (id),
    at        timestamptz not null
);
create index choice_made_by_job on choice_made (job_id);

-- Nothing but names and words may go, once a customer is erased.
create function refuse_but_forgetting() returns trigger language plpgsql as $$
begin
    if tg_op <> 'UPDATE' or new.who <> '' or new.words <> ''
            or to_jsonb(new) - array['who', 'words'] <> to_jsonb(old) - array['who', 'words'] then
        raise exception 'what is kept in % is not changed: add a line that says so', tg_table_name;
    end if;
    return new;
end $$;

do $$
declare
    t text;
begin
    foreach t in array array['estimate_said', 'estimate_shown', 'choice_asked'] loop
        execute format('create trigger %I before update or delete on %I for each row execute function refuse_change()', t || '_is_kept', t);
    end loop;
    create trigger choice_made_is_kept before update or delete on choice_made for each row execute function refuse_but_forgetting();
    foreach t in array array['estimate_said', 'estimate_shown', 'choice_asked', 'choice_made'] loop
        execute format('create trigger %I before truncate on %I for each statement execute function refuse_change()', t || '_is_not_emptied', t);
        execute format('create trigger %I before insert on %I for each row execute function refuse_after_release(''job'')', t || '_is_here', t);
    end loop;
    -- These two are read with the route.
    foreach t in array array['choice_asked', 'choice_made'] loop
        execute format('create trigger %I after insert on %I referencing new table as added for each statement execute function visit_is_written(''visit'')',
                       t || '_is_counted', t);
    end loop;
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert on estimate_said, estimate_shown, choice_asked, choice_made to "${app_role}";
        grant update (who, words) on choice_made to "${app_role}";
    end if;
end $$;
