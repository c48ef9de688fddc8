-- What was handed over while figures counted as exact stays judged so: its report never says otherwise than it did.
alter table job add column by_figures boolean not null default true;
alter table job alter column by_figures set default false;
update job set by_figures = false where released_at is null;
