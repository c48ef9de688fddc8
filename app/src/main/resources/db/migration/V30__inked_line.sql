-- A line that was inked around the gasket on the face: its corners, along and across by turns.
alter table job
    add column seal_ink_nm bigint[],
    add constraint job_ink_whole check (seal_ink_nm is null
        or (seal_ring_nm is not null and cardinality(seal_ink_nm) % 2 = 0
            and cardinality(seal_ink_nm) between 6 and 120));
