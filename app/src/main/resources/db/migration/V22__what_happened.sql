-- What happened to a casting, ticked at intake, and which shafts it carries: names of ticks with blanks between, shafts by their names
-- with commas between. Null for visits booked before it was asked: their checks still follow from what was written.
alter table job
    add column happened text check (length(happened) <= 300),
    add column shafts   text check (length(shafts) <= 200);
