-- Lists stay as quick with thousands of castings in the shop and tens of thousands handed over.

-- What is looked for when somebody types into the search field, wherever in it the letters stand.
create extension if not exists pg_trgm;
alter table part
    add column words text not null
        generated always as (lower(tag || E'\n' || name || E'\n' || customer || E'\n' || casting_number)) stored;
create index part_by_words on part using gin (words gin_trgm_ops);
create index part_by_age on part (created_at desc, tag desc) include (id, words);
create index part_by_number on part (cast(substring(tag from 3) as integer)) where tag like 'T-%';

-- The bench: what somebody can go on with, in the order of the bench; what waits; what left lately.
create index job_free on job (coalesce(due, 'infinity'::date), opened_at, id) include (part_id)
    where released_at is null and stuck_on is null;
create index job_here on job (part_id) include (id, due, opened_at) where released_at is null;
create index job_stuck on job (stuck_on, stuck_since, id) where released_at is null and stuck_on is not null;
create index job_gone on job (released_at desc) where released_at is not null;
create index part_by_customer on part (customer, kind);
