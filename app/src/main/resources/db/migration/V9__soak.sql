-- Temperatures while a face was read, tenths of a degree C.
alter table survey
    add column part_decidegrees integer check (part_decidegrees between -300 and 1500),
    add column room_decidegrees integer check (room_decidegrees between -300 and 1500),
    add check ((part_decidegrees is null) = (room_decidegrees is null));
