-- Plans could be emptied out by a truncate.
create trigger plan_is_not_emptied before truncate on cut_plan
    for each statement execute function refuse_change();
create trigger plan_pass_is_not_emptied before truncate on plan_pass
    for each statement execute function refuse_change();
