-- What the shop asks. Versions are only added and the last one holds, so that what an estimate was made from is still there.

create table price_list (
    seq       bigint generated always as identity primary key,
    id        uuid not null unique,
    currency  text not null check (currency ~ '^[A-Z]{3}$'),
    -- Of a hundred.
    tax       numeric(6, 3) not null check (tax between 0 and 50),
    -- Whether prices hold the tax already.
    held      boolean not null,
    -- The least that a total is paid in.
    coin      numeric(10, 3) not null check (coin > 0),
    rate      numeric(14, 3) not null check (rate >= 0),
    least     numeric(14, 3) not null check (least >= 0),
    look      numeric(14, 3) not null check (look >= 0),
    margin    numeric(7, 3) not null check (margin between 0 and 500),
    by_person uuid not null references person (id),
    at        timestamptz not null
);

create table price_line (
    list_seq  bigint not null references price_list (seq),
    no        integer not null check (no >= 1),
    operation text not null check (length(operation) <= 40),
    metal     text check (length(metal) <= 20),
    least     integer not null check (least between 1 and 16),
    most      integer not null check (most between least and 16),
    per       text not null check (length(per) <= 20),
    each      numeric(14, 3) not null check (each >= 0),
    primary key (list_seq, no)
);

do $$
declare
    t text;
begin
    foreach t in array array['price_list', 'price_line'] loop
        execute format('create trigger %I before update or delete on %I for each row execute function refuse_change()', t || '_is_kept', t);
        execute format('create trigger %I before truncate on %I for each statement execute function refuse_change()', t || '_is_not_emptied', t);
    end loop;
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert on price_list, price_line to "${app_role}";
    end if;
end $$;
