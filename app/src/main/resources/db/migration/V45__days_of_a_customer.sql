-- How days are written on a customer's reports; null for as the shop writes them.
alter table customer add column days text check (days in ('DAY_FIRST', 'MONTH_FIRST', 'YEAR_FIRST'));
