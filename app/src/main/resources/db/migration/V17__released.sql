-- What left the shop stays as it was said that day: nothing is written about a visit once it was handed over, and what was handed
-- over with it is sealed. Changes that can turn a verdict are lines. When and by whom a line was stored is the server's word.

create function refuse_after_release() returns trigger language plpgsql as $$
declare
    visit uuid;
    gone  timestamptz;
begin
    case tg_argv[0]
        when 'job' then visit := new.job_id;
        when 'survey' then select s.job_id into visit from survey s where s.id = new.survey_id;
        when 'place' then
            select s.job_id into visit from place p join survey s on s.id = p.survey_id where p.id = new.place_id;
        when 'feeler_survey' then select s.job_id into visit from feeler_survey s where s.id = new.survey_id;
        when 'feeler_place' then
            select s.job_id into visit from feeler_place p join feeler_line l on l.id = p.line_id
                join feeler_survey s on s.id = l.survey_id where p.id = new.place_id;
        when 'pressure_test' then select t.job_id into visit from pressure_test t where t.id = new.test_id;
    end case;
    -- Whoever hands over and whoever writes wait for each other.
    select released_at into gone from job where id = visit for share;
    if gone is not null then
        raise exception 'Nothing is written in % about a visit that was handed over', tg_table_name
            using errcode = 'integrity_constraint_violation';
    end if;
    return new;
end $$;

create function refuse_released() returns trigger language plpgsql as $$
begin
    if old.released_at is not null then
        raise exception 'A visit that was handed over is not changed' using errcode = 'integrity_constraint_violation';
    end if;
    return new;
end $$;
create trigger job_stays_released before update or delete on job for each row execute function refuse_released();

-- Where, by whom and when something was changed that can turn a verdict.
create table change_line (
    seq       bigint generated always as identity primary key,
    id        uuid not null unique,
    job_id    uuid not null references job (id),
    what      text not null check (what ~ '^[A-Z_]{3,40}$'),
    detail    text not null check (length(detail) <= 400),
    by_person uuid not null references person (id),
    at        timestamptz not null
);
create index change_line_by_job on change_line (job_id);

-- measured (at, by_person) is what the device said; stored is what the server knows.
create function say_when_stored() returns trigger language plpgsql as $$
begin
    new.stored_at := clock_timestamp();
    new.stored_by := coalesce(nullif(current_setting('homalon.person', true), '')::uuid, new.by_person);
    return new;
end $$;

do $$
declare
    t text;
begin
    foreach t in array array['reading', 'feeler_try', 'ledger_line', 'touched', 'left_uncut', 'setup_check', 'scan', 'work_entry',
                             'crack_mark', 'pressure_test', 'pressure_reading', 'figure', 'sheet_setup', 'photo', 'change_line'] loop
        execute format('alter table %I add column stored_at timestamptz, add column stored_by uuid references person (id)', t);
        execute format('create trigger %I before insert on %I for each row execute function say_when_stored()', t || '_is_stored', t);
    end loop;
    foreach t in array array['survey', 'feeler_survey', 'cut_plan', 'ledger_line', 'touched', 'left_uncut', 'setup_check', 'scan',
                             'work_entry', 'crack_mark', 'pressure_test', 'figure', 'sheet_setup', 'photo', 'change_line'] loop
        execute format('create trigger %I before insert on %I for each row execute function refuse_after_release(%L)', t || '_is_here', t, 'job');
    end loop;
    create trigger change_line_is_kept before update or delete on change_line for each row execute function refuse_change();
    create trigger change_line_is_not_emptied before truncate on change_line for each statement execute function refuse_change();
end $$;
create trigger place_is_here before insert or update on place for each row execute function refuse_after_release('survey');
create trigger reading_is_here before insert on reading for each row execute function refuse_after_release('place');
create trigger feeler_line_is_here before insert on feeler_line for each row execute function refuse_after_release('feeler_survey');
create trigger feeler_try_is_here before insert on feeler_try for each row execute function refuse_after_release('feeler_place');
create trigger pressure_reading_is_here before insert on pressure_reading for each row execute function refuse_after_release('pressure_test');

