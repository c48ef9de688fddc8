-- Fills of chambers and the figures of the engine around them are keyed on a sheet like valves.
alter table figure drop constraint figure_sheet_check;
alter table figure add constraint figure_sheet_check check (sheet in ('LINE', 'LINERS', 'INDEX', 'VALVES', 'CHAMBERS'));
alter table sheet_setup drop constraint sheet_setup_sheet_check;
alter table sheet_setup add constraint sheet_setup_sheet_check check (sheet in ('LINE', 'LINERS', 'INDEX', 'VALVES', 'CHAMBERS'));

-- A cut may go deeper than cleaning asks, for a ratio or a class.
alter table cut_plan add column at_least_nm bigint not null default 0 check (at_least_nm >= 0);
