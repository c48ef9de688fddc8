-- Temperatures in °F, for whoever thinks of them so: at either bench, as they choose.
alter table person add column fahrenheit boolean not null default false;
