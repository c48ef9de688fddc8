-- What was handed over while the rule of cover was all that was asked of a face stays judged by it (ADR 44).
alter table job add column by_cover boolean not null default true;
alter table job alter column by_cover set default false;
update job set by_cover = false where released_at is null;
