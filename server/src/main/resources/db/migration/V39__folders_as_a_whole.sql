-- A folder that went into another one is no more, and is not brought back from the bin: an undo does that.
alter table folder add column merged integer references folder;
