-- Castings are found by the day on which they came, by their bore, and by their customer, the youngest first.
create index job_came on job (opened_at) include (part_id) where voided_at is null;
create index part_by_bore on part (bore_nm) where voided_tag is null;
create index part_kept_of_customer on part (customer_id, created_at desc, tag desc) include (id) where voided_tag is null;
