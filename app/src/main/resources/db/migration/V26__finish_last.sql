-- A plan in stages: a reference cut now, other work off it, the finish pass last.
alter table cut_plan
    add column finish_last boolean not null default false;

-- A column that came after a visit was sealed, and is empty in it, is no part of that seal.
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
union all select c.job_id, 'change_line', c.seq, to_jsonb(c) from change_line c;
