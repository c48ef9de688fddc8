-- Where the gasket of this visit seals; the general defaults where nothing was keyed.
alter table job
    add column seal_ring_nm bigint check (seal_ring_nm > 0),
    add column seal_bead_nm bigint check (seal_bead_nm >= 0),
    add column seal_opening_nm bigint check (seal_opening_nm > 0),
    add constraint job_sealing_whole check ((seal_ring_nm is null) = (seal_bead_nm is null)
        and (seal_opening_nm is null or seal_ring_nm is not null));
