-- Records lie beside their entries, so that counting entries and noting outcomes reads and writes
-- little.
alter table brought_entry set (toast_tuple_target = 128);
