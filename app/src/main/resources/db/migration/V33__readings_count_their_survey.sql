-- A reading counts its survey up by itself: none can be written that goes unnoticed, and the bench waits for one statement less.
create function survey_is_read() returns trigger
    language plpgsql set search_path = public, pg_temp as $$
begin
    update survey set revision = revision + 1
     where id in (select p.survey_id from added a join place p on p.id = a.place_id);
    return null;
end $$;

create trigger reading_is_counted after insert on reading
    referencing new table as added for each statement execute function survey_is_read();
