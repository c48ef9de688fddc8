-- Steps that a machine's dial has; the usual ones of the bench's unit where nobody said.
alter table machine
    add column step_nm bigint check (step_nm > 0);
