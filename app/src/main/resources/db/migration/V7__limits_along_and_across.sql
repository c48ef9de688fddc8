-- Limits asked along and across a face.
alter table flatness_limit drop constraint flatness_limit_scope_check;
alter table flatness_limit add constraint flatness_limit_scope_check
    check (scope in ('OVERALL', 'ALONG', 'ACROSS', 'WINDOW', 'BORE'));
