-- Why a part left, how often a survey changed, and which revision of it a plan was made from were not kept yet.
alter table job add column released_note text not null default '' check (length(released_note) <= 500);
alter table survey add column revision bigint not null default 0;
alter table cut_plan rename column read_upto to survey_revision;
create trigger plan_is_not_emptied before truncate on cut_plan
    for each statement execute function refuse_change();
create trigger plan_pass_is_not_emptied before truncate on plan_pass
    for each statement execute function refuse_change();
-- A plan knew the last reading that it was made from: revisions of surveys so far are counted in the same way.
update survey s set revision = coalesce(
    (select max(r.seq) from reading r join place p on p.id = r.place_id where p.survey_id = s.id), 0);
