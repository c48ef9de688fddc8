-- A scan that was handed over while the rule of cover alone judged it stays judged so.
alter table job add column by_scan boolean not null default true;
alter table job alter column by_scan set default false;
update job set by_scan = false where released_at is null;
