-- What leaks is the fall of pressure times the volume that was under it; empty where nobody keyed it.
alter table pressure_test
    add column volume_cc integer check (volume_cc between 10 and 9999);
