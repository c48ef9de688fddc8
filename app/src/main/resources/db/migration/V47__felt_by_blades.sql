-- What was handed over while bow and twist were all that blades were held against stays judged by them (ADR 45).
alter table job add column by_blades boolean not null default true;
alter table job alter column by_blades set default false;
update job set by_blades = false where released_at is null;
