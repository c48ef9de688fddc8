-- Where every customer is asked before work goes on, and the reasons that are written down for it.

alter table price_list add column asks text not null default '' check (length(asks) <= 60);

alter table choice_asked drop constraint choice_asked_why_check;
alter table choice_asked add constraint choice_asked_why_check
    check (why in ('CHOICE_ASKED', 'SUM_PASSED', 'LOOK_DONE', 'METAL_ENDS', 'PROMISE_BROKEN'));
