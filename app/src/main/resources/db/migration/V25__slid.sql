-- A blade may be slid along under the edge: the ends of its run are places of the line, which nobody asked for.
alter table feeler_place drop constraint feeler_place_kind_check, drop constraint feeler_place_check;
alter table feeler_place
    add constraint feeler_place_kind_check check (kind in ('REST', 'STATION', 'ENDS', 'SLID')),
    add constraint feeler_place_check check ((kind in ('STATION', 'SLID')) = (at_millionths is not null));
