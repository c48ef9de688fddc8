-- Lines of the shop's own that are ticked: for every casting (a setting, one line under the other), or put down for one casting and
-- ticked in its log of work.
alter table shop_setting drop constraint shop_setting_words_check;
alter table shop_setting add constraint shop_setting_words_check check (length(words) <= case when name like 'LINES_%' then 1000 else 120 end);

alter table work_entry drop constraint work_entry_kind_check;
alter table work_entry add constraint work_entry_kind_check
    check (kind in ('DID', 'ADDED', 'WAIVED', 'TICKED', 'WITHDRAWN', 'LISTED', 'LINE_TICKED'));
alter table work_entry add constraint work_entry_line_has_words check (kind not in ('LISTED', 'LINE_TICKED') or length(note) > 0);

-- What is not on the shop's list may have no code.
alter table part_order drop constraint part_order_code_check;
alter table part_order add constraint part_order_code_check check (length(code) <= 20);
alter table part_order add constraint part_order_names_something check (length(code) > 0 or length(words) > 0);