-- What was handed over: the record that is sealed, and the papers as they were given. Its digest holds the one of the visit before.
create table release (
    job_id     uuid primary key references job (id),
    part_id    uuid not null references part (id),
    no         integer not null,
    sealed_at  timestamptz not null,
    sealed_by  uuid references person (id),
    later      boolean not null,
    program    text not null check (length(program) <= 40),
    digest     text not null unique check (digest ~ '^[0-9a-f]{64}$'),
    previous   text check (previous ~ '^[0-9a-f]{64}$'),
    seal       bytea not null,
    key_id     text check (key_id ~ '^[0-9a-f]{16}$'),
    signature  bytea,
    unique (part_id, no)
);
create trigger release_is_kept before update or delete on release for each row execute function refuse_change();
create trigger release_is_not_emptied before truncate on release for each statement execute function refuse_change();

-- Papers and the salt of the customer's name carry a person's name; they may go when that person is erased, the seal stays.
create table release_paper (
    job_id  uuid not null references release (job_id),
    name    text not null check (name ~ '^[a-z]+-(mm|thou)$'),
    content bytea not null,
    primary key (job_id, name)
);
create table release_salt (
    job_id uuid primary key references release (job_id),
    salt   bytea not null
);

-- Every line of a visit as it stands in the tables, for the seal and for whoever looks whether they still agree.
create view visit_evidence as
select s.job_id, 'survey' as kind, row_number() over (partition by s.job_id order by s.id) as seq,
       to_jsonb(s) - array['revision'] as line from survey s
union all select s.job_id, 'place', row_number() over (partition by s.job_id order by p.id), to_jsonb(p) from place p join survey s on s.id = p.survey_id
union all select s.job_id, 'reading', r.seq, to_jsonb(r) from reading r join place p on p.id = r.place_id join survey s on s.id = p.survey_id
union all select s.job_id, 'feeler_survey', row_number() over (partition by s.job_id order by s.id), to_jsonb(s) - array['revision'] from feeler_survey s
union all select s.job_id, 'feeler_line', row_number() over (partition by s.job_id order by l.id), to_jsonb(l) from feeler_line l join feeler_survey s on s.id = l.survey_id
union all select s.job_id, 'feeler_place', row_number() over (partition by s.job_id order by p.id), to_jsonb(p)
    from feeler_place p join feeler_line l on l.id = p.line_id join feeler_survey s on s.id = l.survey_id
union all select s.job_id, 'feeler_try', t.seq, to_jsonb(t)
    from feeler_try t join feeler_place p on p.id = t.place_id join feeler_line l on l.id = p.line_id join feeler_survey s on s.id = l.survey_id
union all select c.job_id, 'cut_plan', c.seq, to_jsonb(c) from cut_plan c
union all select c.job_id, 'plan_pass', c.seq * 1000 + p.seq, to_jsonb(p) from plan_pass p join cut_plan c on c.id = p.plan_id
union all select l.job_id, 'ledger_line', l.seq, to_jsonb(l) from ledger_line l
union all select t.job_id, 'touched', t.seq, to_jsonb(t) from touched t
union all select l.job_id, 'left_uncut', l.seq, to_jsonb(l) from left_uncut l
union all select c.job_id, 'setup_check', c.seq, to_jsonb(c) from setup_check c
union all select s.job_id, 'scan', s.seq,
       (to_jsonb(s) - array['heights', 'mask', 'thumb']) || jsonb_build_object('text_sha256', (select encode(sha256(x.gzip), 'hex') from scan_text x where x.scan_id = s.id)) from scan s
union all select w.job_id, 'work_entry', w.seq, to_jsonb(w) from work_entry w
union all select c.job_id, 'crack_mark', c.seq, to_jsonb(c) from crack_mark c
union all select t.job_id, 'pressure_test', t.seq, to_jsonb(t) from pressure_test t
union all select t.job_id, 'pressure_reading', r.seq, to_jsonb(r) from pressure_reading r join pressure_test t on t.id = r.test_id
union all select s.job_id, 'sheet_setup', s.seq, to_jsonb(s) from sheet_setup s
union all select f.job_id, 'figure', f.seq, to_jsonb(f) from figure f
union all select p.job_id, 'photo', p.seq, (to_jsonb(p) - array['jpeg']) || jsonb_build_object('jpeg_sha256', encode(sha256(p.jpeg), 'hex')) from photo p
union all select c.job_id, 'change_line', c.seq, to_jsonb(c) from change_line c;

-- Evidence, visits, castings, people and limits are never deleted by the application.
do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        revoke delete on person, part, job, flatness_limit, survey, place, shop, bench_device, api_token from "${app_role}";
        grant select, insert on change_line, release, release_salt to "${app_role}";
        grant select, insert on release_paper to "${app_role}";
        grant select on visit_evidence to "${app_role}";
    end if;
end $$;
