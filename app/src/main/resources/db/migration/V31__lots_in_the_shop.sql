-- What is in the shop in the order in which it is due, and in that in which it came: lists of a screenful are read off these,
-- however many castings there are.
create index job_by_due on job (coalesce(due, 'infinity'::date), opened_at, id) include (part_id) where released_at is null;
create index job_by_coming on job (opened_at, id) include (part_id) where released_at is null;
create index ledger_pass_by_job on ledger_line (job_id) where kind = 'PASS';
