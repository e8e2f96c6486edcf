-- All that a member ever said, in the order in which it was said: what a group tends to keep is
-- learned from it once a day, and every night lamps are held against it.
create index on review_event (membership, id);
