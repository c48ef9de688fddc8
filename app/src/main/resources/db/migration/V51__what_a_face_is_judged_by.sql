-- What a face is judged by when it is begun to be read: how far such faces bend and how uneven they are, as the shop's own had told by
-- then, or general values. A visit without it was begun while every face was taken to be bent as far as heads bend.
create table face_model (
    seq       bigint generated always as identity primary key,
    id        uuid not null unique,
    job_id    uuid not null references job (id),
    proof     boolean not null,
    length_mm double precision not null check (length_mm > 0),
    local     double precision[] not null,
    bent      double precision[] not null,
    twisted   double precision[] not null,
    share     double precision[] not null,
    faces     integer not null check (faces >= 0),
    by_person uuid not null references person (id),
    at        timestamptz not null,
    stored_at timestamptz,
    stored_by uuid references person (id),
    unique (job_id, proof)
);

create trigger face_model_is_kept before update or delete on face_model for each row execute function refuse_change();
create trigger face_model_is_not_emptied before truncate on face_model for each statement execute function refuse_change();
create trigger face_model_is_stored before insert on face_model for each row execute function say_when_stored();
create trigger face_model_is_here before insert on face_model for each row execute function refuse_after_release('job');
create trigger face_model_is_counted after insert on face_model referencing new table as added
    for each statement execute function visit_is_written('visit');

-- As before, and what its face is judged by.
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
union all select s.job_id, 'survey_warmth', w.seq, to_jsonb(w) from survey_warmth w join survey s on s.id = w.survey_id
union all select m.job_id, 'face_model', m.seq, to_jsonb(m) from face_model m;

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert on face_model to "${app_role}";
    end if;
end $$;
