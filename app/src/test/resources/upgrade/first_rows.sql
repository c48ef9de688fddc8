insert into person (id, login, name, role, password_hash, created_at)
values ('00000000-0000-0000-0000-000000000001', 'oda', 'Oda', 'OWNER', 'x', now());
insert into part (id, tag, kind, name, customer, material, cylinders, first_number, number_step, bore_nm, spacing_nm, length_nm,
                  width_nm, bolt_rows, bolt_hole_nm, water_holes, chambers, intake_at_top, created_by, created_at)
values ('00000000-0000-0000-0000-000000000002', 'T-0001', 'HEAD', 'Kelp cutter', 'Kelp Row', 'ALUMINIUM', 4, 1, 1, 84000000,
        96000000, 400000000, 160000000, 'BESIDE', 11000000, 4, 'BATHTUB', true, '00000000-0000-0000-0000-000000000001', now());
insert into job (id, part_id, no, opened_by, opened_at)
values ('00000000-0000-0000-0000-000000000003', '00000000-0000-0000-0000-000000000002', 1,
        '00000000-0000-0000-0000-000000000001', now());
insert into survey (id, job_id, kind, uncertainty_nm, started_by, started_at)
values ('00000000-0000-0000-0000-000000000004', '00000000-0000-0000-0000-000000000003', 'FACE', 5000,
        '00000000-0000-0000-0000-000000000001', now());
insert into place (id, survey_id, seq, name, x_nm, y_nm)
values ('00000000-0000-0000-0000-000000000005', '00000000-0000-0000-0000-000000000004', 1, 'front', 0, 0);
insert into reading (id, place_id, kind, typed, unit, value_nm, by_person, at)
values (gen_random_uuid(), '00000000-0000-0000-0000-000000000005', 'KEYED', '0.05', 'MM', 50000,
        '00000000-0000-0000-0000-000000000001', now()),
       (gen_random_uuid(), '00000000-0000-0000-0000-000000000005', 'KEYED', '0.06', 'MM', 60000,
        '00000000-0000-0000-0000-000000000001', now());
insert into cut_plan (id, job_id, survey_id, read_upto, school, depth_nm, shim_step_nm, shims, skim_nm, deepest_nm, finish_nm,
                      made_by, made_at)
values (gen_random_uuid(), '00000000-0000-0000-0000-000000000003', '00000000-0000-0000-0000-000000000004', 2, 'LEAST', 60000,
        50000, '', 50000, 100000, 50000, '00000000-0000-0000-0000-000000000001', now());
