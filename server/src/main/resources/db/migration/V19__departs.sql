-- One word for one thing: people leave, messages depart, and who is not meant is left out.

alter view offered.message rename column to_leave to to_depart;
alter view offered.message rename column has_not_left to has_not_departed;
alter index message_to_leave rename to message_to_depart;
alter table audience rename column leave_parts to left_out_parts;
