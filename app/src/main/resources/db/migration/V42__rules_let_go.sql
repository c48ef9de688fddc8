-- A rule of the route that the shop does not go by has a name of its parts, and why in its words; without words it holds again.
alter table shop_setting drop constraint shop_setting_name_check;
alter table shop_setting add constraint shop_setting_name_check check (name ~ '^[A-Z_.]{3,80}$');
