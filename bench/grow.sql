-- Makes many castings of those that are there: psql -v shop=94 -v archive=1250 -f bench/grow.sql, as the role that owns the server.
-- Every casting with its visits, readings, plans, passes and figures is written again under a tag of its own, shop times as it
-- stands and archive times as handed over. For measuring only: it goes past what the tables refuse.
\set ON_ERROR_STOP on
begin;
set local session_replication_role = replica;
create temporary table grown (n bigint, gone boolean) on commit drop;
insert into grown select g, false from generate_series(1, :shop) g;
insert into grown select g, true from generate_series(:shop + 1, :shop + :archive) g;
analyze grown;
create temporary table seed on commit drop as select id from part where tag ~ '^T-';

do $$
declare
    t text;
    c record;
    wanted text;
    given text;
    -- What points at a casting or at something of it gets a new id of the same old one and n; people and shared things stay.
    shared text[] := array['by_person', 'stored_by', 'opened_by', 'released_by', 'entered_by', 'started_by', 'made_by', 'created_by', 'sealed_by', 'batch_id', 'customer_id'];
    tables text[] := array['part', 'job', 'flatness_limit', 'survey', 'place', 'reading', 'cut_plan', 'plan_pass', 'ledger_line',
        'work_entry', 'sheet_setup', 'figure', 'crack_mark', 'feeler_survey', 'feeler_line', 'feeler_place', 'feeler_try',
        'pressure_test', 'pressure_reading', 'part_order', 'part_order_event', 'change_line'];
begin
    foreach t in array tables loop
        wanted := '';
        given := '';
        for c in select column_name::text as name, data_type as type from information_schema.columns
                 where table_schema = 'public' and table_name = t and is_generated = 'NEVER' order by ordinal_position loop
            wanted := wanted || ', ' || quote_ident(c.name);
            given := given || ', ' || case
                when c.type = 'uuid' and not c.name = any (shared) then format('md5(o.%I::text || g.n)::uuid', c.name)
                when c.name in ('seq', 'after_line') and c.type = 'bigint' then format('o.%I + g.n * 1000000', c.name)
                when t = 'part' and c.name = 'tag' then '''G-'' || (100 * g.n + substring(o.tag from 3)::int % 100)'
                when t = 'job' and c.name = 'released_at' then 'case when g.gone then coalesce(o.released_at, o.opened_at + interval ''2 days'') - g.n * interval ''1 hour'' else o.released_at end'
                when t = 'job' and c.name = 'opened_at' then 'case when g.gone then o.opened_at - g.n * interval ''1 hour'' else o.opened_at + g.n * interval ''1 minute'' end'
                when t = 'job' and c.name = 'due' then 'o.due + (g.n % 9)::int'
                when t = 'job' and c.name in ('stuck_on', 'stuck_why', 'stuck_since') then format('case when not g.gone then o.%I end', c.name)
                when t = 'part' and c.name = 'created_at' then 'o.created_at - g.n * interval ''1 minute'''
                when t = 'part' and c.name = 'customer' then 'o.customer || '' '' || g.n'
                else format('o.%I', c.name) end;
        end loop;
        execute format('create temporary table now_there on commit drop as select * from %I', t);
        execute format('insert into %I (%s) overriding system value select %s from now_there o cross join grown g', t, substr(wanted, 3), substr(given, 3));
        drop table now_there;
    end loop;
end $$;
commit;
vacuum analyze;
