-- An indicator that stands at an angle to the face reads more than the height: asked once a survey, proposed for the same indicator.
create table survey_angle (
    seq       bigint generated always as identity primary key,
    id        uuid not null unique,
    survey_id uuid not null references survey (id),
    code      text not null check (length(code) <= 12),
    degrees   double precision not null check (degrees between 0 and 60),
    by_person uuid not null references person (id),
    at        timestamptz not null,
    stored_at timestamptz,
    stored_by uuid references person (id)
);
create index survey_angle_by_survey on survey_angle (survey_id);
create index survey_angle_by_code on survey_angle (code, seq);

-- Temperatures that are taken off what was read: of both sides of a casting, by which it bends, or of the scale that a size was read from.
create table survey_warmth (
    seq          bigint generated always as identity primary key,
    id           uuid not null unique,
    survey_id    uuid not null references survey (id),
    part_tenths  integer not null check (part_tenths between -300 and 1500),
    back_tenths  integer check (back_tenths between -300 and 1500),
    height_nm    bigint check (height_nm > 0),
    scale_tenths integer check (scale_tenths between -300 and 1500),
    expansion    double precision not null check (expansion > 0 and expansion < 100),
    by_person    uuid not null references person (id),
    at           timestamptz not null,
    stored_at    timestamptz,
    stored_by    uuid references person (id),
    check ((back_tenths is null) = (height_nm is null))
);
create index survey_warmth_by_survey on survey_warmth (survey_id);

-- A table or an edge read both ways: what it is out by itself.
create table instrument_reversal (
    seq           bigint generated always as identity primary key,
    id            uuid not null unique,
    instrument_id uuid not null references instrument (id),
    way           text not null check (way in ('OVER', 'ENDS')),
    first_read    text not null check (length(first_read) between 1 and 2000),
    second_read   text not null check (length(second_read) between 1 and 2000),
    unit          text not null check (unit in ('MM', 'THOU')),
    by_person     uuid not null references person (id),
    at            timestamptz not null
);
create index instrument_reversal_by_instrument on instrument_reversal (instrument_id);

do $$
declare
    t text;
begin
    foreach t in array array['survey_angle', 'survey_warmth', 'instrument_reversal'] loop
        execute format('create trigger %I before update or delete on %I for each row execute function refuse_change()', t || '_is_kept', t);
        execute format('create trigger %I before truncate on %I for each statement execute function refuse_change()', t || '_is_not_emptied', t);
    end loop;
    foreach t in array array['survey_angle', 'survey_warmth'] loop
        execute format('create trigger %I before insert on %I for each row execute function say_when_stored()', t || '_is_stored', t);
        execute format('create trigger %I before insert on %I for each row execute function refuse_after_release(''survey'')', t || '_is_here', t);
    end loop;
end $$;

-- As before, and what was taken off for an angle and for warmth.
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
union all select s.job_id, 'survey_closing', c.seq, to_jsonb(c) from survey_closing c join survey s on s.id = c.survey_id
union all select s.job_id, 'survey_angle', a.seq, to_jsonb(a) from survey_angle a join survey s on s.id = a.survey_id
union all select s.job_id, 'survey_warmth', w.seq, to_jsonb(w) from survey_warmth w join survey s on s.id = w.survey_id;

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert on survey_angle, survey_warmth, instrument_reversal to "${app_role}";
    end if;
end $$;
