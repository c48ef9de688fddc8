-- Instruments of the shop, what they were compared with, checks against a reference, studies of gauge and hands.
create table instrument (
    id         uuid primary key,
    code       text not null unique check (code ~ '^[A-Z]{1,3}-[0-9]{2,6}$'),
    name       text not null check (length(name) between 1 and 80),
    kind       text not null check (kind ~ '^[A-Z_]{3,20}$'),
    known      text not null check (known in ('LIMITS', 'STANDARD')),
    amount     double precision not null check (amount > 0 and amount <= 10),
    months     integer check (months between 1 and 120),
    retired_at timestamptz
);

create table instrument_compared (
    seq           bigint generated always as identity primary key,
    id            uuid not null unique,
    instrument_id uuid not null references instrument (id),
    on_day        date not null,
    against       text not null check (length(against) between 1 and 120),
    error         double precision not null,
    by_person     uuid not null references person (id),
    at            timestamptz not null
);
create index instrument_compared_by_instrument on instrument_compared (instrument_id);

create table instrument_check (
    seq           bigint generated always as identity primary key,
    id            uuid not null unique,
    instrument_id uuid not null references instrument (id),
    reference     double precision not null,
    read          double precision not null,
    by_person     uuid not null references person (id),
    at            timestamptz not null
);
create index instrument_check_by_instrument on instrument_check (instrument_id);

create table instrument_study (
    id            uuid primary key,
    instrument_id uuid not null references instrument (id),
    hands         text not null check (length(hands) between 1 and 400),
    places        integer not null check (places between 2 and 20),
    times         integer not null check (times between 2 and 5),
    width         double precision not null check (width > 0),
    started_by    uuid not null references person (id),
    started_at    timestamptz not null
);
create index instrument_study_by_instrument on instrument_study (instrument_id);

create table study_reading (
    seq       bigint generated always as identity primary key,
    id        uuid not null unique,
    study_id  uuid not null references instrument_study (id),
    slot      integer not null check (slot between 0 and 999),
    typed     text not null check (length(typed) between 1 and 40),
    value     double precision,
    withdraws uuid,
    by_person uuid not null references person (id),
    at        timestamptz not null
);
create index study_reading_by_study on study_reading (study_id);

-- What a step of a visit was measured with, as the instrument was that day; an empty code is one that was put away.
create table instrument_use (
    seq       bigint generated always as identity primary key,
    id        uuid not null unique,
    job_id    uuid not null references job (id),
    step      text not null check (step ~ '^[a-z-]{3,20}$'),
    kind      text not null check (kind ~ '^[A-Z_]{3,20}$'),
    code      text not null check (length(code) <= 12),
    name      text not null check (length(name) <= 80),
    standard  double precision not null check (standard >= 0),
    state     text not null check (state ~ '^[A-Z_]{3,20}$'),
    due_on    date,
    by_person uuid not null references person (id),
    at        timestamptz not null,
    stored_at timestamptz,
    stored_by uuid references person (id)
);
create index instrument_use_by_job on instrument_use (job_id);
create index instrument_use_by_code on instrument_use (code, seq);

-- The first place of a survey, read once more at its end.
create table survey_closing (
    seq       bigint generated always as identity primary key,
    id        uuid not null unique,
    survey_id uuid not null references survey (id),
    place_id  uuid not null references place (id),
    first_nm  bigint not null,
    again_nm  bigint not null,
    typed     text not null check (length(typed) between 1 and 40),
    unit      text not null check (unit in ('MM', 'THOU')),
    by_person uuid not null references person (id),
    at        timestamptz not null,
    stored_at timestamptz,
    stored_by uuid references person (id)
);
create index survey_closing_by_survey on survey_closing (survey_id);

do $$
declare
    t text;
begin
    foreach t in array array['instrument_compared', 'instrument_check', 'study_reading', 'instrument_use', 'survey_closing'] loop
        execute format('create trigger %I before update or delete on %I for each row execute function refuse_change()', t || '_is_kept', t);
        execute format('create trigger %I before truncate on %I for each statement execute function refuse_change()', t || '_is_not_emptied', t);
    end loop;
    foreach t in array array['instrument_use', 'survey_closing'] loop
        execute format('create trigger %I before insert on %I for each row execute function say_when_stored()', t || '_is_stored', t);
    end loop;
end $$;
create trigger instrument_use_is_here before insert on instrument_use for each row execute function refuse_after_release('job');
create trigger survey_closing_is_here before insert on survey_closing for each row execute function refuse_after_release('survey');
create trigger instrument_use_is_counted after insert on instrument_use referencing new table as added
    for each statement execute function visit_is_written('visit');

-- As before, and what it was measured with.
create or replace view visit_evidence as
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
union all select c.job_id, 'cut_plan', c.seq, to_jsonb(c) - case when c.finish_last then '{}'::text[] else array['finish_last'] end from cut_plan c
union all select c.job_id, 'plan_pass', c.seq * 1000 + p.seq, to_jsonb(p) from plan_pass p join cut_plan c on c.id = p.plan_id
union all select l.job_id, 'ledger_line', l.seq, to_jsonb(l) from ledger_line l
union all select t.job_id, 'touched', t.seq, to_jsonb(t) - case when t.said is null then array['said'] else '{}'::text[] end from touched t
union all select l.job_id, 'left_uncut', l.seq, to_jsonb(l) from left_uncut l
union all select c.job_id, 'setup_check', c.seq, to_jsonb(c) from setup_check c
union all select s.job_id, 'scan', s.seq,
       (to_jsonb(s) - array['heights', 'mask', 'thumb']) || jsonb_build_object('text_sha256', (select encode(sha256(x.gzip), 'hex') from scan_text x where x.scan_id = s.id)) from scan s
union all select w.job_id, 'work_entry', w.seq, to_jsonb(w) from work_entry w
union all select c.job_id, 'crack_mark', c.seq, to_jsonb(c) from crack_mark c
union all select t.job_id, 'pressure_test', t.seq, to_jsonb(t) - case when t.volume_cc is null then array['volume_cc'] else '{}'::text[] end from pressure_test t
union all select t.job_id, 'pressure_reading', r.seq, to_jsonb(r) from pressure_reading r join pressure_test t on t.id = r.test_id
union all select s.job_id, 'sheet_setup', s.seq, to_jsonb(s) from sheet_setup s
union all select f.job_id, 'figure', f.seq, to_jsonb(f) from figure f
union all select p.job_id, 'photo', p.seq, (to_jsonb(p) - array['jpeg']) || jsonb_build_object('jpeg_sha256', encode(sha256(p.jpeg), 'hex')) from photo p
union all select c.job_id, 'change_line', c.seq, to_jsonb(c) from change_line c
union all select u.job_id, 'instrument_use', u.seq, to_jsonb(u) from instrument_use u
union all select s.job_id, 'survey_closing', c.seq, to_jsonb(c) from survey_closing c join survey s on s.id = c.survey_id;

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert, update on instrument to "${app_role}";
        grant select, insert on instrument_compared, instrument_check, instrument_study, study_reading, instrument_use, survey_closing to "${app_role}";
    end if;
end $$;
