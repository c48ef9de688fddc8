-- What was tried with an edge that counted as stiff stays judged so.
alter table job add column by_stiff_edge boolean not null default true;
alter table job alter column by_stiff_edge set default false;
update job set by_stiff_edge = false where released_at is null;
