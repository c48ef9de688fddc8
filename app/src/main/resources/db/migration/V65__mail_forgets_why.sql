-- A mail server that refuses a letter names whom it was for: that is forgotten with the rest.

create or replace function sent_mail_stays() returns trigger language plpgsql as $$
begin
    if tg_op = 'DELETE' or new.recipient <> '' or new.body <> '' or new.why <> ''
            or to_jsonb(new) - array['recipient', 'body', 'why'] <> to_jsonb(old) - array['recipient', 'body', 'why'] then
        raise exception 'what was sent is not changed';
    end if;
    return new;
end $$;

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant update (why) on sent_mail to "${app_role}";
    end if;
end $$;
