-- Addresses under which a customer sees an estimate and chooses, and what was sent by post. Of an address only a hash is kept.

create table customer_page (
    id             uuid primary key,
    job_id         uuid not null references job (id),
    shown_id       uuid not null references estimate_shown (id),
    token_hash     text not null unique check (length(token_hash) = 64),
    -- What stands on it beside the estimate, as it was when the address was made; empty once the customer is erased.
    told           text not null check (length(told) <= 2000000),
    made_by        uuid not null references person (id),
    made_at        timestamptz not null,
    expires_at     timestamptz not null check (expires_at > made_at),
    revoked_at     timestamptz,
    opened         integer not null default 0 check (opened >= 0),
    last_opened_at timestamptz
);
create index customer_page_by_job on customer_page (job_id);

create function customer_page_stays() returns trigger language plpgsql as $$
begin
    if tg_op = 'DELETE'
            or to_jsonb(new) - array['told', 'revoked_at', 'opened', 'last_opened_at']
               <> to_jsonb(old) - array['told', 'revoked_at', 'opened', 'last_opened_at']
            or (new.told <> old.told and new.told <> '')
            or (old.revoked_at is not null and new.revoked_at is distinct from old.revoked_at)
            or new.opened < old.opened then
        raise exception 'what a customer was shown is not changed: make another address';
    end if;
    return new;
end $$;
create trigger customer_page_is_kept before update or delete on customer_page for each row execute function customer_page_stays();
create trigger customer_page_is_not_emptied before truncate on customer_page for each statement execute function refuse_change();

create table sent_mail (
    seq        bigint generated always as identity primary key,
    id         uuid not null unique,
    job_id     uuid not null references job (id),
    -- Both empty once the customer is erased.
    recipient  text not null check (length(recipient) <= 200),
    subject    text not null check (length(subject) <= 200),
    -- Without the secret of any address in it.
    body       text not null check (length(body) <= 20000),
    -- SIMULATED, SENT or FAILED, with why.
    state      text not null check (state in ('SIMULATED', 'SENT', 'FAILED')),
    why        text not null check (length(why) <= 300),
    by_person  uuid not null references person (id),
    at         timestamptz not null
);
create index sent_mail_by_job on sent_mail (job_id);

create function sent_mail_stays() returns trigger language plpgsql as $$
begin
    if tg_op = 'DELETE' or new.recipient <> '' or new.body <> ''
            or to_jsonb(new) - array['recipient', 'body'] <> to_jsonb(old) - array['recipient', 'body'] then
        raise exception 'what was sent is not changed';
    end if;
    return new;
end $$;
create trigger sent_mail_is_kept before update or delete on sent_mail for each row execute function sent_mail_stays();
create trigger sent_mail_is_not_emptied before truncate on sent_mail for each statement execute function refuse_change();

do $$
begin
    if exists (select from pg_roles where rolname = '${app_role}') then
        grant select, insert on customer_page, sent_mail to "${app_role}";
        grant update (told, revoked_at, opened, last_opened_at) on customer_page to "${app_role}";
        grant update (recipient, body) on sent_mail to "${app_role}";
    end if;
end $$;
