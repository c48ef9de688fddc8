-- A shop's address is longer than the source of a figure.
alter table shop_setting drop constraint shop_setting_words_check;
alter table shop_setting add constraint shop_setting_words_check
    check (length(words) <= case when name like 'LINES_%' then 1000 when name = 'PAPER_ADDRESS' then 400 else 120 end);
