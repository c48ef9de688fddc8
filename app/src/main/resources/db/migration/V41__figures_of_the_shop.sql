-- A shop's own figure that is no whole number of nanometres: mm, bar, kPa, cc, degrees, seconds or minutes, as its name says.
alter table shop_setting add column figure numeric(14, 7);
